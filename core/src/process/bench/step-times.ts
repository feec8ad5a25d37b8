import { setsInMinutes, type BinderClass } from '../../mixing/binders/index.js';
import { shrunkenMean } from '../../mixing/mixes/index.js';
import type { WorkTimes } from '../pours/index.js';

/** What the small things take, minutes: ordinary trade knowledge, until the caster's own clock says otherwise. */
export const LAY_OUT = 5;
export const WEIGH = 1;
export const WEIGH_LINE = 0.6;
export const WASH = 3;
export const CLEAN = 5;
/** For each mould. */
export const EACH = { release: 1, inset: 3, cores: 1, mesh: 1, strike: 0.5, cover: 0.3, finish: 1 } as const;
/** Of filling a mould, so much is tapping. */
export const TAPPING = 0.25;
/** A slow mix stands so long, of the time that mixing it takes; what sets in minutes is poured at once. */
const STANDS = 2;

/** Of mixing, minutes that the bucket stands so that air can rise. */
export function restOf(binderClass: BinderClass, { mixing }: WorkTimes): number {
  const slow = !setsInMinutes(binderClass) || binderClass === 'patch';
  return slow ? Math.min(STANDS, mixing / 2) : 0;
}

/** How one run went against what is usual: ratios of minutes. */
export interface Pace {
  readonly mixing?: number;
  readonly filling?: number;
}

/** How long things take at this bench: what is usual × the shrunken mean of how earlier runs went. */
export function learnedTimes(usual: WorkTimes, paces: readonly Pace[]): WorkTimes {
  const factor = (of: keyof Pace) => shrunkenMean(paces.flatMap((pace) => pace[of] ?? [])).factor;
  return { mixing: usual.mixing * factor('mixing'), filling: usual.filling * factor('filling') };
}
