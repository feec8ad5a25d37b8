import { defined } from '../../foundation/math/index.js';
import { patternsOf } from './patterns.js';
import type { SchedulingProblem } from './problem.js';
import { buckets, cuts, filled, held, hours, programme, shares, sum, x } from './rules.js';
import type { Solver } from '../../foundation/solver/index.js';

/** The slot in which most can be done, by itself and with nothing standing about. */
function bestSlot(problem: SchedulingProblem): SchedulingProblem {
  const { slots, shared } = problem;
  const minutes = Math.max(...slots.map((slot) => slot.minutes));
  const people = Math.max(...slots.map((slot) => slot.people ?? 1));
  const { before: _, kept: __, ...rest } = problem;
  return {
    ...rest,
    slots: [{ at: 0, minutes, people }],
    shared: shared.map(({ taken: ___, ...one }) => ({ ...one, uses: one.uses.map((use) => ({ ...use, until: [1] })) })),
    forbidden: (problem.forbidden ?? []).flatMap(({ slot, poured }) => {
      const { minutes: own, people: hands = 1 } = defined(slots[slot]);
      return own >= minutes && hands >= people ? [{ slot: 0, poured }] : [];
    }),
  };
}

const price = (line: number) => `p_${line}`;

/** The session that is worth most, where a piece of each line is worth so much. */
function worthiestSession(problem: SchedulingProblem, worth: readonly number[]): string {
  const one = bestSlot(problem);
  const patterns = patternsOf(one);
  const { rules: cut, choices } = cuts(one);
  const within = one.lines.map(({ count }, line) => `${x(line, 0)} <= ${count}`);
  const rules = [...within, ...shares(one), ...buckets(one, patterns), ...hours(one, patterns), ...cut];
  const whole = [...one.lines.map((_, line) => x(line, 0)), ...patterns.map((_, at) => filled(at, 0))];
  const cost = worth.map((each, line): [number, string] => [-each, x(line, 0)]);
  return programme(cost, rules, [], whole, [held(0), ...choices]);
}

/** Pieces of each line in the session that a solution stands for. */
const sessionFilled = ({ lines }: SchedulingProblem, values: Readonly<Record<string, number>>): number[] =>
  lines.map((_, line) => Math.round(values[x(line, 0)] ?? 0));

/** What each piece may be worth so that no session of those that are known is worth more than 1, and all pieces together as much as can be. */
function worthProgramme({ lines }: SchedulingProblem, known: readonly (readonly number[])[]): string {
  const cost = lines.map(({ count }, line): [number, string] => [-count, price(line)]);
  const rules = known.map((counts) => `${sum(counts.map((count, line) => [count, price(line)]))} <= 1`);
  return programme(
    cost,
    rules,
    lines.map((_, line) => `0 <= ${price(line)} <= 1`),
    [],
    [],
  );
}

/** The worth of each line's pieces in a solution. */
const worthIn = ({ lines }: SchedulingProblem, values: Readonly<Record<string, number>>): number[] =>
  lines.map((_, line) => values[price(line)] ?? 0);

/** So many sessions are looked at before the bound so far is taken. */
const MOST_ROUNDS = 120;
const NEAR = 1e-6;

/**
 * How many sessions every schedule holds at the least, by the worth of pieces: where no session is worth more than 1, there are as many as all
 * pieces are worth. The most worth is looked for by adding the session that is worth most, again and again. Holds at whatever time it is
 * stopped; `seconds` bounds it. 0 where nothing is to be poured or no evening is there for it.
 */
export function leastSessions(problem: SchedulingProblem, solve: Solver, seconds: number, clock: () => number): number {
  if (problem.slots.length === 0 || problem.lines.length === 0) return 0;
  const until = clock() + seconds;
  const known: number[][] = problem.lines.map((_, line) => problem.lines.map((__, at) => (at === line ? 1 : 0)));
  let least = 0;
  for (let round = 0; round < MOST_ROUNDS && clock() < until; round++) {
    const left = until - clock();
    const worth = worthIn(problem, solve(worthProgramme(problem, known), { seconds: left, gap: 0 }).values);
    const { status, values } = solve(worthiestSession(problem, worth), { seconds: left, gap: 0 });
    if (status !== 'optimal') break;
    const counts = sessionFilled(problem, values);
    const most = counts.reduce((all, count, line) => all + count * defined(worth[line]), 0);
    const all = problem.lines.reduce((sum, { count }, line) => sum + count * defined(worth[line]), 0);
    // As it is worth at most so much, a share of each piece's worth is at most 1.
    if (most > 0) least = Math.max(least, Math.ceil(all / Math.max(1, most) - NEAR));
    if (most <= 1 + NEAR) break;
    known.push(counts);
  }
  return least;
}
