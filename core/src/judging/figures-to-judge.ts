import { BUCKET_SHARE, reckonMix, workability } from '../mixes/index.js';
import { mouldsPerBatch, pieceFigures, stretchOf, WORK_TIMES, type PourPlan } from '../pours/index.js';
import type { PourFigures } from './judged.js';

/**
 * Figures of a plan by which it can be judged, without its measures and its stores: quicker than a sheet by far.
 * @throws InputError when a mould or the mix cannot be poured
 */
export function figuresToJudge(plan: PourPlan): PourFigures {
  const mix = reckonMix(plan.mix, plan.conditions);
  const { mixing, filling } = plan.times ?? WORK_TIMES[plan.setting];
  const { potLife } = workability(plan.mix, plan.setting, plan.temperature);
  const pieces = plan.items.map((item) => pieceFigures(item, mix.perPart));
  const most = plan.bucket * BUCKET_SHARE;
  const wanted = pieces.map(({ name, volume }) => ({ name, volume: volume.value * stretchOf(plan), most }));
  return {
    mix,
    pieces,
    short: [],
    big: wanted.filter(({ volume }) => volume > most),
    inTime: mouldsPerBatch(potLife.value, mixing, filling) >= 1,
  };
}
