import {
  askedOf,
  isSound,
  measureBatch,
  measuringFaults,
  RATIO_TOLERANCE,
  type MeasuredBatch,
} from '../../mixing/measuring/index.js';
import { scaleMasses, type BatchMasses } from '../../mixing/mixes/index.js';
import { measuringOf } from './measured-plan.js';
import type { PourPlan } from './plan.js';

/** A plan near to another that its measures fit. */
export interface EvenPlan {
  /** The spare at which what is left over is what was asked for, as a share. */
  readonly spare?: number;
  /** So many moulds in place of the count, where the plan has one kind of mould. */
  readonly count?: number;
}

/** How many moulds more or fewer are looked at. */
const NEARBY = [1, -1, 2, -2, 3, -3];
/** Nobody asks for more spare than this, as a share. */
const MOST_SPARE = 0.3;

/** The nearest count of moulds for which the measures come out; undefined where the plan has several kinds of mould, or none does. */
function evenCount(plan: PourPlan, asked: BatchMasses, { way }: MeasuredBatch): number | undefined {
  const [only, ...others] = plan.items;
  if (!only || others.length > 0) return undefined;
  const sound = (count: number) => {
    const batch = scaleMasses(asked, count / only.count);
    const measuring = measuringOf(plan);
    return isSound(measuringFaults(measureBatch(batch, way, measuring), batch, measuring));
  };
  return NEARBY.map((more) => only.count + more).find((count) => count >= 1 && sound(count));
}

/** What near to a plan of one bucketful or of like ones comes out even, where it does not by itself; undefined where nothing does. */
export function evenPlan(plan: PourPlan, measured: MeasuredBatch): EvenPlan | undefined {
  const asked = askedOf(measured);
  const faults = measuringFaults(measured, asked, measuringOf(plan));
  if (isSound(faults)) return undefined;
  const spare = Math.ceil((plan.spare + faults.over) * 100) / 100;
  const fits = measured.worst <= RATIO_TOLERANCE && faults.short === 0 && faults.wet === 0 && spare <= MOST_SPARE;
  const count = evenCount(plan, asked, measured);
  if (!fits && count === undefined) return undefined;
  return { ...(fits && { spare }), ...(count !== undefined && { count }) };
}
