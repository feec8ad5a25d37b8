import { defined } from './defined.js';
import { solve } from './linear-system.js';

/** One that happened (1) or did not (0), and what it stood under, standardised. */
export interface LogisticCase {
  readonly happened: 0 | 1;
  readonly under: readonly number[];
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

/** Share of those under the same that it happens to. */
const shareOf = (x: number): number => 1 / (1 + Math.exp(-x));

/** Gradient and curvature of the log posterior at weights, the constant first. Rows hold a 1 before what each case stood under. */
function slopes(rows: readonly Float64Array[], happened: Float64Array, at: Float64Array, pull: Float64Array) {
  const size = at.length;
  const gradient = at.map((weight, i) => -weight * pull[i]!);
  const curvature = Array.from({ length: size }, (_, i) => new Float64Array(size).fill(pull[i]!, i, i + 1));
  rows.forEach((row, k) => {
    let far = 0;
    for (let i = 0; i < size; i++) far += row[i]! * at[i]!;
    const share = shareOf(far);
    const certainty = share * (1 - share);
    for (let i = 0; i < size; i++) {
      const x = row[i]!;
      if (x === 0) continue;
      gradient[i]! += x * (happened[k]! - share);
      const line = curvature[i]!;
      const weight = x * certainty;
      for (let j = 0; j <= i; j++) line[j]! += weight * row[j]!;
    }
  });
  for (let i = 0; i < size; i++) for (let j = i + 1; j < size; j++) curvature[i]![j] = curvature[j]![i]!;
  return { gradient: [...gradient], curvature: curvature.map((line) => [...line]) };
}

/**
 * Logistic regression with a normal prior of standard deviation 1 on each weight: the peak of its posterior, by Newton's steps.
 * Rows must all be as long as the first.
 */
export function fitLogistic(cases: readonly LogisticCase[]): LogisticFit {
  const size = 1 + (cases[0]?.under.length ?? 0);
  const rows = cases.map(({ under }) => Float64Array.of(1, ...under));
  const happened = Float64Array.from(cases, (one) => one.happened);
  const pull = new Float64Array(size).fill(1).fill(1 / WIDE ** 2, 0, 1);
  let at = new Float64Array(size);
  for (let step = 0; step < MOST_STEPS; step++) {
    const { gradient, curvature } = slopes(rows, happened, at, pull);
    const move = defined(solve(curvature, gradient));
    const most = Math.max(...move.map(Math.abs));
    // A step of more than 2 may overshoot where nearly all or nearly none happened.
    const hold = most > 2 ? 2 / most : 1;
    at = at.map((weight, i) => weight + hold * move[i]!);
    if (most < STILL) break;
  }
  const [constant = 0, ...weights] = at;
  return { constant, weights };
}
