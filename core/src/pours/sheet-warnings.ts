import { RATIO_TOLERANCE, ratioCeiling, scoopedRatio, type BatchMasses, type ScoopedLine } from '../mixes/index.js';
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
  /** Whether a batch can be placed before it stiffens. */
  readonly inTime: boolean;
}

/** What to beware of with a sheet beyond its mix, as sentences. */
export function sheetWarnings(plan: PourPlan, { batch, rows, water, ratio, leftover, inTime }: KnownOfSheet): string[] {
  const found = roundingWarnings(rows);
  found.push(...ratioWarning(plan, batch, rows, ratio));
  if (water.brought > 0 && water.tap.value === 0)
    found.push('The damp materials bring all the water by themselves: dry them, or use drier ones.');
  if (plan.temperature < 5 && plan.setting === 'portland')
    found.push('Below 5 °C cement hardly sets: warm the place, or wait.');
  if (leftover < 0)
    found.push('Rounded like this the scoops fall short of the moulds: use finer steps, or more spare.');
  if (!inTime)
    found.push(
      'The mix stiffens before one mould is filled: use cooler water and shade, a smaller batch, a retarder by its sheet, or another pair of hands.',
    );
  return found;
}
