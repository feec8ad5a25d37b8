import type { PlannedSession } from './calendar-plan.js';
import type { Poured } from './problem.js';

type Dated = Pick<PlannedSession, 'at' | 'poured'>;

/** How a session of a plan came otherwise: it is new, gone, or pours something else. */
export interface MovedSession {
  readonly at: number;
  readonly how: 'new' | 'gone' | 'other';
  readonly before: readonly Poured[];
  readonly after: readonly Poured[];
}

const told = (poured: readonly Poured[]): string =>
  poured
    .filter(({ count }) => count > 0)
    .map(({ line, count }) => `${line} ${count}`)
    .sort()
    .join();

/** What moved between an earlier plan and a later one, from a time on, ms. */
export function movedSessions(before: readonly Dated[], after: readonly Dated[], from: number): MovedSession[] {
  const times = [...new Set([...before, ...after].map(({ at }) => at))]
    .filter((at) => at >= from)
    .sort((a, b) => a - b);
  return times.flatMap((at): MovedSession[] => {
    const [was, is] = [before, after].map((all) => all.find((one) => one.at === at)?.poured ?? []);
    if (!was || !is || told(was) === told(is)) return [];
    return [{ at, how: told(was) === '' ? 'new' : told(is) === '' ? 'gone' : 'other', before: was, after: is }];
  });
}
