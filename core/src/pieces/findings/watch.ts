import { betaPoint } from '../../foundation/math/index.js';

/** So many earlier casts before a chart has limits. */
const BEFORE = 8;

/** A point of a chart with the limits that the casts before it give. */
export interface WatchedPoint {
  readonly value: number;
  /** Undefined for the first eight. */
  readonly limits?: readonly [low: number, middle: number, high: number];
  readonly out: boolean;
}

/**
 * A chart of individuals: each value against mean ± 2.66·(1 + 4 ÷ n)·mean moving range of the n ≥ 8 before it, not of itself. Handbook 20, "Watching".
 */
export function individualsChart(values: readonly number[]): WatchedPoint[] {
  let [sum, ranges] = [0, 0];
  return values.map((value, n) => {
    const limits = n < BEFORE ? undefined : limitsOf(sum / n, ranges / (n - 1), n);
    sum += value;
    if (n > 0) ranges += Math.abs(value - (values[n - 1] ?? value));
    return { value, ...(limits && { limits }), out: limits !== undefined && (value < limits[0] || value > limits[2]) };
  });
}

function limitsOf(middle: number, range: number, n: number): readonly [number, number, number] {
  const reach = 2.66 * (1 + 4 / n) * range;
  return [middle - reach, middle, middle + reach];
}

/** Share of good casts of a month, with its exact limits. */
export interface MonthShare {
  readonly month: string;
  readonly good: number;
  readonly casts: number;
  readonly limits: readonly [number, number];
  /** What the months before it gave lies outside its limits. */
  readonly out: boolean;
}

/** The exact 95 % limits of a share (Clopper & Pearson 1934). */
export function shareLimits(good: number, casts: number): readonly [number, number] {
  const low = good === 0 ? 0 : betaPoint(0.025, good, casts - good + 1);
  return [low, good === casts ? 1 : betaPoint(0.975, good + 1, casts - good)];
}

/** Share of good casts by month, in their order. A month is out where the share of all months before it, of eight casts at least, lies outside its limits. */
export function goodByMonth(casts: readonly { readonly month: string; readonly good: boolean }[]): MonthShare[] {
  const months = [...new Set(casts.map(({ month }) => month))].sort();
  let [goodBefore, before] = [0, 0];
  return months.map((month) => {
    const own = casts.filter((one) => one.month === month);
    const good = own.filter((one) => one.good).length;
    const limits = shareLimits(good, own.length);
    const usual = goodBefore / before;
    const out = before >= BEFORE && (usual < limits[0] || usual > limits[1]);
    goodBefore += good;
    before += own.length;
    return { month, good, casts: own.length, limits, out };
  });
}

/** How often casts of a copy came out hurt in a stretch of its cycles. */
export interface CyclesShare {
  readonly from: number;
  readonly to: number;
  readonly casts: number;
  readonly hurt: number;
}

const STRETCHES = 4;

/** Damage of casts by how often their copy had been used, in four stretches of like numbers of casts. */
export function damageByCycles(casts: readonly { readonly cycles: number; readonly hurt: boolean }[]): CyclesShare[] {
  const sorted = [...casts].sort((a, b) => a.cycles - b.cycles);
  const count = Math.min(STRETCHES, Math.floor(sorted.length / BEFORE));
  return Array.from({ length: count }, (_, i) => {
    const own = sorted.slice(Math.round((i * sorted.length) / count), Math.round(((i + 1) * sorted.length) / count));
    return {
      from: own[0]?.cycles ?? 0,
      to: own[own.length - 1]?.cycles ?? 0,
      casts: own.length,
      hurt: own.filter(({ hurt }) => hurt).length,
    };
  });
}
