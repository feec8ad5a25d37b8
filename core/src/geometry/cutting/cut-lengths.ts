import { defined } from '../../foundation/math/index.js';
import { Checker, msg } from '../../foundation/units/index.js';
import type { Solver } from '../../foundation/solver/index.js';
import { costsOf } from './costs.js';
import { cutAnyhow, filledInTurn } from './filled-in-turn.js';
import { bestFilling, fillingsWithin, type Filling, type Wanted } from './fillings.js';

/** Pieces of a length that are wanted, long point to long point. mm */
export interface LengthWanted {
  readonly key: string;
  readonly length: number;
  readonly count: number;
}

/** Sticks of a length that one has or can buy: how many there are at most, and what one costs. mm */
export interface Stick {
  readonly key: string;
  readonly length: number;
  readonly count: number;
  /** In the workshop's money; by their length where nothing is said of any. */
  readonly price?: number;
}

/** A stick and what is cut from it. */
interface CutStick {
  readonly stick: string;
  readonly pieces: readonly { readonly key: string; readonly count: number }[];
  /** What is left of it after its pieces and the cuts between them, mm. */
  readonly left: number;
}

/** Which stick gives which pieces. */
export interface CutLengths {
  readonly sticks: readonly CutStick[];
  readonly cost: number;
  /** No way of cutting costs less. */
  readonly least: number;
  readonly best: boolean;
  /** Length of all sticks that is not pieces, cuts counted in, as a share. */
  readonly waste: number;
}

/** So many pieces are cut exactly; more by the best that is found. */
const MOST_PIECES = 400;
const MOST_KINDS = 60;
const MOST_ROUNDS = 200;
/** Ways to fill a stick that are looked through for the last gap. */
const MOST_FILLINGS = 4000;
const NEAR = 1e-6;

const term = (factor: number, name: string) => `${factor < 0 ? '-' : '+'} ${Math.abs(factor)} ${name}`;
const sum = (terms: readonly (readonly [number, string])[]) => terms.filter(([factor]) => factor !== 0).map(([factor, name]) => term(factor, name)).join(' ') || '0 z'; // prettier-ignore

/** What each piece may be worth, so that no filling that is known is worth more than its stick costs, and all pieces together as much as can be. */
function worth(wanted: readonly Wanted[], known: readonly Filling[], costs: readonly number[], solve: Solver, seconds: number): number[] {
  const programme = [
    `maximize\n obj: ${sum(wanted.map(({ count }, i) => [count, `y_${i}`]))}`,
    'subject to',
    ...known.map(({ counts, stick }, k) => ` c_${k}: ${sum(counts.map((count, i) => [count, `y_${i}`]))} <= ${costs[stick]}`),
    'bounds',
    ...wanted.map((_, i) => ` 0 <= y_${i} <= ${Math.max(...costs)}`),
    'end',
  ].join('\n');
  const { values } = solve(programme, { seconds, gap: 0 });
  return wanted.map((_, i) => values[`y_${i}`] ?? 0);
} // prettier-ignore

/** How often each known filling is used so that all pieces come out for the least; undefined where the sticks do not do. */
function leastCost(wanted: readonly Wanted[], known: readonly Filling[], sticks: readonly Stick[], costs: readonly number[], solve: Solver, seconds: number) {
  const programme = [
    `minimize\n obj: ${sum(known.map(({ stick }, k) => [defined(costs[stick]), `x_${k}`]))}`,
    'subject to',
    ...wanted.map(({ count }, i) => ` w_${i}: ${sum(known.map(({ counts }, k) => [defined(counts[i]), `x_${k}`]))} >= ${count}`),
    ...sticks.map(({ count }, s) => ` s_${s}: ${sum(known.flatMap(({ stick }, k): [number, string][] => (stick === s ? [[1, `x_${k}`]] : [])))} <= ${count}`),
    'general',
    ` ${known.map((_, k) => `x_${k}`).join(' ')}`,
    'end',
  ].join('\n');
  const { status, values } = solve(programme, { seconds, gap: NEAR });
  if (status === 'none' || status === 'unknown') return undefined;
  return { times: known.map((_, k) => Math.round(values[`x_${k}`] ?? 0)), optimal: status === 'optimal' };
} // prettier-ignore

/** What of lengths cannot be cut: a piece longer than any stick, too many pieces, a cut that is none. @throws InputError */
export function checkLengths(wanted: readonly LengthWanted[], sticks: readonly Stick[], kerf: number): void {
  const check = new Checker();
  check.number('kerf', kerf, msg('patterns.kerf'), { min: 0, max: 20, unit: 'mm' });
  const pieces = wanted.reduce((all, { count }) => all + count, 0);
  check.expect(pieces <= MOST_PIECES && wanted.length <= MOST_KINDS, 'pieces', pieces, msg('patterns.manyPieces', { count: pieces }), msg('patterns.fewerPieces', { most: MOST_PIECES, kinds: MOST_KINDS })); // prettier-ignore
  const longest = Math.max(0, ...sticks.map(({ length }) => length));
  wanted.forEach(({ length }, i) => check.number(`pieces.${i}.length`, length, msg('patterns.pieceLength'), { above: 0, max: longest, unit: 'mm' })); // prettier-ignore
  check.done();
}

/** Of pieces that were cut too often, those that are not wanted are left out again. */
function told(wanted: readonly LengthWanted[], sticks: readonly Stick[], kerf: number, used: readonly Filling[]): CutStick[] {
  const left = new Map(wanted.map(({ key, count }) => [key, count]));
  return used.map(({ counts, stick }) => {
    const pieces = wanted.flatMap(({ key }, i) => {
      const count = Math.min(defined(counts[i]), left.get(key) ?? 0);
      left.set(key, (left.get(key) ?? 0) - count);
      return count > 0 ? [{ key, count }] : [];
    });
    const lengths = pieces.flatMap(({ key, count }) => Array.from({ length: count }, () => defined(wanted.find((one) => one.key === key)).length));
    const taken = lengths.reduce((all, length) => all + length, 0) + Math.max(0, lengths.length - 1) * kerf;
    return { stick: defined(sticks[stick]).key, pieces, left: defined(sticks[stick]).length - taken };
  });
} // prettier-ignore

/** What each piece is worth, and the fillings by which that was found: none is worth more than its stick costs. */
function priced(items: readonly Wanted[], sticks: readonly Stick[], kerf: number, costs: readonly number[], solve: Solver, left: () => number) {
  const known: Filling[] = items.flatMap((item, i) => sticks.flatMap(({ length }, stick): Filling[] => (item.length - kerf <= length ? [{ stick, counts: items.map((_, k) => (k === i ? 1 : 0)) }] : [])));
  for (let round = 0; round < MOST_ROUNDS && left() > 0; round++) {
    const value = worth(items, known, costs, solve, left());
    const better = sticks.flatMap(({ length }, stick): Filling[] => {
      const counts = bestFilling(items, value, length + kerf);
      const gain = counts.reduce((all, count, i) => all + count * defined(value[i]), 0);
      return gain > defined(costs[stick]) + NEAR ? [{ stick, counts }] : [];
    });
    if (better.length === 0) return { known, value, bound: items.reduce((all, { count }, i) => all + count * defined(value[i]), 0) };
    known.push(...better);
  }
  return { known, value: items.map(() => 0), bound: 0 };
} // prettier-ignore

/** How a way of cutting is looked for. */
interface CutWays {
  readonly solve: Solver;
  /** So long, s, by the clock: the time, s, from any moment on. */
  readonly seconds: number;
  readonly clock: () => number;
}

/**
 * Which stick gives which pieces, for the least money, or the least length where no prices are told; of sticks of one length the fewest. `kerf`
 * is lost between pieces: Σ length + (n − 1)·k ≤ stick (mm). Ways to fill a stick are made as they are worth (Gilmore & Gomory 1961),
 * then all that could still better it. Undefined where the sticks do not do. Handbook 19, "Cutting".
 * @throws InputError where a piece is longer than any stick, or there are too many
 */
export function cutLengths(
  wanted: readonly LengthWanted[],
  sticks: readonly Stick[],
  kerf: number,
  { solve, seconds, clock }: CutWays,
): CutLengths | undefined {
  checkLengths(wanted, sticks, kerf);
  const until = clock() + seconds;
  const left = () => Math.max(0, until - clock());
  const costs = costsOf(sticks, ({ length }) => length);
  const items = wanted.map(({ length, count }): Wanted => ({ length: length + kerf, count }));
  const room = sticks.map(({ length }) => length + kerf);
  const { known, value, bound } = priced(items, sticks, kerf, costs, solve, left);
  const alike = new Set(costs).size === 1;
  const each = defined(costs[0]);
  const proven = alike && each > 0 ? Math.ceil(bound / each - NEAR) * each : bound;
  const search = { items, known, sticks, costs, room, value, bound, proven, solve, left };
  const found = (sticks.length === 1 && inTurn(search)) || byProgramme(search) || anyhow(search);
  if (!found) return undefined;
  const whole = found.used.reduce((all, { stick }) => all + defined(sticks[stick]).length, 0);
  const pieces = wanted.reduce((all, { length, count }) => all + length * count, 0);
  return {
    sticks: told(wanted, sticks, kerf, found.used),
    cost: found.cost,
    least: found.best ? found.cost : bound,
    best: found.best,
    waste: whole === 0 ? 0 : 1 - pieces / whole,
  };
}

/** Everything that a way of cutting is looked for by, once it is known what each piece is worth. */
interface Search {
  readonly items: readonly Wanted[];
  readonly known: readonly Filling[];
  readonly sticks: readonly Stick[];
  readonly costs: readonly number[];
  readonly room: readonly number[];
  readonly value: readonly number[];
  /** No way costs less, and none can cost less where sticks are whole. */
  readonly bound: number;
  readonly proven: number;
  readonly solve: Solver;
  readonly left: () => number;
}

interface Found {
  readonly used: readonly Filling[];
  readonly cost: number;
  readonly best: boolean;
}

/** Share of the time that sticks are filled in turn for. */
const IN_TURN = 0.4;

/** Sticks of one length filled in turn, where that is as few as can be; undefined where it is not. */
function inTurn({ items, sticks, costs, room, proven, left }: Search): Found | undefined {
  const each = defined(costs[0]);
  if (each <= 0) return undefined;
  const until = left() * (1 - IN_TURN);
  const counts = filledInTurn(items, defined(room[0]), Math.round(proven / each), () => left() > until);
  const cost = counts.length * each;
  if (cost > proven + NEAR || counts.length > defined(sticks[0]).count) return undefined;
  return { used: counts.map((one) => ({ stick: 0, counts: one })), cost, best: true };
}

/** By the integer programme: over the fillings that are known, then over all that could still be part of a better way. */
function byProgramme({ items, known, sticks, costs, room, value, bound, proven, solve, left }: Search): Found | undefined {
  const first = leastCost(items, known, sticks, costs, solve, left());
  const at = first ? costOf(first.times, known, costs) : Infinity;
  if (first && at <= proven + NEAR) return { used: usedOf(first.times, known), cost: at, best: true };
  const gap = at - bound;
  const more = sticks.flatMap((_, stick) => fillingsWithin(items, value, defined(room[stick]), defined(costs[stick]) - gap, MOST_FILLINGS).map((counts): Filling => ({ stick, counts })));
  const all = [...known, ...more];
  const again = leastCost(items, all, sticks, costs, solve, left());
  const cost = again ? costOf(again.times, all, costs) : Infinity;
  if (again && cost <= at) return { used: usedOf(again.times, all), cost, best: again.optimal && more.length < MOST_FILLINGS };
  return first && { used: usedOf(first.times, known), cost: at, best: false };
} // prettier-ignore

/** Where the time was over before anything was found: some way, which may not be the best. */
function anyhow({ items, sticks, room, costs }: Search): Found | undefined {
  const used = cutAnyhow(items, sticks, room, costs);
  return used && { used, cost: used.reduce((all, { stick }) => all + defined(costs[stick]), 0), best: false };
}

const costOf = (times: readonly number[], of: readonly Filling[], costs: readonly number[]): number =>
  times.reduce((all, many, k) => all + many * defined(costs[defined(of[k]).stick]), 0);

const usedOf = (times: readonly number[], of: readonly Filling[]): Filling[] =>
  times.flatMap((many, k) => Array.from({ length: many }, () => defined(of[k])));
