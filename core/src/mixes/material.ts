/** What a material does in a mix. */
export type MaterialKind = 'binder' | 'binder-part' | 'aggregate' | 'lightweight' | 'organic' | 'pre-blend' | 'pigment';

/** Families of binders, which bind water and gain strength in their own ways. */
export type BinderFamily = 'portland' | 'sulfoaluminate' | 'gypsum' | 'lime' | 'pozzolan';

/** How sand swells when damp. */
export type Bulking = 'fine' | 'sharp' | 'none';

/** What the bag of a ready-made powder says. */
export interface PowderWater {
  /** Least and most water by powder mass. */
  readonly low: number;
  readonly high: number;
  /** Binder's share of the powder. */
  readonly binderShare: number;
}

/** A material as it is scooped. Densities in kg/L, absorption as share of dry mass, demand in kg of water per kg, grain in mm. */
export interface Material {
  readonly id: string;
  readonly name: string;
  readonly kind: MaterialKind;
  readonly bulk: number;
  readonly particle: number;
  readonly absorption: number;
  readonly demand: number;
  readonly largestGrain: number;
  readonly bulking: Bulking;
  readonly family?: BinderFamily;
  readonly powder?: PowderWater;
}

/** A material of the handbook, before a workshop has taken it over: `key` in place of an id. */
export type HandbookMaterial = Omit<Material, 'id'> & { readonly key: string };

type Row = [
  key: string,
  name: string,
  kind: MaterialKind,
  bulk: number,
  particle: number,
  absorption: number,
  demand: number,
  grain: number,
];

const rows: readonly Row[] = [
  ['grey-cement', 'Grey Portland cement', 'binder', 1.3, 3.15, 0, 0.27, 0.1],
  ['white-cement', 'White Portland cement', 'binder', 1.15, 3.1, 0, 0.29, 0.1],
  ['lime', 'Hydrated lime', 'binder', 0.5, 2.25, 0, 0.55, 0.1],
  ['metakaolin', 'Metakaolin', 'binder-part', 0.4, 2.5, 0, 0.6, 0.1],
  ['fine-sand', 'Fine sand', 'aggregate', 1.5, 2.65, 0.01, 0.09, 1],
  ['sharp-sand', 'Sharp sand', 'aggregate', 1.6, 2.65, 0.008, 0.07, 4],
  ['pea-gravel', 'Pea gravel', 'aggregate', 1.55, 2.65, 0.007, 0.02, 10],
  ['perlite', 'Perlite, coarse', 'lightweight', 0.1, 0.25, 1.1, 1.8, 6],
  ['vermiculite', 'Vermiculite, medium', 'lightweight', 0.12, 0.3, 1.5, 2.3, 4],
  ['glass-beads', 'Expanded-glass beads', 'lightweight', 0.3, 0.55, 0.1, 0.25, 2],
  ['peat', 'Peat, riddled', 'organic', 0.15, 0.4, 1.8, 2.5, 6],
  ['coir', 'Coir, fluffed', 'organic', 0.1, 0.34, 2.2, 3, 6],
];

const families: Record<string, BinderFamily> = {
  'grey-cement': 'portland',
  'white-cement': 'portland',
  lime: 'lime',
  metakaolin: 'pozzolan',
};
const bulkings: Record<string, Bulking> = { 'fine-sand': 'fine', 'sharp-sand': 'sharp' };

/** The handbook's materials for site-mixed work. Editable defaults: what a caster measures replaces them. */
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
  }),
);

/** The handbook's material of that key. @throws Error for an unknown key. */
export function handbookMaterial(key: string): HandbookMaterial {
  const found = handbookMaterials.find((material) => material.key === key);
  if (!found) throw new Error(`No handbook material “${key}”.`);
  return found;
}

/** Whether a material's mass counts as cement in w/c. Lime and metakaolin do not, unless the caster says so. */
export function countsAsCement(material: Material): boolean {
  return material.family === 'portland' || material.family === 'sulfoaluminate' || material.family === 'gypsum';
}
