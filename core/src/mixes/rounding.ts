import { inScoops, type Scoop, type ScoopStep } from '../stores/index.js';
import type { BatchMasses } from './batch.js';
import { scaleMasses } from './batch.js';
import { broughtWater } from './correct.js';
import { scoopedVolume } from './damp-sand.js';
import { isBinder, type Material } from './material.js';
import { absorbedWater, cementMass } from './water.js';

/** One line of a batch in scoops. */
export interface ScoopedLine {
  readonly material: Material;
  /** Dry mass that it should be, g. */
  readonly mass: number;
  /** Room that it takes in the scoop, damp as it is, mL. */
  readonly volume: number;
  readonly exact: number;
  readonly count: number;
  /** How far the rounding takes its ratio to the binder, as a share. */
  readonly ratioError: number;
}

/** Error of a ratio from which rounding is warned of. */
export const RATIO_TOLERANCE = 0.03;

/** A batch by the caster's own scoop, each line to the nearest step. `moisture`: share of dry mass by material id. */
export function roundToScoops(
  batch: BatchMasses,
  moisture: Readonly<Record<string, number>>,
  scoop: Scoop,
  step: ScoopStep,
): ScoopedLine[] {
  const lines = batch.portions.map(({ material, mass }) => {
    const volume = scoopedVolume(material, mass, moisture[material.id] ?? 0);
    return { material, mass, volume, ...inScoops(volume, scoop, step) };
  });
  const binder = lines.find(({ material }) => isBinder(material)) ?? lines[0]!;
  const stretch = binder.count / binder.exact;
  return lines.map((line) => ({ ...line, ratioError: line.count / line.exact / stretch - 1 }));
}

/** Largest error that rounding makes to a ratio, as a share. */
export const worstError = (lines: readonly ScoopedLine[]): number =>
  Math.max(0, ...lines.map(({ ratioError }) => Math.abs(ratioError)));

/** Water to cement of the batch as it is scooped, its tap water as it was told. */
export function scoopedRatio(
  batch: BatchMasses,
  lines: readonly ScoopedLine[],
  moisture: Readonly<Record<string, number>>,
  withLime?: boolean,
): number {
  const portions = lines.map(({ material, mass, count, exact }) => ({
    material,
    mass: exact > 0 ? (mass * count) / exact : 0,
  }));
  const tap = batch.totalWater - broughtWater(batch, moisture);
  const water = tap + broughtWater({ portions }, moisture) - absorbedWater(portions);
  return water / cementMass(portions, { withLime });
}

/** A size near a batch's own at which the scoops come out better. */
export interface BetterRounding {
  readonly factor: number;
  readonly lines: readonly ScoopedLine[];
  readonly worst: number;
}

/** A line of more steps than this rounds so well that its own counts are not tried. */
const MOST_STEPS = 400;
/** How far the size may change for a better rounding, as a share. */
const REACH = 0.25;

/** The size within a quarter of a batch's own at which rounding errs least; undefined where its own is as good. */
export function betterRounding(
  batch: BatchMasses,
  moisture: Readonly<Record<string, number>>,
  scoop: Scoop,
  step: ScoopStep,
): BetterRounding | undefined {
  const own = roundToScoops(batch, moisture, scoop, step);
  const factors = own.flatMap(({ exact }) => {
    const counts: number[] = [];
    if (exact / step > MOST_STEPS) return counts;
    for (let n = Math.ceil((exact * (1 - REACH)) / step); n <= (exact * (1 + REACH)) / step; n++) counts.push(n * step);
    return counts.filter((count) => count > 0).map((count) => count / exact);
  });
  const tried = factors.map((factor): BetterRounding => {
    const lines = roundToScoops(scaleMasses(batch, factor), moisture, scoop, step);
    return { factor, lines, worst: worstError(lines) };
  });
  const far = ({ factor }: BetterRounding) => Math.abs(Math.log(factor));
  const best = tried.sort((a, b) => a.worst - b.worst || far(a) - far(b))[0];
  return best && best.worst < worstError(own) - 1e-9 ? best : undefined;
}
