/**
 * Integral of `f` from `a` to `b` by adaptive Simpson's rule, to a relative error below 1e-9 on each piece.
 * Exact for the quadratic areas of straight-sided solids.
 */
export function integrate(f: (x: number) => number, a: number, b: number): number {
  if (b <= a) return 0;
  const fa = f(a);
  const fb = f(b);
  const fm = f((a + b) / 2);
  return refine(f, a, b, fa, fm, fb, simpson(a, b, fa, fm, fb), 40);
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
): number {
  const m = (a + b) / 2;
  const fl = f((a + m) / 2);
  const fr = f((m + b) / 2);
  const left = simpson(a, m, fa, fl, fm);
  const right = simpson(m, b, fm, fr, fb);
  const error = Math.abs(left + right - whole);
  if (depth === 0 || error <= 1e-9 * (1 + Math.abs(left + right))) return left + right;
  return refine(f, a, m, fa, fl, fm, left, depth - 1) + refine(f, m, b, fm, fr, fb, right, depth - 1);
}
