import { inSlots, planOf, type CalendarPlan, type PlannedSession } from './calendar-plan.js';
import type { CalendarProblem } from './calendar-problem.js';
import { breachesOf, type Breach } from './check-schedule.js';
import { withBuckets } from './first-schedule.js';
import { patternsOf } from './patterns.js';

/** What is wrong with sessions as a person moved them about, and what they come to. */
export interface JudgedCalendar {
  readonly plan: CalendarPlan;
  readonly breaches: readonly (Omit<Breach, 'slot'> & { readonly at?: number })[];
}

/** Judges sessions as they are, without looking for better ones: what they break, and how they come out, by 400 draws. */
export function judgeCalendar(
  problem: CalendarProblem,
  sessions: readonly Pick<PlannedSession, 'at' | 'poured'>[],
  seed: number,
): JudgedCalendar {
  const { schedule, fits } = problem;
  const patterns = patternsOf(schedule);
  const placed = inSlots(problem, sessions)
    .filter(({ poured }) => poured.length > 0)
    .sort((a, b) => a.slot - b.slot)
    .map((one) => withBuckets(schedule, patterns, one));
  const tooLong = placed.filter((one) => !fits(one)).map(({ slot }): Breach => ({ rule: 'hours', slot }));
  const broken = [...breachesOf(schedule, { sessions: placed }), ...tooLong];
  const seen = new Map(broken.map((one) => [JSON.stringify(one), one]));
  return {
    plan: planOf(problem, { sessions: placed }, seed, true),
    breaches: [...seen.values()].map(({ slot, ...one }) => ({
      ...one,
      ...(slot !== undefined && schedule.slots[slot] && { at: schedule.slots[slot].at }),
    })),
  };
}
