import { defined } from '../../foundation/math/index.js';
import type { Schedule, SchedulingProblem, Session, Shared } from './problem.js';

/** A rule that a schedule breaks. */
export interface Breach {
  readonly rule: 'count' | 'barred' | 'bucket' | 'hours' | Shared['kind'];
  /** Of the session; undefined where it is of the whole. */
  readonly slot?: number;
  /** What it is about: a line, a mould, a mix, a place. */
  readonly of?: string;
}

/** What of a session its buckets break: more than fits, pieces of another mix, pieces that are not mixed. */
function bucketBreaches({ lines, mixes }: SchedulingProblem, { slot, poured, batches }: Session): Breach[] {
  const line = (key: string) => lines.find((one) => one.key === key);
  const broken = batches.filter(({ mixKey, buckets, pieces }) => {
    const { capacity, mostPieces } = mixes.find(({ key }) => key === mixKey) ?? { capacity: 0, mostPieces: 0 };
    const volume = pieces.reduce((sum, { line: key, count }) => sum + count * (line(key)?.volume ?? Infinity), 0);
    const number = pieces.reduce((sum, { count }) => sum + count, 0);
    const own = pieces.every(({ line: key }) => line(key)?.mixKey === mixKey);
    return !own || volume > buckets * capacity + 1e-6 || (buckets === 1 && number > mostPieces);
  });
  const mixed = (key: string) =>
    batches.flatMap(({ pieces }) => pieces).reduce((sum, one) => sum + (one.line === key ? one.count : 0), 0);
  return [
    ...broken.map(({ mixKey }): Breach => ({ rule: 'bucket', slot, of: mixKey })),
    ...poured
      .filter(({ line: key, count }) => mixed(key) !== count)
      .map(({ line: key }): Breach => ({ rule: 'bucket', slot, of: key })),
  ];
}

/** How long a session takes by what it has: set-up, buckets, pieces, min. */
function minutesOf({ lines, mixes, slots, fixed }: SchedulingProblem, { slot, poured, batches }: Session): number {
  const people = slots[slot]?.people ?? 1;
  const mixing = batches.reduce(
    (sum, { mixKey, buckets }) => sum + buckets * (mixes.find(({ key }) => key === mixKey)?.bucket ?? 0),
    fixed,
  );
  return poured.reduce(
    (sum, { line: key, count }) => sum + (count * (lines.find((one) => one.key === key)?.minutes ?? 0)) / people,
    mixing,
  );
}

/** Every rule that a schedule breaks. It reads the schedule alone, and shares nothing with whatever made it. */
export function breachesOf(problem: SchedulingProblem, { sessions }: Schedule): Breach[] {
  const { lines, shared, slots } = problem;
  const poured = (key: string, slot: number) =>
    sessions
      .filter((session) => session.slot === slot)
      .flatMap((session) => session.poured)
      .reduce((sum, one) => sum + (one.line === key ? one.count : 0), 0);
  const total = (key: string) => slots.reduce((sum, _, slot) => sum + poured(key, slot), 0);
  const used = ({ uses, taken = [] }: Shared, slot: number) =>
    uses.reduce(
      (sum, { line, each, until }) =>
        sum +
        slots.reduce((all, _, at) => all + (at <= slot && defined(until[at]) > slot ? each * poured(line, at) : 0), 0),
      taken[slot] ?? 0,
    );
  return [
    ...lines.filter(({ key, count }) => total(key) !== count).map(({ key }): Breach => ({ rule: 'count', of: key })),
    ...lines.flatMap(({ key, notIn = [] }) =>
      notIn.flatMap((slot): Breach[] => (poured(key, slot) > 0 ? [{ rule: 'barred', slot, of: key }] : [])),
    ),
    ...shared.flatMap((one) =>
      slots.flatMap((_, slot): Breach[] =>
        // What stands there from before may be more than there is; nothing is to be added to it then.
        used(one, slot) > Math.max(one.room, one.taken?.[slot] ?? 0) + 1e-6
          ? [{ rule: one.kind, slot, of: one.of }]
          : [],
      ),
    ),
    ...sessions.flatMap((session) => [
      ...bucketBreaches(problem, session),
      ...(minutesOf(problem, session) > (slots[session.slot]?.minutes ?? 0) + 1e-6
        ? [{ rule: 'hours' as const, slot: session.slot }]
        : []),
    ]),
  ];
}
