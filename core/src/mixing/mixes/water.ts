import { defined } from '../../foundation/math/index.js';
import { countsAsCement, type Material } from '../materials/index.js';
import { consistency, type Grade } from './consistency.js';
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
  const { low, high } = defined(material.powder);
  const [from, to] = POWDER_FACTORS;
  const share = Math.min(1, Math.max(0, (factor - from) / (to - from)));
  return low + (high - low) * share;
}

/** Water that is asked for beyond what the grains soak up, g, before a plasticiser: f·Σ (demand − absorption)·m. */
export function waterDemand(portions: readonly Portion[], factor: number): number {
  return sum(portions, (material) =>
    material.powder ? powderDemand(material, factor) : factor * (material.demand - material.absorption),
  );
}

/** What changes the demand: the cut of a plasticiser as a share, and the factor that the mix's own batches showed. */
export interface DemandChanges {
  readonly cut?: number;
  readonly learned?: number | undefined;
}

/**
 * First estimate of total water at a consistency, g: Σ absorption·m + f·(1 − cut)·Σ (demand − absorption)·m,
 * the second term times what was learned.
 */
export function totalWater(
  portions: readonly Portion[],
  grade: Grade,
  { cut = 0, learned = 1 }: DemandChanges = {},
): number {
  return absorbedWater(portions) + learned * (1 - cut) * waterDemand(portions, consistency(grade).factor);
}

/** How cement is counted: with lime or without, and which share of a ready-made powder is it. */
export interface CementCount {
  readonly withLime?: boolean | undefined;
  readonly share?: (material: Material) => number;
}

const binderShare = ({ powder }: Material) => powder?.binderShare ?? 1;

/** Mass that counts as cement in w/c, g. */
export function cementMass(portions: readonly Portion[], { withLime, share = binderShare }: CementCount = {}): number {
  return sum(portions, (material) => (countsAsCement(material, withLime) ? share(material) : 0));
}

/** Mass that doses "of binder" are calculated on, g: every binder and part of one, a ready-made powder as its product says. */
export function binderMass(portions: readonly Portion[]): number {
  return sum(portions, ({ family, powder }) => (family ? (powder?.doseShare ?? 1) : 0));
}

/** Least and most total water that the ready-made powders of a batch take, g; undefined where there is none, or other cement beside. */
export function powderRange(portions: readonly Portion[], factor: number): { low: number; high: number } | undefined {
  const powders = portions.filter(({ material }) => material.powder);
  const others = portions.filter(({ material }) => !material.powder);
  if (powders.length === 0 || cementMass(others) > 0) return undefined;
  const rest = absorbedWater(others) + waterDemand(others, factor);
  const of = (end: 'low' | 'high') =>
    powders.reduce((total, { material, mass }) => total + mass * defined(material.powder)[end], rest);
  return { low: of('low'), high: of('high') };
}

/** Highest w/c that lasts where the piece will live. */
export const ratioCeiling: Record<Exposure, number> = { indoors: 0.75, outdoors: 0.65, frost: 0.5 };

/** Share of the tap water put in at first, and share of it in each splash. */
export const FIRST_WATER = 0.8;
export const SPLASH = 0.05;
/** Share of the powder held back where powder goes into water. */
export const LAST_POWDER = 0.1;
