import type { TrialSide } from '../casts/index.js';
import type { Comparison, Share } from './compare-shares.js';
import type { FindingRecord } from './finding-record.js';
import type { TrialPlan } from './dealt-trial.js';
import { judgeTrial, trialSize } from './trial.js';

/** How far a trial has come. */
export interface TrialStanding {
  readonly a: Share;
  readonly b: Share;
  /** Casts that were dealt and are still in their moulds. */
  readonly waiting: number;
  /** Casts that a side needs, how likely it then says something, and whether so many are enough. */
  readonly aSide: number;
  readonly chance: number;
  readonly enough: boolean;
  readonly judged: Comparison & { readonly complete: boolean };
}

/** A trial by its key. */
export interface KeyedTrial {
  readonly id: string;
  readonly plan: TrialPlan;
  /** Its casts that still set, of which there are no records yet. */
  readonly setting: number;
}

/** What has come of each trial so far. A cast counts once it has left its mould. @throws InputError where what is expected cannot be */
export function trialStandings(trials: readonly KeyedTrial[], records: readonly FindingRecord[]): TrialStanding[] {
  const dealt = new Map<string, FindingRecord[]>(trials.map(({ id }) => [id, []]));
  for (const record of records) if (record.trial) dealt.get(record.trial.id)?.push(record);
  return trials.map(({ id, plan, setting }) => standingOf(plan, setting, dealt.get(id) ?? []));
}

function standingOf(
  { watched, worse, better }: TrialPlan,
  setting: number,
  casts: readonly FindingRecord[],
): TrialStanding {
  const seen = casts.filter((cast) => cast.seen);
  const good = ({ faults }: FindingRecord) => !faults.some(({ fault }) => watched === undefined || fault === watched);
  const shareOf = (side: TrialSide): Share => {
    const own = seen.filter(({ trial }) => trial?.side === side);
    return { casts: own.length, good: own.filter(good).length };
  };
  const [a, b] = [shareOf('a'), shareOf('b')];
  const size = trialSize(worse, better);
  return { a, b, waiting: setting + casts.length - seen.length, ...size, judged: judgeTrial(size.aSide, a, b) };
}
