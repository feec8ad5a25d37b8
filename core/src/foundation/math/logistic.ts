import { defined } from './defined.js';
import { solve } from './linear-system.js';

/** One that happened (1) or did not (0), and what it stood under, standardised. */
export interface LogisticCase {
  readonly happened: 0 | 1;
  readonly under: readonly number[];
}

/** Cases one after another. */
export interface LogisticTable {
  /** Numbers of a row. */
  readonly width: number;
  /** A row for each case: a 1 for the constant, then what it stood under. */
  readonly rows: Float64Array;
  readonly happened: Uint8Array;
}

/** A fitted regression: the constant, and a weight of each exposure. */
export interface LogisticFit {
  readonly constant: number;
  readonly weights: readonly number[];
}

const MOST_STEPS = 50;
const STILL = 1e-9;
/** The constant's prior is this wide: next to flat. */
const WIDE = 10;

/** Cases as a table. They must all be as long as the first. */
export const logisticTable = (cases: readonly LogisticCase[]): LogisticTable => ({
  width: 1 + (cases[0]?.under.length ?? 0),
  rows: Float64Array.from(cases.flatMap(({ under }) => [1, ...under])),
  happened: Uint8Array.from(cases, (one) => one.happened),
});

/** Share of those under the same that it happens to. */
const shareOf = (x: number): number => 1 / (1 + Math.exp(-x));

/** Gradient and curvature of the log posterior at weights, the constant first, without one row. */
function slopes({ width, rows, happened }: LogisticTable, at: Float64Array, pull: Float64Array, without: number) {
  const gradient = at.map((weight, i) => -weight * pull[i]!);
  const curvature = new Float64Array(width * width);
  pull.forEach((one, i) => (curvature[i * width + i] = one));
  // Most circumstances of most casts are as usual, 0: only the others count.
  const far = new Int32Array(width);
  for (let k = 0, row = 0; k < happened.length; k++, row += width) {
    if (k === without) continue;
    let [sum, many] = [0, 0];
    for (let i = 0; i < width; i++) {
      const x = rows[row + i]!;
      if (x === 0) continue;
      sum += x * at[i]!;
      far[many++] = i;
    }
    const share = shareOf(sum);
    const certainty = share * (1 - share);
    const miss = happened[k]! - share;
    for (let a = 0; a < many; a++) {
      const i = far[a]!;
      const x = rows[row + i]!;
      gradient[i]! += x * miss;
      const weight = x * certainty;
      for (let b = 0; b <= a; b++) curvature[i * width + far[b]!]! += weight * rows[row + far[b]!]!;
    }
  }
  const lines = Array.from({ length: width }, (_, i) =>
    Array.from({ length: width }, (_, j) => curvature[Math.max(i, j) * width + Math.min(i, j)]!),
  );
  return { gradient: [...gradient], curvature: lines };
}

/**
 * Logistic regression with a normal prior of standard deviation 1 on each weight: the peak of its posterior, by Newton's steps. `from`: where they
 * begin, as the fit of nearly the same cases; `without`: the case that is left out.
 */
export function fitLogistic(table: LogisticTable, { from, without = -1 }: { readonly from?: LogisticFit; readonly without?: number } = {}): LogisticFit {
  const { width } = table;
  const pull = new Float64Array(width).fill(1).fill(1 / WIDE ** 2, 0, 1);
  let at = from ? Float64Array.of(from.constant, ...from.weights) : new Float64Array(width);
  for (let step = 0; step < MOST_STEPS; step++) {
    const { gradient, curvature } = slopes(table, at, pull, without);
    const move = defined(solve(curvature, gradient));
    const most = Math.max(...move.map(Math.abs));
    // A step of more than 2 may overshoot where nearly all or nearly none happened.
    const hold = most > 2 ? 2 / most : 1;
    at = at.map((weight, i) => weight + hold * move[i]!);
    if (most < STILL) break;
  }
  const [constant = 0, ...weights] = at;
  return { constant, weights };
} // prettier-ignore
