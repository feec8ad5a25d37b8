/** The middle of values, or between the two middle ones; NaN of none. */
export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const half = sorted.length / 2;
  return ((sorted[Math.ceil(half) - 1] ?? NaN) + (sorted[Math.floor(half)] ?? NaN)) / 2;
}

/** Median distance from the median, as the standard deviation of a normal with the same: 1.4826 × MAD. */
export function robustSpread(values: readonly number[]): number {
  const middle = median(values);
  return 1.4826 * median(values.map((value) => Math.abs(value - middle)));
}
