const GOLDEN = (Math.sqrt(5) - 1) / 2;

/** Where `f` is least between `low` and `high`, by golden section in so many steps; the ends count too. */
export function minimumBetween(f: (x: number) => number, low: number, high: number, steps: number): number {
  let [a, b] = [low, high];
  let [x1, x2] = [b - GOLDEN * (b - a), a + GOLDEN * (b - a)];
  let [f1, f2] = [f(x1), f(x2)];
  for (let i = 0; i < steps; i++) {
    if (f1 <= f2) {
      [b, x2, f2] = [x2, x1, f1];
      x1 = b - GOLDEN * (b - a);
      f1 = f(x1);
    } else {
      [a, x1, f1] = [x1, x2, f2];
      x2 = a + GOLDEN * (b - a);
      f2 = f(x2);
    }
  }
  return [low, high, x1, x2].reduce((best, x) => (f(x) < f(best) ? x : best));
}
