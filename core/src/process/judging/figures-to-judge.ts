import { BUCKET_SHARE, calculateMix, potLifeAndSet } from '../../mixing/mixes/index.js';
import { filledInTime, mouldsPerBatch, pieceFigures, stretchOf, WORK_TIMES, type PourPlan } from '../pours/index.js';
import type { PourFigures } from './judged.js';

/**
 * Figures of a plan by which it can be judged, without its measures and its store: quicker than a sheet by far.
 * @throws InputError when a mould or the mix cannot be poured
 */
export function figuresToJudge(plan: PourPlan): PourFigures {
  const mix = calculateMix(plan.mix, plan.conditions);
  const { mixing, filling } = plan.times ?? WORK_TIMES[plan.binderClass];
  const { potLife } = potLifeAndSet(plan.mix, plan.binderClass, plan.temperature);
  const pieces = plan.items.map((item) => pieceFigures(item, mix.perPart));
  const most = plan.bucket * BUCKET_SHARE;
  const wanted = pieces.map(({ name, volume }) => ({ name, volume: volume.value * stretchOf(plan), most }));
  return {
    mix,
    pieces,
    short: [],
    big: wanted.filter(({ volume }) => volume > most),
    inTime: filledInTime(plan.items, mouldsPerBatch(potLife.value, mixing, filling)),
  };
}
