import { converter, differenceCiede2000, formatHex, modeLab65, modeRgb, modeXyz65, useMode } from 'culori/fn';
import { solve, triple, type Triple } from '../../foundation/math/index.js';
import { BANDS, eyeWeights, type Spectrum } from './bands.js';

useMode(modeRgb);
useMode(modeXyz65);
useMode(modeLab65);
const toXyz = converter('xyz65');
const toRgb = converter('rgb');
const toLab = converter('lab65');
const ciede2000 = differenceCiede2000();

/** CIE L*a*b* under daylight. */
export type Lab = readonly [l: number, a: number, b: number];

/** Difference of two colours in L*a*b* as the eye sees it, ΔE00 (CIEDE2000). */
export const labDifference = ([l1, a1, b1]: Lab, [l2, a2, b2]: Lab): number =>
  ciede2000({ mode: 'lab65', l: l1, a: a1, b: b1 }, { mode: 'lab65', l: l2, a: a2, b: b2 });

/** CIE XYZ under daylight, Y of white = 1. */
export type Xyz = Triple;

/** What the eye gets of a reflectance. */
export const xyzOf = (spectrum: Spectrum): Xyz =>
  triple((k) => eyeWeights[k]!.reduce((sum, n, i) => sum + n * spectrum[i]!, 0));

const clamp = (n: number) => Math.min(1, Math.max(0, n));

/** A reflectance as a screen shows it, #rrggbb; what no screen can show is drawn to its edge. */
export function hexOf(spectrum: Spectrum): string {
  const [x, y, z] = xyzOf(spectrum);
  const { r, g, b } = toRgb({ mode: 'xyz65', x, y, z });
  return formatHex({ mode: 'rgb', r: clamp(r), g: clamp(g), b: clamp(b) });
}

/** A colour, #rrggbb or a reflectance, in L*a*b*. @throws Error for what is no colour */
export function labOf(of: string | Spectrum): Lab {
  const [x, y, z] = typeof of === 'string' ? Object.values(named(of)) : xyzOf(of);
  const { l, a, b } = toLab({ mode: 'xyz65', x: x!, y: y!, z: z! });
  return [l, a, b];
}

/** Difference of two colours as the eye sees it, ΔE00. Colours as #rrggbb or as reflectances. @throws Error for what is no colour */
export const colourDifference = (a: string | Spectrum, b: string | Spectrum): number =>
  labDifference(labOf(a), labOf(b));

/** Those of some coloured things that come nearest to a wanted colour, with how far each is from it, ΔE00; the nearest first. */
export function nearestColours<T extends { readonly colour: string }>(
  wanted: string,
  among: readonly T[],
  count: number,
): (T & { readonly away: number })[] {
  return among
    .map((one) => ({ ...one, away: colourDifference(wanted, one.colour) }))
    .sort((a, b) => a.away - b.away)
    .slice(0, count);
}

function named(hex: string) {
  const found = toXyz(hex);
  if (!found) throw new Error(`“${hex}” is not a colour: write it like #b9b2a6.`);
  const { x, y, z } = found;
  return { x, y, z };
}

/** Darkest and lightest that a smooth reflectance is made for: pure black and white have none. */
const DARKEST = 0.004;
const LIGHTEST = 0.985;
const STEPS = 40;
const NEAR = 1e-9;
/** Longest move of one band in one step, in atanh space. */
const LONGEST = 2;

/** A target that some face can have: pulled a little towards grey where it is pure black or white. */
function possible({ x, y, z }: { x: number; y: number; z: number }): Xyz {
  const luminance = Math.min(LIGHTEST, Math.max(DARKEST, y));
  const pull = y > 0 ? luminance / y : 0;
  return y < DARKEST
    ? [0.95047 * luminance, luminance, 1.08883 * luminance]
    : ([x * pull, y * pull, z * pull] as const);
}

const made = new Map<string, Spectrum>();

/** A face in search of its colour: its bands in atanh space, and the three multipliers that hold X, Y and Z. */
interface Search {
  readonly z: readonly number[];
  readonly lambda: readonly number[];
}

/** The residual of the Lagrangian and its matrix at a point of the search. */
function lagrangian({ z, lambda }: Search, target: Xyz): { matrix: number[][]; residual: number[] } {
  const n = z.length;
  const t = z.map(Math.tanh);
  const slope = t.map((one) => (1 - one * one) / 2);
  const pull = eyeWeights.map((weight) => weight.map((w, i) => w * slope[i]!));
  const off = eyeWeights.map((weight, k) => weight.reduce((sum, w, i) => sum + (w * (t[i]! + 1)) / 2, 0) - target[k]!);
  const held = (i: number, of: readonly (readonly number[])[]) => lambda.reduce((sum, l, k) => sum + l * of[k]![i]!, 0);
  const gradient = z.map((_, i) => slopes(z, i) + held(i, pull));
  const own = (i: number) => -2 * t[i]! * slope[i]! * held(i, eyeWeights);
  const entry = (i: number, j: number) => {
    if (i >= n && j >= n) return 0;
    if (i >= n) return pull[i - n]![j]!;
    if (j >= n) return pull[j - n]![i]!;
    return curvature(i, j, n) + (i === j ? own(i) : 0);
  };
  const all = Array.from({ length: n + 3 }, (_, i) => i);
  return { matrix: all.map((i) => all.map((j) => entry(i, j))), residual: [...gradient, ...off] };
}

/**
 * The smoothest reflectance of a display colour: each band strictly between 0 and 1, the sum of its squared slopes in
 * atanh space least, its XYZ that of the colour. Newton on the Lagrangian, at most 40 steps.
 * @throws Error for what is no colour, or one that no smooth face can have
 */
export function spectrumOf(hex: string): Spectrum {
  const known = made.get(hex);
  if (known) return known;
  const target = possible(named(hex));
  const n = BANDS.length;
  let at: Search = { z: BANDS.map(() => 0), lambda: [0, 0, 0] };
  for (let step = 0; step < STEPS; step++) {
    const { matrix, residual } = lagrangian(at, target);
    if (Math.max(...residual.map(Math.abs)) < NEAR) break;
    const move = solve(
      matrix,
      residual.map((one) => -one),
    );
    if (!move) break;
    // Long steps are shortened, so that a saturated colour does not run away.
    const by = Math.min(1, LONGEST / Math.max(...move.slice(0, n).map(Math.abs)));
    at = {
      z: at.z.map((one, i) => one + by * move[i]!),
      lambda: at.lambda.map((one, k) => one + by * move[n + k]!),
    };
  }
  const spectrum = at.z.map((one) => (Math.tanh(one) + 1) / 2);
  if (!spectrum.every(Number.isFinite)) throw new Error(`No smooth face has the colour ${hex}.`);
  made.set(hex, spectrum);
  return spectrum;
}

/** Derivative of the sum of squared slopes by one band. */
function slopes(z: readonly number[], i: number): number {
  const left = i > 0 ? z[i]! - z[i - 1]! : 0;
  const right = i < z.length - 1 ? z[i]! - z[i + 1]! : 0;
  return 2 * (left + right);
}

/** Second derivative of the sum of squared slopes. */
function curvature(i: number, j: number, n: number): number {
  if (i === j) return i === 0 || i === n - 1 ? 2 : 4;
  return Math.abs(i - j) === 1 ? -2 : 0;
}
