import { minimumBetween } from '../../foundation/math/index.js';
import { slopeFactor, type SolidPoint } from './body.js';
import { integrate } from './quadrature.js';
import type { RectFrustum } from './solid.js';

const QUARTER = Math.PI / 2;

/**
 * Mean slope factor round a quarter of a rounded corner, whose side moves out by `endRun` along x and by `sideRun` along y for
 * each mm up: square to the corner it runs endRun·cos φ + sideRun·sin φ.
 */
export const cornerSlope = (endRun: number, sideRun: number): number =>
  integrate((phi) => slopeFactor(endRun * Math.cos(phi) + sideRun * Math.sin(phi)), 0, QUARTER) / QUARTER;

/** A box with rounded corners, and how its ends and sides run outwards for each mm up. */
interface RoundedBox {
  readonly solid: RectFrustum;
  readonly endRun: number;
  readonly sideRun: number;
}

type Distance = (p: SolidPoint) => number;

const LOOKS = 12;
const STEPS = 40;

const clamp = (value: number, low: number, high: number) => Math.min(high, Math.max(low, value));
const away =
  ([x, y, z]: SolidPoint): Distance =>
  (q) =>
    Math.hypot(q[0] - x, q[1] - y, q[2] - z);

/** Nearest place of a flat side x = half + run·z, between heights 0 and rim. */
function onFlat(half: number, run: number, x: number, z: number, rim: number): { x: number; z: number } {
  const at = clamp((z + run * (x - half)) / (1 + run * run), 0, rim);
  return { x: half + run * at, z: at };
}

/** Nearest place of the corner of the first quarter: over its straight lines, one for each angle φ. */
function onCorner({ solid, endRun, sideRun }: RoundedBox, p: SolidPoint, rim: number): SolidPoint {
  const { bottomLength, bottomWidth, cornerRadius: r } = solid;
  const [cx, cy] = [bottomLength / 2 - r, bottomWidth / 2 - r];
  const square = endRun ** 2 + sideRun ** 2 + 1;
  const at = (phi: number): SolidPoint => {
    const [x, y] = [cx + r * Math.cos(phi), cy + r * Math.sin(phi)];
    const z = clamp(((p[0] - x) * endRun + (p[1] - y) * sideRun + p[2]) / square, 0, rim);
    return [x + endRun * z, y + sideRun * z, z];
  };
  const far = (phi: number) => away(p)(at(phi));
  const looks = Array.from({ length: LOOKS + 1 }, (_, i) => (QUARTER * i) / LOOKS);
  const best = looks.reduce((a, b) => (far(b) < far(a) ? b : a));
  const step = QUARTER / LOOKS;
  return at(minimumBetween(far, Math.max(0, best - step), Math.min(QUARTER, best + step), STEPS));
}

/** Nearest place of the sides of a box with rounded corners to a place inside, up to a height: flats where they are, else a corner. */
export function nearestOnRounded(box: RoundedBox, p: SolidPoint, rim: number): SolidPoint {
  const { solid, endRun, sideRun } = box;
  const { bottomLength, bottomWidth, cornerRadius: r } = solid;
  const [sx, sy] = [Math.sign(p[0]) || 1, Math.sign(p[1]) || 1];
  const inFirst: SolidPoint = [Math.abs(p[0]), Math.abs(p[1]), p[2]];
  const [x, y, z] = inFirst;
  const end = onFlat(bottomLength / 2, endRun, x, z, rim);
  const side = onFlat(bottomWidth / 2, sideRun, y, z, rim);
  const candidates: SolidPoint[] = [onCorner(box, inFirst, rim)];
  if (y <= bottomWidth / 2 - r + sideRun * end.z) candidates.push([end.x, y, end.z]);
  if (x <= bottomLength / 2 - r + endRun * side.z) candidates.push([x, side.x, side.z]);
  const from = away(inFirst);
  const [nx, ny, nz] = candidates.reduce((a, b) => (from(b) < from(a) ? b : a));
  return [sx * nx, sy * ny, nz];
}
