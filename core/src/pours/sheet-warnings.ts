import {
  isAccelerated,
  RATIO_TOLERANCE,
  ratioCeiling,
  scoopedRatio,
  type BatchMasses,
  type ScoopedLine,
} from '../mixes/index.js';
import type { BigMould } from './bucketfuls.js';
import { layerWait } from './layer-waits.js';
import type { PourPlan } from './plan.js';
import type { WaterPlan } from './water-plan.js';

/** Rounding that takes water to cement over the ceiling, where the recipe keeps under it. */
function ratioWarning(plan: PourPlan, batch: BatchMasses, rows: readonly ScoopedLine[], ratio: number): string[] {
  const ceiling = ratioCeiling[plan.mix.exposure];
  if (rows.length === 0) return [];
  const scooped = scoopedRatio(batch, rows, plan.moisture, plan.mix.limeCounts);
  if (ratio > ceiling || scooped <= ceiling || plan.mix.lines.some(({ material }) => material.powder)) return [];
  return [
    `Rounded scoops take water to cement to ${scooped.toFixed(2)}, over ${ceiling}: use finer steps, or weigh the cement.`,
  ];
}

/** Materials that rounded scoops take too far from their ratio. */
export const roundingWarnings = (rows: readonly Pick<ScoopedLine, 'material' | 'ratioError'>[]): string[] =>
  rows
    .filter(({ ratioError }) => Math.abs(ratioError) > RATIO_TOLERANCE)
    .map(
      ({ material: { name }, ratioError }) =>
        `Rounded scoops put ${name.toLowerCase()} ${Math.abs(ratioError * 100).toFixed(0)} % ${ratioError > 0 ? 'over' : 'under'} its ratio: use finer steps, or weigh it.`,
    );

/** What was reckoned of one batch of a sheet. */
export interface KnownOfSheet {
  readonly batch: BatchMasses;
  readonly rows: readonly ScoopedLine[];
  readonly water: WaterPlan;
  /** Water to cement by the recipe. */
  readonly ratio: number;
  /** Mix left over, mL; below 0 it falls short. */
  readonly leftover: number;
  /** Moulds that want more than the bucket mixes at once. */
  readonly big: readonly BigMould[];
  /** Whether a batch can be placed before it stiffens. */
  readonly inTime: boolean;
}

/** A mould that takes more than one bucket: lifts of it must grow together. */
function bigWarning(plan: PourPlan, { name, volume, most }: BigMould): string {
  const litres = (mL: number) => `${(mL / 1000).toFixed(1)} L`;
  const { to } = layerWait('blended', plan.setting, plan.temperature, isAccelerated(plan.mix));
  const within = to.value < 1 ? `${Math.round(to.value * 60)} minutes` : `${to.value.toFixed(1)} hours`;
  return `${name} takes ${litres(volume)}, and the bucket mixes ${litres(most)} at once: each bucket goes in while the last is plastic, within ${within}. More hands, a bigger bucket, a retarder by its product’s sheet or smaller lifts help; onto a lift that has set, scratch it and damp it first.`;
}

const OUT_OF_TIME =
  'Use cooler water and shade, a smaller batch, another pair of hands, or a retarder by its product’s sheet; else fill it in smaller lifts, each scratched and damped before the next.';

/** What to beware of with a sheet beyond its mix, as sentences. */
export function sheetWarnings(
  plan: PourPlan,
  { batch, rows, water, ratio, leftover, big, inTime }: KnownOfSheet,
): string[] {
  const found = roundingWarnings(rows);
  found.push(...ratioWarning(plan, batch, rows, ratio));
  if (water.brought > 0 && water.tap.value === 0)
    found.push('The damp materials bring all the water by themselves: dry them, or use drier ones.');
  if (plan.temperature < 5 && plan.setting === 'portland')
    found.push('Below 5 °C cement hardly sets: warm the place, or wait.');
  if (leftover < 0)
    found.push('Rounded like this the scoops fall short of the moulds: use finer steps, or more spare.');
  found.push(...big.map((one) => bigWarning(plan, one)));
  if (!inTime) {
    const names = [...new Set(plan.items.map(({ name }) => name))];
    found.push(`The mix stiffens before one ${names.join(', or one ')} is filled. ${OUT_OF_TIME}`);
  }
  return found;
}
