import { inSlots, planOf, sessionsOf, type CalendarPlan, type PlannedSession } from './calendar-plan.js';
import { calendarProblem, type CalendarProblem } from './calendar-problem.js';
import type { CalendarSources } from './calendar-sources.js';
import { SURE_ENOUGH } from './chance.js';
import { firstSchedule } from './first-schedule.js';
import { makeSchedule, type ScheduleWays } from './make-schedule.js';
import type { Schedule } from './problem.js';

/** How a plan is looked for. */
export interface PlanWays extends Omit<ScheduleWays, 'fits' | 'onBetter'> {
  /** The same seed gives the same chances. */
  readonly seed: number;
  /** What was planned before: it is kept to as far as that costs nothing. */
  readonly before?: readonly Pick<PlannedSession, 'at' | 'poured'>[];
  /** What a person put where it is. */
  readonly kept?: readonly Pick<PlannedSession, 'at' | 'poured'>[];
  /** Hears of each better plan while it is looked for. */
  readonly onBetter?: (sessions: readonly PlannedSession[]) => void;
}

/** Of the time that is left each search takes so much. */
const FIRST_SEARCH = 0.75;
/** So often a line that is in time and yet not sure enough is asked to be poured sooner. */
const SOONER = 2;

/** The lines that are to be poured sooner: they would be in time, but not surely enough. */
function hurried(problem: CalendarProblem, schedule: Schedule, plan: CalendarPlan): CalendarProblem | undefined {
  const unsure = plan.outcomes.filter(({ late, chance, poured }) => poured > 0 && late === 0 && chance < SURE_ENOUGH);
  if (unsure.length === 0) return undefined;
  const lines = problem.schedule.lines.map((line) => {
    if (!unsure.some((one) => one.line === line.key)) return line;
    const last = schedule.sessions.findLast(({ poured }) => poured.some((one) => one.line === line.key));
    return { ...line, lastSlot: Math.max(-1, (last?.slot ?? 0) - 1) };
  });
  return { ...problem, schedule: { ...problem.schedule, lines } };
}

/** Slots that a plan may want: those of the first one that was found and a few more, and all until the dates. */
function trimmed(problem: CalendarProblem): CalendarProblem {
  const { schedule, fits } = problem;
  const first = firstSchedule(schedule, fits);
  if (first.left > 0) return problem;
  const last = first.sessions[first.sessions.length - 1]?.slot ?? 0;
  const kept = Math.max(0, ...(schedule.kept ?? []).map(({ slot }) => slot));
  const count = Math.max(kept + 1, Math.ceil(last * 1.25) + 4);
  return { ...problem, schedule: { ...schedule, slots: schedule.slots.slice(0, count) } };
}

/** What a plan is judged by where the evenings do not do: as much as goes into them. */
const asMuchAsGoes = (problem: CalendarProblem) => ({ ...firstSchedule(problem.schedule, problem.fits), best: false });

/**
 * Plans all open orders of a workshop: which evening pours what, when it is ready and how likely that is in time. The fewest pieces late, then the
 * fewest sessions, then the earliest end. Handbook 18.
 */
export function planCalendar(sources: CalendarSources, ways: PlanWays): CalendarPlan {
  const whole = calendarProblem(sources);
  const { before, kept, onBetter, seed } = ways;
  const schedule = {
    ...whole.schedule,
    ...(before && { before: inSlots(whole, before) }),
    ...(kept && { kept: inSlots(whole, kept) }),
  };
  const problem = trimmed({ ...whole, schedule });
  if (schedule.slots.length === 0 || schedule.lines.length === 0)
    return planOf(problem, { sessions: [], best: true }, seed);
  const until = ways.clock() + ways.seconds;
  const find = (asked: CalendarProblem) =>
    makeSchedule(asked.schedule, {
      ...ways,
      // What is left of the time serves to pour sooner what is not sure enough.
      seconds: (until - ways.clock()) * FIRST_SEARCH,
      fits: asked.fits,
      onBetter: (better) => onBetter?.(sessionsOf(problem, better)),
    });
  let found = find(problem) ?? asMuchAsGoes(problem);
  let plan = planOf(problem, found, seed);
  for (let sooner = 0, asked: CalendarProblem | undefined = problem; sooner < SOONER; sooner++) {
    asked = hurried(asked, found, plan);
    const again = asked && find(asked);
    const better = again && planOf(problem, again, seed);
    if (!asked || !again || !better || unsureOf(better) >= unsureOf(plan)) break;
    [found, plan] = [again, better];
  }
  return plan;
}

/** Lines that are not surely enough in time. */
export const unsureOf = ({ outcomes }: CalendarPlan) => outcomes.filter(({ chance }) => chance < SURE_ENOUGH).length;
