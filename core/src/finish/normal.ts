/** Share of a standard normal that lies below `x`, to 1e-7 (Abramowitz & Stegun 7.1.26 on the error function). */
export function normalShare(x: number): number {
  const z = Math.abs(x) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * z);
  const poly = ((((1.061405429 * t - 1.453152027) * t + 1.421413741) * t - 0.284496736) * t + 0.254829592) * t;
  const erf = 1 - poly * Math.exp(-z * z);
  return x >= 0 ? (1 + erf) / 2 : (1 - erf) / 2;
}

/** Point below which the share `p` (0 to 1, ends excluded) of a standard normal lies, by bisection to 1e-7. */
export function normalPoint(p: number): number {
  let low = -8;
  let high = 8;
  for (let i = 0; i < 30; i++) {
    const middle = (low + high) / 2;
    if (normalShare(middle) < p) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
