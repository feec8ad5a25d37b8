import { HOUR } from '@dewpot/core/units';
const JUNE = 1_781_740_800_000;

const solidRound = (bottomDiameter: number, topDiameter: number, height: number) => ({
  outer: { kind: 'round-frustum', bottomDiameter, topDiameter, height },
  cores: [],
  inserts: [],
});

const pot = {
  outer: { kind: 'round-frustum', bottomDiameter: 160, topDiameter: 200, height: 180 },
  cores: [
    {
      name: 'The core',
      bottom: 18,
      solid: { kind: 'round-frustum', bottomDiameter: 124, topDiameter: 160, height: 162 },
    },
  ],
  inserts: [],
};

/** An example of each question from drying to the door, shown in the API's document and answered by its tests. */
export const sealingExamples = {
  'dry-down': {
    weighings: [
      { hour: 168, mass: 4120, step: 1 },
      { hour: 192, mass: 4064, step: 1 },
      { hour: 216, mass: 4029, step: 1 },
      { hour: 240, mass: 4003, step: 1 },
    ],
    dry: 3900,
    loss: 260,
    binderClass: 'portland',
    film: false,
  },
  opens: {
    opens: 400,
    from: 240,
    past: [{ hour: 168, temperature: 20, humidity: 0.5 }],
    ahead: [
      { hour: 240, temperature: 14, humidity: 0.75 },
      { hour: 300, temperature: 18, humidity: 0.6 },
    ],
  },
  together: { total: 1748, step: 1, dry: [288, 288, 290, 291, 288, 289] },
  'which-piece': {
    mass: 3990,
    said: { code: '12a', mass: 3900, sd: 6 },
    others: [{ code: '12b', mass: 3988, sd: 6 }],
  },
  'without-scale': {
    school: 'calendar',
    dry: 3900,
    loss: 260,
    ambient: { temperature: 12, humidity: 0.8 },
    film: true,
  },
  overrides: {
    overrides: [
      { over: 1.4, film: false, held: true },
      { over: 1.3, film: false, held: true },
      { over: 1.2, film: false, held: true },
    ],
    film: false,
  },
  'seal-school': { uses: ['plants', 'outdoors', 'frost'], sealer: 'acrylic', side: 'outside' },
  sealer: { shape: pot, side: 'both', pieces: 3, coats: 2, sealer: 'penetrating', porous: false },
  coat: {
    sealer: 'acrylic',
    at: JUNE + HOUR,
    ambient: { temperature: 16, humidity: 0.6 },
    lastAt: JUNE,
    openMonths: 14,
  },
  tile: {
    mixId: '0190a1b2-0000-7000-8000-000000000001',
    at: JUNE,
    sealer: 'acrylic',
    tool: 'brush',
    coats: 1,
    sheen: 'satin',
    streaks: 'faint',
    smells: false,
    bead: 'spreads',
    stain: 'wipes off',
    liked: true,
  },
  decoration: { decoration: 'paint', at: JUNE, dryEnough: false, sealed: false },
  article: {
    arrangement: 'stacked',
    parts: [
      { code: '3a', name: 'Foot', shape: solidRound(200, 200, 100), mass: 7000 },
      { code: '3b', name: 'Column', shape: solidRound(120, 120, 150), mass: 4000 },
    ],
    bond: 'mortar',
    uses: ['outdoors', 'frost'],
    temperature: 14,
    liftLimit: 25_000,
  },
  joining: {
    parts: [
      { code: '3a', stage: 'drying', strength: 0.9, dry: true },
      { code: '3b', stage: 'curing', strength: 0.6, dry: false },
    ],
    bond: 'epoxy',
  },
  'after-seal': { sealer: 'acrylic', uses: ['water', 'indoors'] },
  planted: { dry: 3900, shape: pot, fillGap: 15 },
  'care-note': {
    name: 'Hexagon herb pot',
    code: '12a',
    mixName: 'Sand and cement',
    sealer: { kind: 'penetrating', name: 'Penetrating silane', coats: 2 },
    uses: ['plants', 'outdoors', 'frost'],
    lightweight: false,
    gypsum: false,
    lamp: false,
    castAt: Date.UTC(2026, 9, 12),
    weight: 4200,
    planted: 6600,
  },
  simulation: {
    piece: {
      name: 'A pot',
      binderClass: 'portland',
      lightweight: false,
      dry: 4100,
      loss: 240,
      area: 210_000,
      strength: 30,
      demouldAge: 24,
    },
    choices: {
      climate: 'damp cellar',
      cover: 'bag',
      demould: 30,
      uncover: 168,
      wettings: 0,
      sealer: 'acrylic',
      coat: 240,
    },
  },
};
