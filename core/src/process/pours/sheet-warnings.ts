import { msg, quantity, fixed, type Message } from '../../foundation/units/index.js';
import { askedOf, measuringFaults, RATIO_TOLERANCE, type MeasuredBatch } from '../../mixing/measuring/index.js';
import type { Scoop } from '../../mixing/materials/index.js';
import { ratioCeiling } from '../../mixing/mixes/index.js';
import { plasticFor } from './layer-waits.js';
import { measuringOf } from './measured-plan.js';
import type { PourPlan } from './plan.js';
import type { WaterPlan } from './water-plan.js';

const tenth = (share: number) => quantity(Math.abs(share) * 100, '%', 0);

/** More than this share over is the fault of the scoop. */
const FAR_OVER = 0.3;

/** The scoop that is too large for a batch; undefined where that is not what is wrong. */
function tooLargeFor({ lines }: MeasuredBatch, over: number): Scoop | undefined {
  const measures = lines.flatMap((line) => line.measures);
  const scoops = measures.flatMap((one) => (one.kind === 'scoop' ? [one.scoop] : []));
  if (over < FAR_OVER || scoops.length === 0) return undefined;
  return scoops.reduce((a, b) => (b.volume > a.volume ? b : a));
}

/** Nothing measures out closer, and this much is left over. */
function leftOverWarning(measured: MeasuredBatch, over: number): Message {
  const scoop = tooLargeFor(measured, over);
  return scoop
    ? msg('pours.scoopTooLarge', { over: tenth(over), name: scoop.name, volume: quantity(scoop.volume, 'mL') })
    : msg('pours.leftOverMeasured', { over: tenth(over), way: measured.way });
}

/** Scoops of which less than one holds more than a line wants. */
function tooLarge({ lines }: MeasuredBatch, step: number): Message[] {
  return lines.flatMap(({ material, measures, room }) => {
    const [first] = measures;
    if (first?.kind !== 'scoop' || measures.length > 1 || room >= first.scoop.volume * step * 0.75) return [];
    return [
      msg('pours.scoopTooLargeForLine', {
        scoop: first.scoop.name,
        room: quantity(room, 'mL', 0),
        material: material.name,
      }),
    ];
  });
}

/** What is off where a batch is measured so, as sentences with their remedy. */
export function measuringWarnings(plan: PourPlan, measured: MeasuredBatch): Message[] {
  const { short, wet, over } = measuringFaults(measured, askedOf(measured), measuringOf(plan));
  const { way, lines, ratio, worst } = measured;
  const found = lines
    .filter(({ ratioError }) => Math.abs(ratioError) > RATIO_TOLERANCE)
    .map(({ material: { name }, ratioError }) =>
      msg('pours.offRatio', {
        name,
        ratioError: tenth(ratioError),
        over: ratioError > 0 ? 'yes' : 'no',
        way,
      }),
    );
  if (wet > 0)
    found.push(
      msg('pours.tooWetMeasured', {
        ratio: fixed(ratio, 2),
        ceiling: fixed(ratioCeiling[plan.mix.exposure], 2),
        way,
      }),
    );
  if (short > 0) found.push(msg('pours.shortMeasured', { short: tenth(short), way }));
  if (over > 0.01 && worst <= RATIO_TOLERANCE) found.push(leftOverWarning(measured, over));
  return [...found, ...tooLarge(measured, plan.step)];
}

/** What is off where damp materials bring more water than is wanted, as sentences. */
export function waterWarnings({ brought, tap }: WaterPlan): Message[] {
  if (brought === 0 || tap.value > 0) return [];
  return [msg('pours.dampBringsAll')];
}

/** What a bucketful fills: which of the plan's items, and which of its moulds. */
interface Filled {
  readonly fillings: readonly { readonly item: number; readonly copies: readonly number[] }[];
}

/** Which moulds are filled from more than one bucketful because they may be, and how soon each must follow, as sentences. */
export function splitWarnings(plan: PourPlan, bucketfuls: readonly Filled[]): Message[] {
  return plan.items.flatMap(({ name, split, count }, at) => {
    const filled = bucketfuls.reduce(
      (sum, { fillings }) => sum + fillings.reduce((n, { item, copies }) => n + (item === at ? copies.length : 0), 0),
      0,
    );
    return split && filled > count ? [msg('pours.splitMould', { name, plan: plasticFor(plan) })] : [];
  });
}
