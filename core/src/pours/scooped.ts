import { batchOf, type BatchMasses, type ScoopedLine } from '../mixes/index.js';
import type { PourPlan } from './plan.js';

/** Volume that a batch really comes to when it is mixed by its rounded scoops, mL. */
export function scoopedVolume(plan: PourPlan, rows: readonly ScoopedLine[], batch: BatchMasses): number {
  const portions = batch.portions.map(({ material, mass }, i) => {
    const { count, exact } = rows[i]!;
    return { material, mass: exact > 0 ? (mass * count) / exact : mass };
  });
  return batchOf(plan.mix, plan.conditions, { portions, doses: batch.doses }, batch.totalWater).volume;
}
