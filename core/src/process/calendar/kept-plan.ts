import type { CalendarPlan, PlannedSession } from './calendar-plan.js';
import type { OpenLine } from './order-lines.js';
import { plannedTasks } from './planned-tasks.js';

/** What is further ahead than so many things to do is told by the next plan. */
const MOST_TASKS = 2_000;

const whole = (at: number) => Math.round(at);

/** A session as it is kept: what its buckets are follows from what it pours. */
const session = ({ at, minutes, room, poured }: PlannedSession) => ({ at, minutes, room, poured });

/** What of a plan is kept for everybody. `lines`: the open lines that it was made from; `madeAt`, ms. */
export function keptPlan(plan: CalendarPlan, lines: readonly Pick<OpenLine, 'id' | 'state'>[], madeAt: number) {
  return {
    madeAt,
    sessions: plan.sessions.map(session),
    tasks: plannedTasks(plan, lines)
      .slice(0, MOST_TASKS)
      .map((task) => ({ ...task, at: whole(task.at), latest: whole(task.latest) })),
    outcomes: plan.outcomes.map(({ line, wanted, poured, late, chance, middle, likely }) => ({
      line,
      wanted,
      poured,
      late,
      chance,
      ...(middle !== undefined && { middle: whole(middle) }),
      ...(likely !== undefined && { likely: whole(likely) }),
    })),
    chance: plan.chance,
    leastSessions: plan.leastSessions,
  };
}
