/** Mean of values; NaN of none. */
export const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;

/** Variance of what values were drawn from, Σ(x − mean)² ÷ (n − 1); NaN of fewer than two. */
export function variance(values: readonly number[]): number {
  const middle = mean(values);
  return values.reduce((sum, value) => sum + (value - middle) ** 2, 0) / (values.length - 1);
}

/** Mean of ratios and rates, all above 0: the number whose logarithm is the mean of theirs. */
export const geometricMean = (values: readonly number[]): number => Math.exp(mean(values.map(Math.log)));
