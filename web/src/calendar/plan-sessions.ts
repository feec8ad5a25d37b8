import { keptPlan, type CalendarPlan } from '@dewpot/core/calendar';
import type { CalendarFacts, CalendarPlanInput, PlannedSessionInput } from '@dewpot/contract';

/** A session as it stands in the plan. */
export type PlanSession = Pick<PlannedSessionInput, 'at' | 'poured' | 'kept'>;

/** Sessions that are still to come. */
export const toCome = (sessions: readonly PlanSession[], now: number): PlanSession[] =>
  sessions.filter(({ at }) => at >= now);

/** A session put on another evening; with the one that is there it is held together. A person put it there. */
export function movedTo(sessions: readonly PlanSession[], from: number, to: number): PlanSession[] {
  const own = sessions.find(({ at }) => at === from);
  if (!own || from === to) return [...sessions];
  const there = sessions.find(({ at }) => at === to);
  const counts = new Map<string, number>();
  for (const { line, count } of [...(there?.poured ?? []), ...own.poured])
    counts.set(line, (counts.get(line) ?? 0) + count);
  const moved = { at: to, poured: [...counts].map(([line, count]) => ({ line, count })), kept: true as const };
  return [...sessions.filter(({ at }) => at !== from && at !== to), moved].sort((a, b) => a.at - b.at);
}

/** Whether a person put a session where it is. */
const isKept = (marks: readonly PlanSession[], at: number): boolean => marks.some((one) => one.kept && one.at === at);

/** The sessions of a plan, marked where a person put them. */
export const markedSessions = ({ sessions }: CalendarPlan, marks: readonly PlanSession[]): PlanSession[] =>
  sessions.map(({ at, poured }) => ({ at, poured, ...(isKept(marks, at) && { kept: true as const }) }));

/** What of a plan is kept for everybody. */
export function planToKeep(
  plan: CalendarPlan,
  shown: readonly PlanSession[],
  { lines, now }: Pick<CalendarFacts, 'lines' | 'now'>,
  version: number,
): CalendarPlanInput {
  const body = keptPlan(plan, lines, now);
  const sessions = body.sessions.map((one) => ({ ...one, ...(isKept(shown, one.at) && { kept: true as const }) }));
  return { ...body, sessions, version };
}
