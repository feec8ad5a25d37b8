import { keys, MORNING } from './keys.js';

const doses = [{ materialId: keys.pigment, amount: 3 }];
const base = { binderId: keys.cement, sandId: keys.sand };
const tint = {
  name: 'Moss',
  doses: [{ material: 'Green oxide', amount: 3 }],
  base: { binder: 'Grey Portland cement' },
};
const sand = {
  name: 'Sharp sand',
  kind: 'aggregate',
  bulk: 1.55,
  particle: 2.63,
  absorption: 0.01,
  demand: 0,
  largestGrain: 4,
  bulking: 'sharp',
};
const mix = {
  name: 'Garden grey',
  by: 'volume',
  grade: 5,
  exposure: 'outdoors',
  packed: false,
  binderClass: 'portland',
  moistCuringDays: 7,
  colour: '#b4aea2',
};

/** Examples of materials, mixes and colour. */
export const materialExamples = {
  MaterialInput: { ...sand, version: 0 },
  LotInput: { materialId: keys.cement, bought: 25_000, left: 20_000, price: 7.5, boughtAt: MORNING, version: 0 },
  ScoopInput: { name: 'The bean can', volume: 400, heaped: 470, version: 0 },
  StockInput: { name: 'Batten', kind: 'stick', length: 2400, width: 38, thickness: 19, count: 6, price: 2.4, version: 0 },
  MixInput: { ...mix, lines: [{ materialId: keys.cement, parts: 1 }, { materialId: keys.sand, parts: 2.5 }], version: 0 },
  MixImport: {
    file: {
      format: 'dew-pot-mixes',
      version: 2,
      materials: [sand],
      mixes: [{ ...mix, lines: [{ material: 'Grey Portland cement', parts: 1 }, { material: 'Sharp sand', parts: 2.5 }] }],
    },
    dry: true,
  },
  TileInput: {
    mixId: keys.mix,
    at: MORNING,
    sealer: 'acrylic',
    tool: 'brush',
    coats: 2,
    sheen: 'satin',
    streaks: 'faint',
    smells: false,
    bead: 'stands',
    stain: 'wipes off',
    liked: true,
  },
  TintInput: { name: 'Moss', base, doses, version: 0 },
  TintImport: { file: { format: 'dew-pot-tints', version: 1, tints: [tint], swatches: [] }, dry: true },
  SwatchInput: { name: 'Moss, 3 %', base, doses, ratio: 0.5, castAt: MORNING, version: 0 },
  ColourReadingInput: { colour: '#6f7f5c', at: MORNING },
}; // prettier-ignore
