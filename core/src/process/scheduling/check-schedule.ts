import type { Schedule, SchedulingProblem, Session } from './problem.js';

/** A rule that a schedule breaks. */
export interface Breach {
  readonly rule: 'count' | 'late' | 'copies' | 'bucket' | 'hours';
  /** Of the session; undefined where it is of the whole. */
  readonly slot?: number;
  /** What it is about: a line, a mould, a mix. */
  readonly of?: string;
}

/** What of a session its buckets break: more than fits, pieces of another mix, pieces that are not mixed. */
function bucketBreaches({ lines, work }: SchedulingProblem, { slot, poured, batches }: Session): Breach[] {
  const line = (key: string) => lines.find((one) => one.key === key);
  const broken = batches.filter(({ mixKey, buckets, pieces }) => {
    const volume = pieces.reduce((sum, { line: key, count }) => sum + count * (line(key)?.volume ?? Infinity), 0);
    const number = pieces.reduce((sum, { count }) => sum + count, 0);
    const own = pieces.every(({ line: key }) => line(key)?.mixKey === mixKey);
    return !own || volume > buckets * work.capacity + 1e-6 || (buckets === 1 && number > work.mostPieces);
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
const minutesOf = ({ lines, work }: SchedulingProblem, { poured, batches }: Session): number =>
  poured.reduce(
    (sum, { line: key, count }) => sum + count * (lines.find((one) => one.key === key)?.minutes ?? 0),
    work.fixed + work.bucket * batches.reduce((sum, { buckets }) => sum + buckets, 0),
  );

/** Every rule that a schedule breaks. It reads the schedule alone, and shares nothing with whatever made it. */
export function breachesOf(problem: SchedulingProblem, { sessions }: Schedule): Breach[] {
  const { lines, moulds, slots } = problem;
  const poured = (key: string, slot: number) =>
    sessions
      .filter((session) => session.slot === slot)
      .flatMap((session) => session.poured)
      .reduce((sum, one) => sum + (one.line === key ? one.count : 0), 0);
  const total = (key: string) => slots.reduce((sum, _, slot) => sum + poured(key, slot), 0);
  const late = ({ key, lastSlot = Infinity }: (typeof lines)[number]) =>
    slots.some((_, slot) => slot > lastSlot && poured(key, slot) > 0);
  const full = ({ mouldId, freeAgain, full: before = [] }: (typeof moulds)[number], slot: number) =>
    lines
      .filter((line) => line.mouldId === mouldId)
      .reduce(
        (sum, { key }) =>
          sum +
          slots.reduce((all, _, at) => all + (at <= slot && (freeAgain[at] ?? 0) > slot ? poured(key, at) : 0), 0),
        before[slot] ?? 0,
      );
  return [
    ...lines.filter(({ key, count }) => total(key) !== count).map(({ key }): Breach => ({ rule: 'count', of: key })),
    ...lines.filter(late).map(({ key }): Breach => ({ rule: 'late', of: key })),
    ...moulds.flatMap((mould) =>
      slots.flatMap((_, slot): Breach[] =>
        full(mould, slot) > mould.copies ? [{ rule: 'copies', slot, of: mould.mouldId }] : [],
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
