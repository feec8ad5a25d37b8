import { msg, type Message } from '../../foundation/units/index.js';
import type { AdditiveKind } from './additives.js';
import type { BinderFamily, Bulking, Material, MaterialKind, PowderWater, Tinting } from './material.js';
import { sealers, type SealerKind, type SealerSheet } from './sealers.js';

/** A material of the handbook, before a workshop has taken it over in its own language: `key` in place of an id. */
export type HandbookMaterial = Omit<Material, 'id' | 'name'> & { readonly key: string; readonly name: Message };

type Row = [
  key: string,
  name: Message,
  kind: MaterialKind,
  bulk: number,
  particle: number,
  absorption: number,
  demand: number,
  grain: number,
];

const rows: readonly Row[] = [
  ['grey-cement', msg('materials.nameGreyCement'), 'binder', 1.3, 3.15, 0, 0.27, 0.1],
  ['white-cement', msg('materials.nameWhiteCement'), 'binder', 1.15, 3.1, 0, 0.29, 0.1],
  ['high-early-cement', msg('materials.nameHighEarlyCement'), 'binder', 1.25, 3.15, 0, 0.28, 0.1],
  ['lime', msg('materials.nameLime'), 'binder', 0.5, 2.25, 0, 0.55, 0.1],
  ['metakaolin', msg('materials.nameMetakaolin'), 'binder-part', 0.4, 2.5, 0, 0.6, 0.1],
  ['fine-sand', msg('materials.nameFineSand'), 'aggregate', 1.5, 2.65, 0.01, 0.09, 1],
  ['sharp-sand', msg('materials.nameSharpSand'), 'aggregate', 1.6, 2.65, 0.008, 0.07, 4],
  ['pea-gravel', msg('materials.namePeaGravel'), 'aggregate', 1.55, 2.65, 0.007, 0.02, 10],
  ['perlite', msg('materials.namePerlite'), 'lightweight', 0.1, 0.25, 1.1, 1.8, 6],
  ['vermiculite', msg('materials.nameVermiculite'), 'lightweight', 0.12, 0.3, 1.5, 2.3, 4],
  ['glass-beads', msg('materials.nameGlassBeads'), 'lightweight', 0.3, 0.55, 0.1, 0.25, 2],
  ['peat', msg('materials.namePeat'), 'organic', 0.15, 0.4, 1.8, 2.5, 6],
  ['coir', msg('materials.nameCoir'), 'organic', 0.1, 0.34, 2.2, 3, 6],
  ['fast-setting', msg('materials.nameFastSetting'), 'pre-blend', 1.4, 2.85, 0, 0, 1],
  ['gypsum-cement', msg('materials.nameGypsumCement'), 'pre-blend', 1, 2.76, 0, 0, 0.1],
  ['underlayment', msg('materials.nameUnderlayment'), 'pre-blend', 1.2, 2.75, 0, 0, 0.5],
  ['patch', msg('materials.namePatch'), 'pre-blend', 1.3, 2.65, 0, 0, 1],
  ['bagged-sand-mix', msg('materials.nameBaggedSandMix'), 'pre-blend', 1.55, 2.65, 0, 0, 4],
  ['bagged-concrete', msg('materials.nameBaggedConcrete'), 'pre-blend', 1.65, 2.6, 0, 0, 10],
  ['red-oxide', msg('materials.nameRedOxide'), 'additive', 0.8, 4.8, 0, 0.4, 0],
  ['yellow-oxide', msg('materials.nameYellowOxide'), 'additive', 0.8, 4.8, 0, 0.4, 0],
  ['brown-oxide', msg('materials.nameBrownOxide'), 'additive', 0.8, 4.8, 0, 0.4, 0],
  ['ultramarine', msg('materials.nameUltramarine'), 'additive', 0.6, 2.35, 0, 0.4, 0],
  ['bronze-mica', msg('materials.nameMica'), 'additive', 0.25, 3, 0, 0.6, 0],
  ['titanium-white', msg('materials.nameTitanium'), 'additive', 0.8, 4, 0, 0.4, 0],
  ['chromium-green', msg('materials.nameChromiumGreen'), 'additive', 1, 5.2, 0, 0.3, 0],
  ['carbon-black', msg('materials.nameCarbonBlack'), 'additive', 0.3, 1.8, 0, 1, 0],
  ['acrylic-paint', msg('materials.namePaint'), 'additive', 1.2, 1.2, 0, 0, 0],
  ['plasticiser', msg('materials.namePlasticiser'), 'additive', 1.07, 1.07, 0, 0, 0],
  ['pp-fibre', msg('materials.namePolypropyleneFibre'), 'additive', 0.1, 0.91, 0, 0, 0],
  ['nylon-fibre', msg('materials.nameNylonFibre'), 'additive', 0.1, 1.14, 0, 0, 0],
  ['pva-fibre', msg('materials.namePvaFibre'), 'additive', 0.15, 1.3, 0, 0, 0],
  ['glass-fibre', msg('materials.nameGlassFibre'), 'additive', 0.6, 2.68, 0, 0, 0],
  ['acrylic-polymer', msg('materials.namePolymer'), 'additive', 1.04, 1.04, 0, 0, 0],
  ['white-glue', msg('materials.nameWhiteGlue'), 'additive', 1.05, 1.05, 0, 0, 0],
  ['accelerator', msg('materials.nameAccelerator'), 'additive', 0.9, 2.15, 0, 0, 0],
  ['chips', msg('materials.nameChips'), 'additive', 1.5, 2.7, 0.005, 0.02, 8],
  ['silane', msg('materials.sealerSilane'), 'sealer', 0.85, 0.85, 0, 0, 0],
  ['acrylic-film', msg('materials.sealerAcrylic'), 'sealer', 1.03, 1.03, 0, 0, 0],
  ['polyurethane-film', msg('materials.sealerPolyurethane'), 'sealer', 1.05, 1.05, 0, 0, 0],
  ['paste-wax', msg('materials.sealerWax'), 'sealer', 0.85, 0.85, 0, 0, 0],
  ['mineral-oil', msg('materials.sealerOil'), 'sealer', 0.86, 0.86, 0, 0, 0],
];

const families: Record<string, BinderFamily> = {
  'grey-cement': 'portland',
  'white-cement': 'portland',
  'high-early-cement': 'high-early',
  lime: 'lime',
  metakaolin: 'pozzolan',
  'fast-setting': 'sulfoaluminate',
  'gypsum-cement': 'gypsum',
  underlayment: 'portland',
  patch: 'portland',
  'bagged-sand-mix': 'portland',
  'bagged-concrete': 'portland',
};
const bulkings: Record<string, Bulking> = { 'fine-sand': 'fine', 'sharp-sand': 'sharp' };

const powder = (low: number, high: number, binderShare: number, doseShare = 1): PowderWater => ({
  low,
  high,
  binderShare,
  doseShare,
});
const powders: Record<string, PowderWater> = {
  'fast-setting': powder(0.2, 0.25, 0.45),
  'gypsum-cement': powder(0.28, 0.36, 1),
  underlayment: powder(0.2, 0.24, 0.4),
  patch: powder(0.16, 0.2, 0.4),
  'bagged-sand-mix': powder(0.13, 0.17, 0.2, 0.2),
  'bagged-concrete': powder(0.08, 0.11, 0.15, 0.15),
};
const additives: Record<string, AdditiveKind> = {
  'red-oxide': 'powder-pigment',
  'yellow-oxide': 'powder-pigment',
  'brown-oxide': 'powder-pigment',
  ultramarine: 'powder-pigment',
  'bronze-mica': 'powder-pigment',
  'titanium-white': 'powder-pigment',
  'chromium-green': 'powder-pigment',
  'carbon-black': 'powder-pigment',
  'acrylic-paint': 'paint',
  plasticiser: 'plasticiser',
  'pp-fibre': 'micro-fibre',
  'nylon-fibre': 'micro-fibre',
  'pva-fibre': 'micro-fibre',
  'glass-fibre': 'glass-fibre',
  'acrylic-polymer': 'polymer',
  'white-glue': 'glue',
  accelerator: 'accelerator',
  chips: 'chips',
};
const solids: Record<string, number> = {
  'acrylic-paint': 0.5,
  plasticiser: 0.35,
  'acrylic-polymer': 0.45,
  'white-glue': 0.5,
};

/** Colours by which faces are calculated until a chip tells better. */
const faceColours: Record<string, string> = {
  'grey-cement': '#b4b1a9',
  'white-cement': '#ece9e1',
  'high-early-cement': '#b1aea6',
  lime: '#f1eee6',
  metakaolin: '#e6ddd0',
  'fine-sand': '#cdb48a',
  'sharp-sand': '#c0a67c',
  'pea-gravel': '#a8987f',
  perlite: '#efece4',
  vermiculite: '#b89a62',
  'glass-beads': '#ecebe6',
  peat: '#4b3726',
  coir: '#7a5433',
  'fast-setting': '#c6c1b6',
  'gypsum-cement': '#efece5',
  underlayment: '#b9b6ae',
  patch: '#c2beb4',
  'bagged-sand-mix': '#b3ada1',
  'bagged-concrete': '#aaa69b',
  'red-oxide': '#7a2418',
  'yellow-oxide': '#b07a1e',
  'brown-oxide': '#4a2f20',
  ultramarine: '#2b3f9b',
  'bronze-mica': '#96703a',
  'titanium-white': '#f4f3ee',
  'chromium-green': '#3d5e35',
  'carbon-black': '#1d1d1f',
};
const sealerKeys: Record<string, SealerKind> = {
  silane: 'penetrating',
  'acrylic-film': 'acrylic',
  'polyurethane-film': 'polyurethane',
  'paste-wax': 'wax',
  'mineral-oil': 'oil',
};

/** The sheet of a handbook's sealer, as a product of one's own would have it. */
function sheetOf(kind: SealerKind): SealerSheet {
  const { name: _name, film: _film, ...sheet } = sealers[kind];
  return sheet;
}

const tintings: Record<string, Tinting> = {
  'carbon-black': { levelling: 2 },
  ultramarine: { fades: true },
  'bronze-mica': { metallic: true },
};

/** The handbook's materials. Editable defaults: what a caster measures replaces them. */
export const handbookMaterials: readonly HandbookMaterial[] = rows.map(
  ([key, name, kind, bulk, particle, absorption, demand, largestGrain]) => ({
    key,
    name,
    kind,
    bulk,
    particle,
    absorption,
    demand,
    largestGrain,
    bulking: bulkings[key] ?? 'none',
    ...(families[key] && { family: families[key] }),
    ...(powders[key] && { powder: powders[key] }),
    ...(additives[key] && { additive: additives[key] }),
    ...(solids[key] && { solids: solids[key] }),
    ...(faceColours[key] && { colour: faceColours[key] }),
    ...(tintings[key] && { tinting: tintings[key] }),
    ...(sealerKeys[key] && { sealer: sheetOf(sealerKeys[key]) }),
  }),
);

/** The handbook's material of that key. @throws Error for an unknown key. */
export function handbookMaterial(key: string): HandbookMaterial {
  const found = handbookMaterials.find((material) => material.key === key);
  if (!found) throw new Error(`No handbook material “${key}”.`);
  return found;
}
