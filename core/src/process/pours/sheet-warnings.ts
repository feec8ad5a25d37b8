import {
  askedOf,
  measuringFaults,
  RATIO_TOLERANCE,
  type MeasuredBatch,
  type MeasuringWay,
} from '../../mixing/measuring/index.js';
import { ratioCeiling } from '../../mixing/mixes/index.js';
import { plasticFor } from './layer-waits.js';
import { measuringOf } from './measured-plan.js';
import type { PourPlan } from './plan.js';
import type { WaterPlan } from './water-plan.js';

const tenth = (share: number) => `${(Math.abs(share) * 100).toFixed(0)} %`;

/** What a caster does about measures that do not come out. */
const remedyOf = (way: MeasuringWay) =>
  way === 'scale' ? 'use a finer scale, or make more at once' : 'use finer steps or a smaller scoop, or weigh it';

/** More than this share over is the fault of the scoop. */
const FAR_OVER = 0.3;

/** The scoop that is too large for a batch, with the way out; undefined where that is not what is wrong. */
function tooLargeFor({ lines }: MeasuredBatch, over: number): string | undefined {
  const measures = lines.flatMap((line) => line.measures);
  const scoops = measures.flatMap((one) => (one.kind === 'scoop' ? [one.scoop] : []));
  if (over < FAR_OVER || scoops.length === 0) return undefined;
  const { name, volume } = scoops.reduce((a, b) => (b.volume > a.volume ? b : a));
  return `${name} of ${(volume / 1000).toFixed(1)} L is too large for this batch, use a smaller scoop or weigh it`;
}

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
      `Measured like this the water–cement ratio comes to ${ratio.toFixed(2)}, over ${ratioCeiling[plan.mix.exposure]}: ${remedyOf(way)}.`,
    );
  if (short > 0) found.push(`Measured like this it falls short of the moulds by ${tenth(short)}: ${remedyOf(way)}.`);
  if (over > 0.01 && worst <= RATIO_TOLERANCE)
    found.push(
      `No measures come out closer: ${tenth(over)} more than asked for is left over: ${tooLargeFor(measured, over) ?? remedyOf(way)}.`,
    );
  return [...found, ...tooLarge(measured, plan.step)];
}

/** What is off where damp materials bring more water than is wanted, as sentences. */
export function waterWarnings({ brought, tap }: WaterPlan): string[] {
  if (brought === 0 || tap.value > 0) return [];
  return ['The damp materials bring all the water by themselves: dry them, or use drier ones.'];
}

/** What a bucketful fills: which of the plan's items, and which of its moulds. */
interface Filled {
  readonly fillings: readonly { readonly item: number; readonly copies: readonly number[] }[];
}

/** Which moulds are filled from more than one bucketful because they may be, and how soon each must follow, as sentences. */
export function splitWarnings(plan: PourPlan, bucketfuls: readonly Filled[]): string[] {
  return plan.items.flatMap(({ name, split, count }, at) => {
    const filled = bucketfuls.reduce(
      (sum, { fillings }) => sum + fillings.reduce((n, { item, copies }) => n + (item === at ? copies.length : 0), 0),
      0,
    );
    return split && filled > count
      ? [
          `${name} is filled from more than one bucket: each goes in while the last is plastic, within ${plasticFor(plan)}.`,
        ]
      : [];
  });
}
