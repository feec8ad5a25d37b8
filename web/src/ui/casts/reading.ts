import { listed, msg, type Message } from '@dewpot/core/units';
import { phaseOf, placeNow, type Due, type Window } from '@dewpot/core/casts';
import type { CastView } from '@dewpot/contract';

/** The next thing to do with a cast and when; what was postponed comes after the rest. */
export const nextOf = ({ dues }: CastView): Due | undefined =>
  dues.find(({ postponedUntil }) => postponedUntil === undefined) ?? dues[0];

/** Where a cast stands now, by the name of its place; empty where nobody said. */
export const placeOf = ({ life, snapshot }: Pick<CastView, 'life' | 'snapshot'>): string =>
  placeNow(life, snapshot.place);

/** By which weighed pieces those of these casts are judged that were not weighed themselves; nothing where each was. */
export function judgedBy(casts: readonly CastView[]): Message | undefined {
  const inferred = casts.filter(({ dry }) => dry.inferredFrom);
  if (inferred.length === 0) return undefined;
  const weighed = [...new Set(inferred.flatMap(({ dry }) => dry.inferredFrom ?? []))];
  return msg('today.judgedBy', {
    which: inferred.length === casts.length ? 'all' : 'some',
    codes: inferred.map(({ code }) => code).join(', '),
    weighed: listed(weighed),
  });
}

/** Whether something wants doing now. */
export function isDue(due: (Window & Partial<Due>) | undefined, now: number): boolean {
  if (!due || due.postponedUntil !== undefined) return false;
  const phase = phaseOf(due, now);
  return phase === 'good' || phase === 'late';
}
