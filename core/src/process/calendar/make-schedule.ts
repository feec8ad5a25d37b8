import { firstSchedule, type Fits } from './first-schedule.js';
import { latePieces, type Schedule, type SchedulingProblem, type Session } from './problem.js';
import { leastSessions } from './least-sessions.js';
import { earliestProgramme, evenedProgramme, programmeOf, scheduleOf, sessionsAtCost, valuesOf } from './programme.js';
import type { Solution, Solver } from '../../foundation/solver/index.js';

/** How a schedule is looked for. */
export interface ScheduleWays {
  readonly solve: Solver;
  /** Whether a session's real timeline fits its slot. */
  readonly fits?: Fits;
  /** So long it is looked for, s. */
  readonly seconds: number;
  /** The time, s, from any moment on. */
  readonly clock: () => number;
  /** Hears of each schedule that is better than those before. */
  readonly onBetter?: (schedule: Schedule) => void;
}

/** A schedule, and how near it is to the best there can be. */
export interface MadeSchedule extends Schedule {
  /** Proven: no schedule is better. */
  readonly best: boolean;
  /** No schedule with as few late pieces holds fewer sessions. */
  readonly leastSessions: number;
  /** Pieces that are ready too late, by line. */
  readonly late: ReadonlyMap<string, number>;
  /** Sessions that did not fit their real timeline and were forbidden on the way. */
  readonly forbidden: number;
}

/** So often a session that does not fit is forbidden and the programme solved again. */
const MOST_CUTS = 24;

/** A schedule and the problem it solves, with all that was forbidden until then. */
interface Found {
  readonly problem: SchedulingProblem;
  readonly schedule: Schedule;
  readonly solution: Solution;
}

/** What a programme answers, as a schedule; undefined where it has no answer. */
function answered(problem: SchedulingProblem, { status, values }: Solution): Schedule | undefined {
  return status === 'none' || status === 'unknown' ? undefined : scheduleOf(problem, values);
}

/** Solves, forbids what does not fit, and solves again. */
function search(given: SchedulingProblem, first: Schedule | undefined, atLeast: number, ways: ScheduleWays) {
  const { solve, fits = () => true, seconds, clock, onBetter } = ways;
  const until = clock() + seconds;
  let problem = given;
  for (let cut = 0; cut <= MOST_CUTS && clock() < until; cut++) {
    const now = problem;
    const solution = solve(programmeOf(now, atLeast), {
      seconds: until - clock(),
      ...(first && { start: valuesOf(now, first) }),
      onBetter: ({ values }) => {
        const schedule = scheduleOf(now, values);
        if (onBetter && schedule.sessions.every(fits)) onBetter(schedule);
      },
    });
    const schedule = answered(now, solution);
    if (!schedule) return undefined;
    const tooLong = schedule.sessions.filter((session) => !fits(session));
    if (tooLong.length === 0) return { problem: now, schedule, solution };
    problem = { ...now, forbidden: [...(now.forbidden ?? []), ...oneOfEach(tooLong)] };
  }
  return undefined;
}

/** Of sessions that pour the same, one. */
const oneOfEach = (sessions: readonly Session[]): Session[] => [
  ...new Map(sessions.map((session) => [JSON.stringify(session.poured), session])).values(),
];

/** A schedule made better by another programme, where that is found soon and fits; and whether it is the best by it. */
function bettered(
  { problem, schedule }: Found,
  programme: string,
  seconds: number,
  { solve, fits = () => true }: ScheduleWays,
): { readonly schedule: Schedule; readonly best: boolean } {
  const solution = solve(programme, { seconds, start: valuesOf(problem, schedule) });
  const found = answered(problem, solution);
  return found?.sessions.every(fits)
    ? { schedule: found, best: solution.status === 'optimal' }
    : { schedule, best: false };
}

/** Shares of the time: for how few sessions there can be, for a schedule, and for its last session to be early. */
const TIME = { least: 0.25, search: 0.55, earliest: 0.12, even: 0.08 } as const;

/**
 * The best schedule that is found in time: the fewest pieces too late, the fewest sessions, the earliest last one, sessions of even length. Undefined
 * where the slots do not do for all pieces. Handbook 18, "What is best".
 */
export function makeSchedule(problem: SchedulingProblem, ways: ScheduleWays): MadeSchedule | undefined {
  const { solve, fits, seconds, clock, onBetter } = ways;
  const part = (share: number) => ({ ...ways, seconds: seconds * share });
  const greedy = firstSchedule(problem, fits);
  const first = greedy.left === 0 ? { sessions: greedy.sessions } : undefined;
  if (first) onBetter?.(first);
  const least = leastSessions(problem, solve, seconds * TIME.least, clock);
  const found = search(problem, first, least, part(TIME.search));
  if (!found)
    return first && { ...first, best: false, leastSessions: least, late: latePieces(problem, first), forbidden: 0 };
  const late = latePieces(problem, found.schedule);
  const all = [...late.values()].reduce((sum, count) => sum + count, 0);
  const early = bettered(found, earliestProgramme(found.problem, found.schedule), seconds * TIME.earliest, ways);
  const even = bettered(
    { ...found, schedule: early.schedule },
    evenedProgramme(found.problem, early.schedule),
    seconds * TIME.even,
    ways,
  );
  return {
    ...even.schedule,
    best: found.solution.status === 'optimal' && early.best,
    leastSessions: problem.before ? least : Math.max(least, sessionsAtCost(problem, found.solution.bound, all)),
    late,
    forbidden: found.problem.forbidden?.length ?? 0,
  };
}
