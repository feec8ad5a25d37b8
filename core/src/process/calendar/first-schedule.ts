import { defined } from '../../foundation/math/index.js';
import { bucketsFor, dealt, patternsOf, type Pattern } from './patterns.js';
import {
  pieceMinutes,
  sessionMinutes,
  type EarlierSession,
  type Poured,
  type Schedule,
  type SchedulingProblem,
  type Session,
} from './problem.js';

/** Whether a session fits what is not in the problem itself: its real timeline. */
export type Fits = (session: Session) => boolean;

/** What is free of each shared thing at a slot, after what was poured so far. */
function freeOf(
  { shared }: SchedulingProblem,
  sessions: readonly EarlierSession[],
  from: number,
  slots: number,
): number[] {
  return shared.map(({ room, taken = [], uses }) => {
    let free = Infinity;
    for (let slot = from; slot < slots; slot++) {
      const used = uses.reduce(
        (sum, { line, each, until }) =>
          sum +
          sessions.reduce((all, { slot: at, poured }) => {
            const busy = at <= slot && defined(until[at]) > slot;
            return busy ? all + each * (poured.find((one) => one.line === line)?.count ?? 0) : all;
          }, 0),
        taken[slot] ?? 0,
      );
      free = Math.min(free, room - used);
    }
    return free;
  });
}

/** The last slot in which anything that is poured in a slot still takes what is shared. */
const busyUntil = ({ shared }: SchedulingProblem, slot: number) =>
  Math.max(slot + 1, ...shared.flatMap(({ uses }) => uses.map(({ until }) => defined(until[slot]))));

/** As much of what is left as goes into a slot, what is wanted first at the head. */
function filledSlot(
  problem: SchedulingProblem,
  patterns: readonly Pattern[],
  slot: number,
  left: ReadonlyMap<string, number>,
  sessions: readonly EarlierSession[],
  fits: Fits,
): Session | undefined {
  const { lines, slots, shared } = problem;
  const free = freeOf(problem, sessions, slot, Math.min(slots.length, busyUntil(problem, slot)));
  const order = lines
    .map((line, at) => ({ ...line, at }))
    .filter(({ notIn = [] }) => !notIn.includes(slot))
    .sort((a, b) => (a.lastSlot ?? Infinity) - (b.lastSlot ?? Infinity) || a.at - b.at);
  let poured: Poured[] = [];
  let best: Session | undefined;
  const evening = defined(slots[slot]);
  for (const { key, minutes } of order) {
    const each = shared.map(({ uses }) => uses.find(({ line }) => line === key)?.each ?? 0);
    const fit = Math.floor(evening.minutes / Math.max(1, pieceMinutes({ minutes }, evening)));
    for (let more = Math.min(left.get(key) ?? 0, fit); more > 0; more--) {
      const room = each.every((one, i) => one === 0 || one * more <= defined(free[i]) + 1e-9);
      if (!room) continue;
      const asked = [...poured, { line: key, count: more }];
      const wanted = new Map(asked.map(({ line, count }) => [lines.findIndex((one) => one.key === line), count]));
      const batches = dealt(problem, bucketsFor(patterns, wanted), asked);
      const session = { slot, poured: asked, batches, minutes: sessionMinutes(problem, evening, asked, batches) };
      if (session.minutes > evening.minutes + 1e-9 || !fits(session)) continue;
      poured = asked;
      best = session;
      each.forEach((one, i) => (free[i] = defined(free[i]) - one * more));
      break;
    }
  }
  return best;
}

/**
 * A schedule that can be held, found at once: every slot takes what it can of what is wanted first. What does not go into the slots
 * is left over. `kept` sessions stay as they are.
 */
export function firstSchedule(
  problem: SchedulingProblem,
  fits: Fits = () => true,
): Schedule & { readonly left: number } {
  const patterns = patternsOf(problem);
  const left = new Map(problem.lines.map(({ key, count }) => [key, count]));
  const take = ({ poured }: EarlierSession) =>
    poured.forEach(({ line, count }) => left.set(line, (left.get(line) ?? 0) - count));
  const kept = problem.kept ?? [];
  kept.forEach(take);
  const sessions: Session[] = [];
  problem.slots.forEach((_, slot) => {
    const own = kept.find((one) => one.slot === slot);
    const before = [...sessions, ...kept.filter((one) => one.slot > slot)];
    const session = own ? withBuckets(problem, patterns, own) : filledSlot(problem, patterns, slot, left, before, fits);
    if (!session || session.poured.length === 0) return;
    if (!own) take(session);
    sessions.push(session);
  });
  return { sessions, left: [...left.values()].reduce((sum, count) => sum + Math.max(0, count), 0) };
}

/** A session with its buckets and its length. */
export function withBuckets(
  problem: SchedulingProblem,
  patterns: readonly Pattern[],
  { slot, poured }: EarlierSession,
): Session {
  const wanted = new Map(poured.map(({ line, count }) => [problem.lines.findIndex(({ key }) => key === line), count]));
  const batches = dealt(problem, bucketsFor(patterns, wanted), poured);
  return { slot, poured, batches, minutes: sessionMinutes(problem, defined(problem.slots[slot]), poured, batches) };
}
