import { defined } from '../../foundation/math/index.js';
import {
  absorbedWater,
  batchOf,
  broughtWater,
  cementMass,
  ratioCeiling,
  scaleMasses,
  type BatchMasses,
  type Mix,
  type MixConditions,
} from '../mixes/index.js';
import { binderAt, linesToMeasure, type LineMeasures } from './measure-line.js';
import {
  countMeasures,
  RATIO_TOLERANCE,
  type MeasuredBatch,
  type MeasuredLine,
  type MeasuringWay,
  type Vessels,
} from './ways.js';

/** What a batch is measured for. */
export interface Measuring {
  readonly mix: Mix;
  readonly conditions: MixConditions;
  readonly vessels: Vessels;
  /** Share of dry mass by material id. */
  readonly moisture: Readonly<Record<string, number>>;
  /** How much more than what is needed the batch is, as a share of the need. */
  readonly spare: number;
}

/** What measuring may add to the spare, or fall short by, as a share: arithmetic, not mix. */
const HAIR = 1e-6;

/** Mix that nobody misses or sees, as a share of a batch: no more than that is nothing left over. */
export const UNSEEN = 0.005;

/** Free water to cement; 0 where there is none. */
const waterToCement = (batch: Pick<BatchMasses, 'portions' | 'freeWater'>, withLime?: boolean): number => {
  const cement = cementMass(batch.portions, { withLime });
  return cement > 0 ? batch.freeWater / cement : 0;
};

/** A batch with its lines measured as they were found, made as large as its binder came out, so that the water fits it. */
export function measuredBatch(
  batch: BatchMasses,
  way: MeasuringWay,
  found: readonly LineMeasures[],
  { mix, conditions, moisture }: Pick<Measuring, 'mix' | 'conditions' | 'moisture'>,
): MeasuredBatch {
  const wanted = linesToMeasure(batch, moisture);
  const stretch = (i: number) => defined(found[i]).measured / defined(wanted[i]).mass;
  const factor = stretch(binderAt(wanted));
  const lines = wanted.map(({ material, mass, room }, i): MeasuredLine => ({
    material,
    mass: mass * factor,
    room: room * factor,
    ...defined(found[i]),
    ratioError: stretch(i) / factor - 1,
  }));
  const told = scaleMasses(batch, factor);
  const portions = lines.map(({ material, measured }) => ({ material, mass: measured }));
  const water = told.totalWater - broughtWater(told, moisture) + broughtWater({ portions }, moisture);
  return {
    way,
    factor,
    batch: told,
    lines,
    made: batchOf(mix, conditions, { portions, doses: told.doses }, water).volume,
    worst: Math.max(0, ...lines.map(({ ratioError }) => Math.abs(ratioError))),
    measures: lines.reduce((sum, line) => sum + countMeasures(line.measures), 0),
    ratio: waterToCement({ portions, freeWater: water - absorbedWater(portions) }, mix.limeCounts),
  };
}

/** The batch that was asked for, where it was measured so. */
export const askedOf = ({ batch, factor }: MeasuredBatch): BatchMasses => scaleMasses(batch, 1 / factor);

/** The lines of a batch as they are before they are measured. */
export const unmeasured = (
  batch: Pick<BatchMasses, 'portions'>,
  moisture: Readonly<Record<string, number>>,
): Pick<MeasuredBatch, 'lines'> => ({
  lines: linesToMeasure(batch, moisture).map(({ material, mass, room }) => ({
    material,
    mass,
    room,
    measures: [],
    measured: mass,
    ratioError: 0,
  })),
});

/** What speaks against a measured batch; each is 0 where nothing does, and the smaller the better. */
export interface MeasuringFaults {
  /** Falls short of the need by this share. */
  readonly short: number;
  /** Ratios off by more than 3 %, and by how much more. */
  readonly off: number;
  /** Water to cement goes over its ceiling by this, where the recipe keeps under it. */
  readonly wet: number;
  /** Left over beyond the spare, as a share of the need. */
  readonly over: number;
}

/** What speaks against a batch as it is measured, beside the one (its spare in it) that was asked for. */
export function measuringFaults(
  found: MeasuredBatch,
  batch: BatchMasses,
  { mix, spare }: Pick<Measuring, 'mix' | 'spare'>,
): MeasuringFaults {
  const need = batch.volume / (1 + spare);
  const left = found.made / need - 1;
  const ceiling = ratioCeiling[mix.exposure];
  const judged = waterToCement(batch, mix.limeCounts) <= ceiling && !mix.lines.some(({ material }) => material.powder);
  // A scale rounds each line by a part of its step; what that leaves is not seen in a bucket.
  const steps = found.way === 'scale' || found.way === 'scoop-and-scale' ? UNSEEN : 0;
  const past = (value: number) => (value > HAIR ? value : 0);
  return {
    short: past(-left),
    off: past(found.worst - RATIO_TOLERANCE),
    wet: judged ? past(found.ratio - ceiling) : 0,
    over: past(left - spare - steps),
  };
}

/** Whether nothing speaks against it. */
export const isSound = ({ short, off, wet, over }: MeasuringFaults): boolean => short + off + wet + over === 0;
