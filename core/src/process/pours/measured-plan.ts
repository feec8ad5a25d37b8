import { defined } from '../../foundation/math/index.js';
import { line, type WorkingLine, msg } from '../../foundation/units/index.js';
import {
  askedOf,
  measureBatch,
  measuringChoices,
  proposeWay,
  type MeasuringChoice,
  type MeasuredBatch,
  type Measuring,
  type MeasuringWay,
  type ProposedWay,
} from '../../mixing/measuring/index.js';
import type { BatchMasses } from '../../mixing/mixes/index.js';
import { KITCHEN_SCALE, type PourPlan } from './plan.js';
import type { Sheet } from './sheet.js';

/** What a plan's batches are measured for and with. */
export const measuringOf = ({
  mix,
  conditions,
  moisture,
  spare,
  scoop,
  scoops,
  step,
  scaleStep = KITCHEN_SCALE,
}: PourPlan): Measuring => ({
  mix,
  conditions,
  moisture,
  spare,
  vessels: { scoop, scoops: scoops ?? (scoop ? [scoop] : []), step, scaleStep },
});

/** A batch of a plan as it is measured out in a way. @throws InputError */
export const measuredAs = (plan: PourPlan, batch: BatchMasses, way: MeasuringWay): MeasuredBatch =>
  measureBatch(batch, way, measuringOf(plan));

/** How a plan is measured: as was chosen, else as is best for its first batch. @throws InputError */
export const proposedFor = (plan: PourPlan, batch: BatchMasses): ProposedWay =>
  plan.measuring
    ? { way: plan.measuring, reason: msg('pours.asChosen') }
    : proposeWay(batch, measuringOf(plan), plan.binderClass);

/** The line of a working that tells how measuring changed an amount; none where it did not. */
export const measuredLine = (factor: number): WorkingLine[] =>
  Math.abs(factor - 1) < 1e-6 ? [] : [line(msg('pours.timesMeasures'), factor, 'ratio')];

/** How a plan's first bucketful comes out in every way that the caster has the vessels for. @throws InputError */
export const measuringChoicesOf = (plan: PourPlan, { bucketfuls }: Pick<Sheet, 'bucketfuls'>): MeasuringChoice[] =>
  measuringChoices(askedOf(defined(bucketfuls[0]).measured), measuringOf(plan));
