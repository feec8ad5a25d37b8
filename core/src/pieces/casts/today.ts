import { DAY } from '../../foundation/units/index.js';
import { phaseOf, type Due } from './due.js';
import type { CastTask } from './events.js';

/** A cast as far as the round wants it. */
export interface RoundCast {
  readonly pourId: string;
  readonly mouldId: string;
  readonly dues: readonly Due[];
}

/** One thing to do, to like casts of a pour that stand together. */
export interface RoundLine<C extends RoundCast> {
  readonly key: string;
  readonly due: Due;
  readonly casts: readonly C[];
  readonly place: string;
}

export type RoundWhen = 'now' | 'today' | 'week';

/** What to do in one walk: by when, then by place, what closes first at the head. */
export interface RoundPart<C extends RoundCast> {
  readonly when: RoundWhen;
  readonly places: readonly { readonly place: string; readonly lines: readonly RoundLine<C>[] }[];
}

const order: readonly RoundWhen[] = ['now', 'today', 'week'];
/** Between times that lie so near each other nobody walks twice, ms. */
const TOGETHER = 3_600_000;

/** When a due comes up on the round: now, before the day ends, in the week; undefined beyond. `dayEnds` ms. */
export function whenDue(due: Due, now: number, dayEnds: number): RoundWhen | undefined {
  const phase = phaseOf(due, now);
  if (due.postponedUntil === undefined && (phase === 'good' || phase === 'late')) return 'now';
  const comes = due.postponedUntil ?? due.good;
  if (comes <= dayEnds) return 'today';
  return comes <= now + 7 * DAY ? 'week' : undefined;
}

const sameTime = (a: Due, b: Due) => Math.abs(a.good - b.good) < TOGETHER && a.postponedUntil === b.postponedUntil;

/** Everything that is to be done to casts: like ones of a pour that stand together are one line. */
export function roundLines<C extends RoundCast>(casts: readonly C[], placeOf: (cast: C) => string): RoundLine<C>[] {
  const lines: { key: string; due: Due; casts: C[]; place: string }[] = [];
  for (const cast of casts)
    for (const due of cast.dues) {
      const place = placeOf(cast);
      const key = [due.task, due.core ?? '', cast.pourId, cast.mouldId, place].join('|');
      const known = lines.find((line) => line.key === key && sameTime(line.due, due));
      if (known) known.casts.push(cast);
      else lines.push({ key, due, casts: [cast], place });
    }
  return lines;
}

/**
 * The round: what to do now, today and this week, like casts together, grouped by place so that one walk does it. Places are in
 * the order in which their first window closes. `dayEnds` is the end of the caster's day, ms.
 */
export function roundOf<C extends RoundCast>(
  casts: readonly C[],
  placeOf: (cast: C) => string,
  now: number,
  dayEnds: number,
): RoundPart<C>[] {
  const lines = roundLines(casts, placeOf).map((line) => ({ line, when: whenDue(line.due, now, dayEnds) }));
  return order.flatMap((when) => {
    const here = lines
      .filter((one) => one.when === when)
      .map(({ line }) => line)
      .sort((a, b) => a.due.late - b.due.late);
    const places = [...new Set(here.map(({ place }) => place))];
    if (here.length === 0) return [];
    return [{ when, places: places.map((place) => ({ place, lines: here.filter((line) => line.place === place) })) }];
  });
}

/** Strokes that one tap does for many unlike casts. */
const forMany: readonly CastTask[] = ['wet', 'cover', 'end-moist-curing', 'weigh', 'demould'];

/** What can be done to many casts at once of these lines: each task that stands on more than one of them. */
export function tasksForMany<C extends RoundCast>(
  lines: readonly RoundLine<C>[],
): { readonly task: CastTask; readonly casts: readonly C[] }[] {
  return forMany.flatMap((task) => {
    const alike = lines.filter(({ due }) => due.task === task);
    return alike.length > 1 ? [{ task, casts: [...new Set(alike.flatMap(({ casts }) => casts))] }] : [];
  });
}
