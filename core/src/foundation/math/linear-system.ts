/** A pivot that is no larger makes a system singular: its rows say the same. */
const SINGULAR = 1e-12;

/** Solves A·x = b by elimination with row exchange, A being square; undefined where it has no one answer. */
export function solve(matrix: readonly (readonly number[])[], right: readonly number[]): number[] | undefined {
  const n = right.length;
  const rows = matrix.map((row, i) => [...row, right[i]!]);
  for (let column = 0; column < n; column++) {
    let best = column;
    for (let i = column + 1; i < n; i++) if (Math.abs(rows[i]![column]!) > Math.abs(rows[best]![column]!)) best = i;
    [rows[column], rows[best]] = [rows[best]!, rows[column]!];
    const pivot = rows[column]!;
    if (Math.abs(pivot[column]!) < SINGULAR) return undefined;
    for (let i = column + 1; i < n; i++) {
      const factor = rows[i]![column]! / pivot[column]!;
      if (factor === 0) continue;
      for (let j = column; j <= n; j++) rows[i]![j]! -= factor * pivot[j]!;
    }
  }
  const x = new Array<number>(n).fill(0);
  for (let i = n - 1; i >= 0; i--) {
    let sum = rows[i]![n]!;
    for (let j = i + 1; j < n; j++) sum -= rows[i]![j]! * x[j]!;
    x[i] = sum / rows[i]![i]!;
  }
  return x;
}
