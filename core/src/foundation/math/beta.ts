import { bisect } from './bisect.js';

const LANCZOS = [
  0.9999999999998099, 676.5203681218851, -1259.1392167224028, 771.3234287776531, -176.6150291621406, 12.507343278686905,
  -0.13857109526572012, 9.984369578019572e-6, 1.5056327351493116e-7,
] as const;
const LANCZOS_G = 7;

/** Natural logarithm of the gamma function for x > 0, to 1e-13 (Lanczos' approximation, g = 7). */
export function logGamma(x: number): number {
  if (x < 0.5) return Math.log(Math.PI / Math.sin(Math.PI * x)) - logGamma(1 - x);
  const z = x - 1;
  const t = z + LANCZOS_G + 0.5;
  const sum = LANCZOS.reduce((all, coefficient, i) => all + (i === 0 ? coefficient : coefficient / (z + i)), 0);
  return 0.5 * Math.log(2 * Math.PI) + (z + 0.5) * Math.log(t) - t + Math.log(sum);
}

/** Natural logarithm of the beta function, a and b > 0. */
export const logBeta = (a: number, b: number): number => logGamma(a) + logGamma(b) - logGamma(a + b);

const MOST_TERMS = 400;
const NEAR = 1e-14;
const TINY = 1e-300;

/** The continued fraction of the incomplete beta function, by Lentz's way; quick where x < (a + 1) ÷ (a + b + 2). */
function betaFraction(x: number, a: number, b: number): number {
  const held = (value: number) => (Math.abs(value) < TINY ? TINY : value);
  let [c, d] = [1, 1 / held(1 - ((a + b) * x) / (a + 1))];
  let all = d;
  for (let m = 1; m <= MOST_TERMS; m++) {
    const even = (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m));
    const odd = (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1));
    let step = 1;
    for (const term of [even, odd]) {
      d = 1 / held(1 + term * d);
      c = held(1 + term / c);
      step = c * d;
      all *= step;
    }
    if (Math.abs(step - 1) < NEAR) break;
  }
  return all;
}

/** Share of a beta distribution that lies below x: the regularised incomplete beta function, 0 ≤ x ≤ 1, a and b > 0. */
export function betaShare(x: number, a: number, b: number): number {
  if (x <= 0) return 0;
  if (x >= 1) return 1;
  const front = Math.exp(a * Math.log(x) + b * Math.log1p(-x) - logBeta(a, b));
  return x < (a + 1) / (a + b + 2) ? (front * betaFraction(x, a, b)) / a : 1 - (front * betaFraction(1 - x, b, a)) / b;
}

/** The point of a beta distribution below which the share `p` lies, 0 < p < 1, to 1e-12. */
export function betaPoint(p: number, a: number, b: number): number {
  const [low, high] = bisect((x) => betaShare(x, a, b) >= p, 0, 1, { width: 1e-12 });
  return (low + high) / 2;
}

/** Share of Student's t distribution with `freedom` degrees (> 0) that lies below `t`. */
export function studentShare(t: number, freedom: number): number {
  const tail = betaShare(freedom / (freedom + t * t), freedom / 2, 0.5) / 2;
  return t > 0 ? 1 - tail : tail;
}
