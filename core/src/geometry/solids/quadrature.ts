/** Pieces that an integral may be cut into: one that has not settled by then never does. */
const MOST_PIECES = 200_000;

interface Budget {
  pieces: number;
}

/**
 * Integral of `f` from `a` to `b` by adaptive Simpson's rule, to a relative error below 1e-9 on each piece.
 * Exact for the quadratic areas of straight-sided solids.
 * @throws RangeError where `f` is no number somewhere, or does not settle
 */
export function integrate(f: (x: number) => number, a: number, b: number): number {
  if (b <= a) return 0;
  const fa = f(a);
  const fb = f(b);
  const fm = f((a + b) / 2);
  return refine(f, a, b, fa, fm, fb, simpson(a, b, fa, fm, fb), 40, { pieces: MOST_PIECES });
}

function simpson(a: number, b: number, fa: number, fm: number, fb: number): number {
  return ((b - a) / 6) * (fa + 4 * fm + fb);
}

function refine(
  f: (x: number) => number,
  a: number,
  b: number,
  fa: number,
  fm: number,
  fb: number,
  whole: number,
  depth: number,
  budget: Budget,
): number {
  const m = (a + b) / 2;
  const fl = f((a + m) / 2);
  const fr = f((m + b) / 2);
  const left = simpson(a, m, fa, fl, fm);
  const right = simpson(m, b, fm, fr, fb);
  if (!Number.isFinite(left + right) || budget.pieces-- <= 0)
    throw new RangeError(`This integral does not settle between ${a} and ${b}.`);
  const error = Math.abs(left + right - whole);
  if (depth === 0 || error <= 1e-9 * (1 + Math.abs(left + right))) return left + right;
  return refine(f, a, m, fa, fl, fm, left, depth - 1, budget) + refine(f, m, b, fm, fr, fb, right, depth - 1, budget);
}
