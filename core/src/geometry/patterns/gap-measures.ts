import { defined, solve } from '../../foundation/math/index.js';
import type { PlanPoint } from '../solids/index.js';
import type { GapPattern, TapedDiagonal } from './pattern.js';

/** A length that was taped: between which corners, and which field of the pattern it stands in. mm */
export interface Taped extends TapedDiagonal {
  readonly field: string;
}

/** Every length that was taped round a gap and across it. */
export const tapedOf = ({ sides, diagonals }: Pick<GapPattern, 'sides' | 'diagonals'>): Taped[] => [
  ...sides.map((length, i) => ({ field: `sides.${i}`, from: i, to: (i + 1) % sides.length, length })),
  ...diagonals.map((one, i) => ({ ...one, field: `diagonals.${i}.length` })),
];

const distance = ([ax, ay]: PlanPoint, [bx, by]: PlanPoint): number => Math.hypot(bx - ax, by - ay);

/** Whether two diagonals cross inside a gap, by the places of their corners. */
function crossing(a: TapedDiagonal, b: TapedDiagonal): boolean {
  const [low, high] = [Math.min(a.from, a.to), Math.max(a.from, a.to)];
  const within = (corner: number) => corner > low && corner < high;
  const beyond = (corner: number) => corner < low || corner > high;
  return (within(b.from) && beyond(b.to)) || (beyond(b.from) && within(b.to));
}

/** Diagonals that divide a gap into triangles, the first of those that were taped that do not cross; undefined where they do not do. */
export function dividing({ sides, diagonals }: Pick<GapPattern, 'sides' | 'diagonals'>): TapedDiagonal[] | undefined {
  const taken: TapedDiagonal[] = [];
  for (const one of diagonals) if (!taken.some((other) => crossing(one, other))) taken.push(one);
  return taken.length === sides.length - 3 ? taken : undefined;
}

/** A triangle whose sides do not meet: the corners, and its sides. */
export interface ImpossibleTriangle {
  readonly corners: readonly [number, number, number];
  readonly lengths: readonly [number, number, number];
}

/** Corners of a gap from triangles, counter-clockwise, the first at the origin and the second along x; or the triangle that cannot be. */
export function cornersByTriangles(sides: readonly number[], across: readonly TapedDiagonal[]): readonly PlanPoint[] | ImpossibleTriangle {
  const n = sides.length;
  const known = new Map<string, number>();
  const name = (a: number, b: number) => `${Math.min(a, b)} ${Math.max(a, b)}`;
  sides.forEach((length, i) => known.set(name(i, (i + 1) % n), length));
  across.forEach(({ from, to, length }) => known.set(name(from, to), length));
  const corners: (PlanPoint | undefined)[] = Array.from({ length: n }, () => undefined);
  corners[0] = [0, 0];
  corners[1] = [defined(sides[0]), 0];
  // Lines whose far side is still open, as they run counter-clockwise round what lies beyond them.
  const open: [number, number][] = [[0, 1]];
  for (let line = open.pop(); line; line = open.pop()) {
    const [a, b] = line;
    const c = Array.from({ length: n }, (_, i) => i).find((i) => corners[i] === undefined && known.has(name(a, i)) && known.has(name(b, i)));
    if (c === undefined) continue;
    const lengths = [defined(known.get(name(a, b))), defined(known.get(name(b, c))), defined(known.get(name(c, a)))] as const;
    const [ab, bc, ca] = lengths;
    if (ab + bc <= ca || bc + ca <= ab || ca + ab <= bc) return { corners: [a, b, c], lengths };
    const [from, to] = [defined(corners[a]), defined(corners[b])];
    const along = (ab * ab + ca * ca - bc * bc) / (2 * ab);
    const out = Math.sqrt(Math.max(0, ca * ca - along * along));
    const [ux, uy] = [(to[0] - from[0]) / ab, (to[1] - from[1]) / ab];
    corners[c] = [from[0] + ux * along - uy * out, from[1] + uy * along + ux * out];
    open.push([a, c], [c, b]);
  }
  return corners.map((corner) => defined(corner));
} // prettier-ignore

/** Rounds of improvement, and the step at which they end, mm. */
const ROUNDS = 60;
const STILL = 1e-9;

/** Where a corner's coordinate stands among those that are free: the first corner stays, and the second stays on x. */
const placeOf = (corner: number, axis: 0 | 1): number => (corner === 0 || (corner === 1 && axis === 1) ? -1 : corner === 1 ? 0 : 2 * corner - 3 + axis); // prettier-ignore

/** How much longer each length gets where a free coordinate grows, and by how much it is off. */
function slopes(corners: readonly PlanPoint[], taped: readonly Taped[], free: number) {
  return taped.map(({ from, to, length }) => {
    const [a, b] = [defined(corners[from]), defined(corners[to])];
    const size = distance(a, b);
    const row = new Array<number>(free).fill(0);
    for (const axis of [0, 1] as const) {
      const slope = (b[axis] - a[axis]) / size;
      const [i, j] = [placeOf(from, axis), placeOf(to, axis)];
      if (i >= 0) row[i] = -slope;
      if (j >= 0) row[j] = slope;
    }
    return { row, off: length - size };
  });
}

/** Corners that fit all lengths best, from a first guess (Gauss–Newton); undefined where lengths leave them open. */
function fittedCorners(first: readonly PlanPoint[], taped: readonly Taped[]): readonly PlanPoint[] | undefined {
  const free = 2 * first.length - 3;
  if (taped.length < free) return undefined;
  let corners = first;
  for (let round = 0; round < ROUNDS; round++) {
    const rows = slopes(corners, taped, free);
    const all = Array.from({ length: free }, (_, i) => i);
    const normal = all.map((i) => all.map((j) => rows.reduce((sum, { row }) => sum + defined(row[i]) * defined(row[j]), 0))); // prettier-ignore
    const right = all.map((i) => rows.reduce((sum, { row, off }) => sum + defined(row[i]) * off, 0));
    const step = solve(normal, right);
    if (!step || step.some((one) => !Number.isFinite(one))) return undefined;
    const by = (corner: number, axis: 0 | 1) => (placeOf(corner, axis) < 0 ? 0 : defined(step[placeOf(corner, axis)]));
    corners = corners.map(([x, y], corner): PlanPoint => [x + by(corner, 0), y + by(corner, 1)]);
    if (Math.hypot(...step) < STILL) break;
  }
  return corners;
}

/** How well lengths close: what each was taped as, less what the corners give, mm. */
export const closingErrors = (corners: readonly PlanPoint[], taped: readonly Taped[]): number[] =>
  taped.map(({ from, to, length }) => length - distance(defined(corners[from]), defined(corners[to])));

/** One length that may be wrong: what it would have to be so that the rest closes, and how well they close then. mm */
export interface Suspect {
  readonly field: string;
  readonly from: number;
  readonly to: number;
  readonly taped: number;
  /** What the others give for it. */
  readonly should: number;
  /** What the others are still off by, root mean square. */
  readonly left: number;
}

/**
 * Which length is likeliest wrong: each is left out in turn, and the others are fitted. With one length to spare each would close by itself;
 * with two the one without which the rest closes best comes first. Handbook 19, "A slab for a gap".
 */
export function suspectsOf(first: readonly PlanPoint[], taped: readonly Taped[]): Suspect[] {
  const found = taped.flatMap((one): Suspect[] => {
    const others = taped.filter((other) => other !== one);
    const corners = fittedCorners(first, others);
    if (!corners) return [];
    const errors = closingErrors(corners, others);
    const left = Math.sqrt(errors.reduce((sum, error) => sum + error * error, 0) / others.length);
    const should = distance(defined(corners[one.from]), defined(corners[one.to]));
    return [{ field: one.field, from: one.from, to: one.to, taped: one.length, should, left }];
  });
  return found.sort((a, b) => a.left - b.left || Math.abs(a.should - a.taped) - Math.abs(b.should - b.taped));
}
