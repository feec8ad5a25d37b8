/** Share of a standard normal that lies below `x`, to 1e-7 (Abramowitz & Stegun 7.1.26 on the error function). */
export function normalShare(x: number): number {
  const z = Math.abs(x) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * z);
  const poly = ((((1.061405429 * t - 1.453152027) * t + 1.421413741) * t - 0.284496736) * t + 0.254829592) * t;
  const erf = 1 - poly * Math.exp(-z * z);
  return x >= 0 ? (1 + erf) / 2 : (1 - erf) / 2;
}

const CENTRE = {
  over: [
    -39.69683028665376, 220.9460984245205, -275.9285104469687, 138.357751867269, -30.66479806614716, 2.506628277459239,
  ],
  under: [-54.47609879822406, 161.5858368580409, -155.6989798598866, 66.80131188771972, -13.28068155288572, 1],
};
const TAIL = {
  over: [
    -0.007784894002430293, -0.3223964580411365, -2.400758277161838, -2.549732539343734, 4.374664141464968,
    2.938163982698783,
  ],
  under: [0.007784695709041462, 0.3224671290700398, 2.445134137142996, 3.754408661907416, 1],
};
const TAIL_BEGINS = 0.02425;

const polynomial = (coefficients: readonly number[], x: number) => coefficients.reduce((sum, c) => sum * x + c, 0);

/** Point below which the share `p` (0 to 1, ends excluded) of a standard normal lies, to 1e-8 (Acklam's rational functions). */
export function normalPoint(p: number): number {
  if (p > 0.5) return -normalPoint(1 - p);
  if (p < TAIL_BEGINS) {
    const q = Math.sqrt(-2 * Math.log(p));
    return polynomial(TAIL.over, q) / polynomial(TAIL.under, q);
  }
  const q = p - 0.5;
  return (q * polynomial(CENTRE.over, q * q)) / polynomial(CENTRE.under, q * q);
}
