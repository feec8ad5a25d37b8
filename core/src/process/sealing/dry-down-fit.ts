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

/** A weighing as the fit sees it: ln of its hours after the first, its weight, its mass above the expected dry one. */
interface Seen {
  readonly lnT: number;
  readonly weight: number;
  readonly y: number;
}

interface GridPoint {
  readonly tau: number;
  readonly beta: number;
  readonly logWeight: number;
  /** Mean and spread of the amplitude, and of the final mass given it. */
  readonly amplitude: number;
  readonly amplitudeSd: number;
  readonly finalAt: (amplitude: number) => number;
  readonly finalSd: number;
}

/**
 * For a given shape (tau, beta) mass is linear in final mass and amplitude, so both are integrated out exactly:
 * a normal prior on the one, a flat one above 0 on the other.
 */
function weighPoint(seen: readonly Seen[], prior: DryDownPrior, mean: number, lnTau: number, beta: number): GridPoint {
  const priorSd = prior.sd ?? Math.max(1, 0.25 * prior.loss);
  let sw = 1 / priorSd ** 2;
  let sx = 0,
    sxx = 0,
    sy = 0,
    sxy = 0;
  for (const { lnT, weight, y } of seen) {
    const x = Math.exp(-Math.exp(beta * (lnT - lnTau)));
    sw += weight;
    sx += weight * x;
    sxx += weight * x * x;
    sy += weight * y;
    sxy += weight * x * y;
  }
  const det = sw * sxx - sx * sx;
  const amplitude = (sw * sxy - sx * sy) / det;
  const offset = (sxx * sy - sx * sxy) / det;
  const amplitudeSd = Math.sqrt(sw / det);
  const fit = (offset * sy + amplitude * sxy) / 2 - Math.log(det) / 2;
  const shape = -((lnTau - mean) ** 2) / (2 * LN_TAU_SD ** 2) - (beta - BETA) ** 2 / (2 * BETA_SD ** 2);
  const positive = Math.log(Math.max(1e-300, normalShare(amplitude / amplitudeSd)));
  return {
    tau: Math.exp(lnTau),
    beta,
    amplitude,
    amplitudeSd,
    logWeight: fit + shape + positive,
    finalAt: (a) => prior.dry + (sy - sx * a) / sw,
    finalSd: 1 / Math.sqrt(sw),
  };
}

/** Equal readings of a coarse scale share one rounding, however many they are: together they say no more about it than one. */
function seenBy(weighings: readonly Weighing[], prior: DryDownPrior): Seen[] {
  const start = defined(weighings[0]).hour;
  return weighings.map((weighing) => {
    const alike = weighings.filter(({ mass, step }) => mass === weighing.mass && step === weighing.step).length;
    const shared = ((alike - 1) * weighing.step ** 2) / 12;
    return {
      lnT: Math.log(weighing.hour - start),
      weight: 1 / (weighingError(weighing) ** 2 + shared),
      y: weighing.mass - prior.dry,
    };
  });
}

function grid(weighings: readonly Weighing[], prior: DryDownPrior): GridPoint[] {
  const points: GridPoint[] = [];
  const seen = seenBy(weighings, prior);
  const mean = Math.log(prior.tau ?? USUAL_TAU);
  for (let i = 0; i < TAU_POINTS; i++) {
    for (let j = 0; j < BETA_POINTS; j++) {
      const lnTau = mean + LN_TAU_SD * 3.2 * ((2 * i) / (TAU_POINTS - 1) - 1);
      const beta = BETA + BETA_SD * 2.8 * ((2 * j) / (BETA_POINTS - 1) - 1);
      points.push(weighPoint(seen, prior, mean, lnTau, beta));
    }
  }
  return points;
}

/** Evenly spread numbers in 0–1 (golden-ratio sequences), so that the same weighings always give the same curves. */
const spread = (i: number, step: number) => (0.5 + i * step) % 1;

function drawCurve(point: GridPoint, i: number): DryDownCurve {
  const below = normalShare(-point.amplitude / point.amplitudeSd);
  const share = below + (1 - below) * Math.min(0.9995, Math.max(0.0005, spread(i, 0.7548776662)));
  const amplitude = Math.max(0, point.amplitude + point.amplitudeSd * normalPoint(Math.min(1 - 1e-9, share)));
  const noise = normalPoint(Math.min(0.9995, Math.max(0.0005, spread(i, 0.5698402909))));
  return { tau: point.tau, beta: point.beta, amplitude, final: point.finalAt(amplitude) + point.finalSd * noise };
}

/**
 * Curves of equal weight that stand for the posterior of the dry-down, given at least one weighing in order of time.
 * Priors: final mass as expected with sd 25 % of the expected loss, ln τ about ln 5 days (or the prior's own) with sd 1,
 * β 0.75 ± 0.15.
 */
export function plausibleCurves(weighings: readonly Weighing[], prior: DryDownPrior): DryDownCurve[] {
  const points = grid(weighings, prior);
  const top = points.reduce((best, { logWeight }) => Math.max(best, logWeight), -Infinity);
  const weights = points.map(({ logWeight }) => Math.exp(logWeight - top));
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const curves: DryDownCurve[] = [];
  let passed = 0;
  for (let k = 0; k < points.length; k++) {
    passed += defined(weights[k]);
    while (curves.length < CURVES && ((curves.length + 0.5) / CURVES) * total <= passed) {
      curves.push(drawCurve(defined(points[k]), curves.length));
    }
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
