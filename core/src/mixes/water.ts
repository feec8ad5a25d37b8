import { consistency, type Grade } from './consistency.js';
import { countsAsCement, type Material } from './material.js';
import type { Exposure } from './mix.js';

/** A dry mass of one material in the bucket, g. */
export interface Portion {
  readonly material: Material;
  readonly mass: number;
}

const sum = (portions: readonly Portion[], of: (material: Material) => number) =>
  portions.reduce((total, { material, mass }) => total + of(material) * mass, 0);

/** Water that the grains soak up, g. It takes no room and does not thin the paste. */
export function absorbedWater(portions: readonly Portion[]): number {
  return sum(portions, (material) => material.absorption);
}

/** Factor range over which a ready-made powder goes from its least to its most water. */
const POWDER_FACTORS = [0.85, 1.22] as const;

function powderDemand(material: Material, factor: number): number {
  const { low, high } = material.powder!;
  const [from, to] = POWDER_FACTORS;
  const share = Math.min(1, Math.max(0, (factor - from) / (to - from)));
  return low + (high - low) * share;
}

/**
 * First estimate of total water at a consistency, g: Σ absorption·m + f·Σ (demand − absorption)·m.
 * `learned` multiplies the second term by what the mix's own batches showed.
 */
export function totalWater(portions: readonly Portion[], grade: Grade, learned = 1): number {
  const { factor } = consistency(grade);
  const demand = sum(portions, (material) =>
    material.powder ? powderDemand(material, factor) : factor * (material.demand - material.absorption),
  );
  return absorbedWater(portions) + learned * demand;
}

/** Mass that counts as cement in w/c, g. */
export function cementMass(portions: readonly Portion[]): number {
  return sum(portions, (material) => (countsAsCement(material) ? (material.powder?.binderShare ?? 1) : 0));
}

/** Highest w/c that lasts where the piece will live. */
export const ratioCeiling: Record<Exposure, number> = { indoors: 0.75, outdoors: 0.65, frost: 0.5 };

/** Share of the tap water put in at first, and share of it in each splash. */
export const FIRST_WATER = 0.8;
export const SPLASH = 0.05;
