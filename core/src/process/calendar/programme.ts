import { defined } from '../../foundation/math/index.js';
import { bucketsFor, dealt, patternsOf } from './patterns.js';
import { isLate, sessionMinutes, type Poured, type Schedule, type SchedulingProblem, type Session } from './problem.js';
import {
  barred,
  buckets,
  byLine,
  changed,
  changes,
  counts,
  cuts,
  filled,
  held,
  hours,
  keeps,
  LAST,
  LONGEST,
  programme,
  shares,
  sum,
  worked,
  x,
} from './rules.js';

/** What sessions, changed ones and late pieces cost: a piece too late more than all sessions, a change a tenth of a session. */
function costsOf({ slots, before }: SchedulingProblem) {
  const session = before ? 10 : 1;
  return { session, change: 1, late: (session + 1) * (slots.length + 1) };
}

function costs(problem: SchedulingProblem): [number, string][] {
  const { session, change, late } = costsOf(problem);
  const { slots, lines, before } = problem;
  return [
    ...slots.map((_, slot): [number, string] => [session, held(slot)]),
    ...(before ? slots.map((_, slot): [number, string] => [change, changed(slot)]) : []),
    ...lines.flatMap((line, at) =>
      slots.flatMap((_, slot): [number, string][] => (isLate(line, slot) ? [[late, x(at, slot)]] : [])),
    ),
  ];
}

/** How many sessions at the least a schedule of such cost or more holds, where so many pieces are late. */
export function sessionsAtCost(problem: SchedulingProblem, cost: number, late: number): number {
  const { session, late: each } = costsOf(problem);
  return Math.max(0, Math.ceil((cost - late * each) / session - 1e-6));
}

/** The rules of a schedule as a programme with its own cost. */
function written(problem: SchedulingProblem, cost: readonly [number, string][], more: readonly string[]): string {
  const { slots, lines, before } = problem;
  const patterns = patternsOf(problem);
  const { rules: cut, choices } = cuts(problem);
  const all = slots.map((_, slot) => slot);
  const rules = [
    ...counts(problem),
    ...barred(problem),
    ...shares(problem),
    ...buckets(problem, patterns),
    ...hours(problem, patterns),
    ...changes(problem),
    ...keeps(problem),
    ...cut,
    ...more,
  ];
  const whole = [
    ...lines.flatMap((_, line) => all.map((slot) => x(line, slot))),
    ...patterns.flatMap((_, at) => all.map((slot) => filled(at, slot))),
  ];
  return programme(cost, rules, [], whole, [...all.map(held), ...(before ? all.map(changed) : []), ...choices]);
}

const sessions = ({ slots }: SchedulingProblem) => sum(slots.map((_, slot) => [1, held(slot)]));

/**
 * The programme of a schedule: the fewest pieces too late, then the fewest sessions; of an earlier plan as much as can stay for a tenth of
 * a session each. Handbook 18, "What is best". `atLeast`: no schedule holds fewer sessions.
 */
export const programmeOf = (problem: SchedulingProblem, atLeast = 0): string =>
  written(problem, costs(problem), atLeast > 0 ? [`${sessions(problem)} >= ${atLeast}`] : []);

/** What a schedule costs. */
function costOf(problem: SchedulingProblem, schedule: Schedule): number {
  const values = valuesOf(problem, schedule);
  return costs(problem).reduce((all, [factor, name]) => all + factor * (values[name] ?? 0), 0);
}

/** As good a schedule, whose last session is the earliest. */
export function earliestProgramme(problem: SchedulingProblem, schedule: Schedule): string {
  const lasts = problem.slots.map((_, slot) => `${LAST} ${slot > 0 ? `- ${slot} ${held(slot)}` : ''} >= 0`);
  const asGood = `${sum(costs(problem))} <= ${costOf(problem, schedule)}`;
  return written(problem, [[1, LAST]], [...lasts, asGood]);
}

/** As good a schedule until the same last session, its sessions as even in length as can be. */
export function evenedProgramme(problem: SchedulingProblem, schedule: Schedule): string {
  const { slots } = problem;
  const patterns = patternsOf(problem);
  const last = Math.max(0, ...schedule.sessions.map(({ slot }) => slot));
  const more = [
    `${sum(costs(problem))} <= ${costOf(problem, schedule)}`,
    ...slots.flatMap((_, slot) => (slot > last ? [`${held(slot)} = 0`] : [])),
    ...slots.map(
      (_, slot) => `${LONGEST} ${sum(worked(problem, patterns, slot).map(([factor, name]) => [-factor, name]))} >= 0`,
    ),
  ];
  return written(problem, [[1, LONGEST]], more);
}

/** Which line of each forbidden session is poured less, as the solver wants to be told of a start. */
function cutChoices(problem: SchedulingProblem, sessions: Schedule['sessions'], values: Record<string, number>): void {
  for (const name of cuts(problem).choices) {
    const [, i, at, line] = name.split('_').map(Number);
    const most = defined(byLine(problem, defined(problem.forbidden?.[defined(i)]).poured)[defined(line)]);
    const now = byLine(problem, sessions.find(({ slot }) => slot === at)?.poured ?? [])[defined(line)];
    if (defined(now) < most) values[name] = 1;
  }
}

/** The variables of the programme by name, for a schedule: those that are not 0. */
export function valuesOf(problem: SchedulingProblem, { sessions }: Schedule): Record<string, number> {
  const patterns = patternsOf(problem);
  const values: Record<string, number> = {};
  for (const { slot, poured } of sessions) {
    values[held(slot)] = 1;
    byLine(problem, poured).forEach((count, line) => {
      if (count > 0) values[x(line, slot)] = count;
    });
    for (const used of bucketsFor(patterns, new Map(byLine(problem, poured).map((count, line) => [line, count])))) {
      const name = filled(patterns.indexOf(used), slot);
      values[name] = (values[name] ?? 0) + 1;
    }
  }
  if (problem.before)
    problem.slots.forEach((_, slot) => {
      const now = byLine(problem, sessions.find((one) => one.slot === slot)?.poured ?? []);
      const was = byLine(problem, problem.before?.find((one) => one.slot === slot)?.poured ?? []);
      if (now.some((count, line) => count !== was[line])) values[changed(slot)] = 1;
    });
  cutChoices(problem, sessions, values);
  return values;
}

/** The schedule that a solution of the programme stands for: `values` of its variables by name; what is missing is 0. */
export function scheduleOf(problem: SchedulingProblem, values: Readonly<Record<string, number>>): Schedule {
  const patterns = patternsOf(problem);
  const of = (name: string) => Math.round(values[name] ?? 0);
  const sessions = problem.slots.flatMap((slot, at): Session[] => {
    const poured = problem.lines.flatMap(({ key }, line): Poured[] => {
      const count = of(x(line, at));
      return count > 0 ? [{ line: key, count }] : [];
    });
    if (poured.length === 0) return [];
    const used = patterns.flatMap((one, i) => Array.from({ length: of(filled(i, at)) }, () => one));
    const batches = dealt(problem, used, poured);
    return [{ slot: at, poured, batches, minutes: sessionMinutes(problem, slot, poured, batches) }];
  });
  return { sessions };
}
