import { consistency, type Grade } from './consistency.js';
import { absorbedWater, waterDemand, type Portion } from './water.js';

/** A factor that a mix's own batches taught, and from how many. None: 1, the handbook's. */
export interface Learned {
  readonly factor: number;
  readonly batches: number;
}

/** Batches that weigh as much as the handbook. */
const HANDBOOK_WEIGHS = 3;

/** Mean of what batches showed, drawn towards 1: weight n/(n + 3) on the mean, the rest on 1. */
export function shrunkenMean(ratios: readonly number[]): Learned {
  const n = ratios.length;
  const mean = n === 0 ? 1 : ratios.reduce((sum, ratio) => sum + ratio, 0) / n;
  return { factor: (n * mean + HANDBOOK_WEIGHS) / (n + HANDBOOK_WEIGHS), batches: n };
}

/** One batch as it really was: its dry solids, all its water in g, the consistency reached, the cut of its plasticiser. */
export interface WateredBatch {
  readonly solids: readonly Portion[];
  readonly totalWater: number;
  readonly grade: Grade;
  readonly cut: number;
}

/** How a batch's thirst compares with the handbook's: (T − Σ absorption·m) ÷ (f·(1 − cut)·Σ (demand − absorption)·m). */
export function demandRatio({ solids, totalWater, grade, cut }: WateredBatch): number {
  return (totalWater - absorbedWater(solids)) / ((1 - cut) * waterDemand(solids, consistency(grade).factor));
}
