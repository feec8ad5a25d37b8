import { normalPoint, normalShare, defined } from '../../foundation/math/index.js';

/** A weighing: hours since the pour, g, the scale's step in g, and the air it stood in. */
export interface Weighing {
  readonly hour: number;
  readonly mass: number;
  readonly step: number;
  readonly temperature?: number;
  /** Share, 0–1. */
  readonly humidity?: number;
}

/** What is known before the first weighing: the dry mass and the water that can leave, g. */
export interface DryDownPrior {
  readonly dry: number;
  readonly loss: number;
  /** How far off the dry mass may be, g; a quarter of the loss where it is left out. */
  readonly sd?: number;
  /** Hours in which about two thirds leave, in the air it stands in; five days where that is left out. */
  readonly tau?: number;
}

/** One plausible curve: mass at t hours after the first weighing = final + amplitude·exp(−(t/tau)^beta). */
export interface DryDownCurve {
  readonly final: number;
  readonly amplitude: number;
  readonly tau: number;
  readonly beta: number;
}

/** Hours in which about two thirds of the water leave, in usual air. */
export const USUAL_TAU = 5 * 24;
const LN_TAU_SD = 1;
const BETA = 0.75;
const BETA_SD = 0.15;
const TAU_POINTS = 81;
const BETA_POINTS = 17;
/** Curves that stand for the posterior. */
const CURVES = 400;

/** Error of a weighing, g: √(step²/12 + (0.1 % of mass)²); in cold or damp air its square is doubled. */
export function weighingError({ mass, step, temperature = 20, humidity = 0.5 }: Weighing): number {
  const square = (step * step) / 12 + (0.001 * mass) ** 2;
  const poorAmbient = temperature < 10 || humidity > 0.8;
  return Math.sqrt(square * (poorAmbient ? 2 : 1));
}

/** Mass on a curve, g, `t` hours after the first weighing. */
export function massOn(curve: DryDownCurve, t: number): number {
  return curve.final + waterOn(curve, t);
}

/** Water still to evaporate on a curve, g, `t` hours after the first weighing. */
export function waterOn({ amplitude, tau, beta }: DryDownCurve, t: number): number {
  return t <= 0 ? amplitude : amplitude * Math.exp(-Math.exp(beta * Math.log(t / tau)));
}

/** ln of tau over its middle, and beta, along the sides of the grid of shapes; points are counted row by row of one tau. */
const POINTS = TAU_POINTS * BETA_POINTS;
const LN_TAUS = Array.from({ length: TAU_POINTS }, (_, i) => LN_TAU_SD * 3.2 * ((2 * i) / (TAU_POINTS - 1) - 1));
const BETAS = Array.from({ length: BETA_POINTS }, (_, j) => BETA + BETA_SD * 2.8 * ((2 * j) / (BETA_POINTS - 1) - 1));
/** What each point makes of a power: the middle tau over its own, to its beta. Half of all exponentials are saved by it. */
const FACTORS = LN_TAUS.flatMap((lnTau) => BETAS.map((beta) => Math.exp(-beta * lnTau)));

/** A weighing as the fit sees it: (its hours after the first / the middle tau)^beta for each beta of the grid, its weight, its mass above the expected dry one. */
interface Seen {
  readonly powers: readonly number[];
  readonly weight: number;
  readonly y: number;
}

/** What is fitted, with the sums over its weighings that are the same for every shape of the curve. */
interface Fitted {
  readonly seen: readonly Seen[];
  readonly dry: number;
  readonly tau: number;
  readonly sw: number;
  readonly sy: number;
}

/** A shape (tau, beta) of the grid, and what the weighings say of it. */
interface Shape {
  /** ln of tau over its middle. */
  readonly lnTau: number;
  readonly beta: number;
  readonly logWeight: number;
  /** Mean and spread of the amplitude. */
  readonly amplitude: number;
  readonly amplitudeSd: number;
  /** Weight of a step of the curve, over all weighings. */
  readonly sx: number;
}

/** Equal readings of a coarse scale share one rounding, however many they are: together they say no more about it than one. */
function seenBy(weighings: readonly Weighing[], prior: DryDownPrior): Seen[] {
  const start = defined(weighings[0]).hour;
  const tau = prior.tau ?? USUAL_TAU;
  return weighings.map((weighing) => {
    const alike = weighings.filter(({ mass, step }) => mass === weighing.mass && step === weighing.step).length;
    const shared = ((alike - 1) * weighing.step ** 2) / 12;
    return {
      powers: BETAS.map((beta) => ((weighing.hour - start) / tau) ** beta),
      weight: 1 / (weighingError(weighing) ** 2 + shared),
      y: weighing.mass - prior.dry,
    };
  });
}

function fittedTo(weighings: readonly Weighing[], prior: DryDownPrior): Fitted {
  const seen = seenBy(weighings, prior);
  const priorSd = prior.sd ?? Math.max(1, 0.25 * prior.loss);
  return {
    seen,
    dry: prior.dry,
    tau: prior.tau ?? USUAL_TAU,
    sw: seen.reduce((sum, { weight }) => sum + weight, 1 / priorSd ** 2),
    sy: seen.reduce((sum, { weight, y }) => sum + weight * y, 0),
  };
}

/**
 * For a given shape mass is linear in final mass and amplitude, so both are integrated out exactly: a normal prior on the one, a
 * flat one above 0 on the other. `k` is the point of the grid.
 */
function shapeAt({ seen, sw, sy }: Fitted, k: number): Shape {
  const j = k % BETA_POINTS;
  const lnTau = defined(LN_TAUS[Math.floor(k / BETA_POINTS)]);
  const beta = defined(BETAS[j]);
  const factor = defined(FACTORS[k]);
  let sx = 0,
    sxx = 0,
    sxy = 0;
  for (const { powers, weight, y } of seen) {
    const x = Math.exp(-factor * defined(powers[j]));
    sx += weight * x;
    sxx += weight * x * x;
    sxy += weight * x * y;
  }
  const det = sw * sxx - sx * sx;
  const amplitude = (sw * sxy - sx * sy) / det;
  const offset = (sxx * sy - sx * sxy) / det;
  const amplitudeSd = Math.sqrt(sw / det);
  const fit = (offset * sy + amplitude * sxy) / 2 - Math.log(det) / 2;
  const shape = -(lnTau ** 2) / (2 * LN_TAU_SD ** 2) - (beta - BETA) ** 2 / (2 * BETA_SD ** 2);
  const positive = Math.log(Math.max(1e-300, normalShare(amplitude / amplitudeSd)));
  return { lnTau, beta, amplitude, amplitudeSd, logWeight: fit + shape + positive, sx };
}

/** Evenly spread numbers in 0–1 (golden-ratio sequences), so that the same weighings always give the same curves. */
const spread = (step: number) =>
  Array.from({ length: CURVES }, (_, i) => Math.min(0.9995, Math.max(0.0005, (0.5 + i * step) % 1)));
const AMPLITUDES = spread(0.7548776662);
const NOISES = spread(0.5698402909).map(normalPoint);

function drawCurve({ dry, tau, sw, sy }: Fitted, { lnTau, beta, amplitude: mean, amplitudeSd, sx }: Shape, i: number): DryDownCurve {
  const below = normalShare(-mean / amplitudeSd);
  const share = below + (1 - below) * defined(AMPLITUDES[i]);
  const amplitude = Math.max(0, mean + amplitudeSd * normalPoint(Math.min(1 - 1e-9, share)));
  const final = dry + (sy - sx * amplitude) / sw + (1 / Math.sqrt(sw)) * defined(NOISES[i]);
  return { tau: tau * Math.exp(lnTau), beta, amplitude, final };
} // prettier-ignore

/**
 * Curves of equal weight that stand for the posterior of the dry-down, given at least one weighing in order of time.
 * Priors: final mass as expected with sd 25 % of the expected loss, ln τ about ln 5 days (or the prior's own) with sd 1,
 * β 0.75 ± 0.15.
 */
export function plausibleCurves(weighings: readonly Weighing[], prior: DryDownPrior): DryDownCurve[] {
  const fitted = fittedTo(weighings, prior);
  const weights = new Float64Array(POINTS);
  for (let k = 0; k < POINTS; k++) weights[k] = shapeAt(fitted, k).logWeight;
  const top = weights.reduce((best, logWeight) => Math.max(best, logWeight), -Infinity);
  for (let k = 0; k < POINTS; k++) weights[k] = Math.exp(defined(weights[k]) - top);
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const curves: DryDownCurve[] = [];
  let passed = 0;
  const isNext = () => curves.length < CURVES && ((curves.length + 0.5) / CURVES) * total <= passed;
  for (let k = 0; k < POINTS; k++) {
    passed += defined(weights[k]);
    // Few points of the grid carry curves: the shape of each is found once more.
    const shape = isNext() ? shapeAt(fitted, k) : undefined;
    while (shape && isNext()) curves.push(drawCurve(fitted, shape, curves.length));
  }
  return curves;
}

/** Values below which the shares `ps` of `values` lie. */
export function quantiles(values: readonly number[], ps: readonly number[]): number[] {
  const sorted = Float64Array.from(values).sort();
  return ps.map((p) => {
    const at = p * (sorted.length - 1);
    const low = Math.floor(at);
    const high = Math.ceil(at);
    return defined(sorted[low]) + (defined(sorted[high]) - defined(sorted[low])) * (at - low);
  });
}

/** Value below which the share `p` of `values` lies. */
export function quantile(values: readonly number[], p: number): number {
  return defined(quantiles(values, [p])[0]);
}
