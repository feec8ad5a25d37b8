import {
  askedOf,
  measuringFaults,
  RATIO_TOLERANCE,
  type MeasuredBatch,
  type MeasuringWay,
} from '../measuring/index.js';
import { isAccelerated, ratioCeiling } from '../mixes/index.js';
import type { BigMould } from './bucketfuls.js';
import { layerWait } from './layer-waits.js';
import { measuringOf } from './measured.js';
import type { PourPlan } from './plan.js';
import type { WaterPlan } from './water-plan.js';

const tenth = (share: number) => `${(Math.abs(share) * 100).toFixed(0)} %`;

/** What a caster does about measures that do not come out. */
const remedyOf = (way: MeasuringWay) =>
  way === 'scale' ? 'use a finer scale, or make more at once' : 'use finer steps or a smaller scoop, or weigh it';

/** Scoops of which less than one holds more than a line wants. */
function tooLarge({ lines }: MeasuredBatch, step: number): string[] {
  return lines.flatMap(({ material, measures, room }) => {
    const [first] = measures;
    if (first?.kind !== 'scoop' || measures.length > 1 || room >= first.scoop.volume * step * 0.75) return [];
    return [
      `${first.scoop.name} is too large for ${room.toFixed(0)} mL of ${material.name.toLowerCase()}: use a smaller scoop, or weigh it.`,
    ];
  });
}

/** What is off where a batch is measured so, as sentences with their remedy. */
export function measuringWarnings(plan: PourPlan, measured: MeasuredBatch): string[] {
  const { short, wet, over } = measuringFaults(measured, askedOf(measured), measuringOf(plan));
  const { way, lines, ratio, worst } = measured;
  const found = lines
    .filter(({ ratioError }) => Math.abs(ratioError) > RATIO_TOLERANCE)
    .map(
      ({ material: { name }, ratioError }) =>
        `Measured like this ${name.toLowerCase()} is ${tenth(ratioError)} ${ratioError > 0 ? 'over' : 'under'} its ratio: ${remedyOf(way)}.`,
    );
  if (wet > 0)
    found.push(
      `Measured like this water to cement comes to ${ratio.toFixed(2)}, over ${ratioCeiling[plan.mix.exposure]}: ${remedyOf(way)}.`,
    );
  if (short > 0) found.push(`Measured like this it falls short of the moulds by ${tenth(short)}: ${remedyOf(way)}.`);
  if (over > 0.01 && worst <= RATIO_TOLERANCE)
    found.push(`No measures come out closer: ${tenth(over)} more than asked for is left over.`);
  return [...found, ...tooLarge(measured, plan.step)];
}

/** What was reckoned of one batch of a sheet. */
export interface KnownOfSheet {
  readonly water: WaterPlan;
  /** What is off with its measures. */
  readonly measuring: readonly string[];
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
export function sheetWarnings(plan: PourPlan, { water, measuring, big, inTime }: KnownOfSheet): string[] {
  const found = [...measuring];
  if (water.brought > 0 && water.tap.value === 0)
    found.push('The damp materials bring all the water by themselves: dry them, or use drier ones.');
  if (plan.temperature < 5 && plan.setting === 'portland')
    found.push('Below 5 °C cement hardly sets: warm the place, or wait.');
  found.push(...big.map((one) => bigWarning(plan, one)));
  if (!inTime) {
    const names = [...new Set(plan.items.map(({ name }) => name))];
    found.push(`The mix stiffens before one ${names.join(', or one ')} is filled. ${OUT_OF_TIME}`);
  }
  return found;
}
