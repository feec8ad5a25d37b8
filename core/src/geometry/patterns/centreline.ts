import { defined } from '../../foundation/math/index.js';
import { counterClockwise, moveOutline, outlineLength, type PlanPoint } from '../solids/index.js';
import type { StripLine } from './pattern.js';

/** A short stretch of a line: its start, its way as an angle (radians), its length, and its curvature (1/mm, to the left above 0). */
interface LineStep {
  readonly at: PlanPoint;
  readonly way: number;
  readonly length: number;
  readonly curvature: number;
}

/** A line to set strips along: its steps, whether it closes, and its corners as angles turned (radians) with their places. */
export interface Centreline {
  readonly steps: readonly LineStep[];
  readonly closed: boolean;
  readonly corners: readonly { readonly at: PlanPoint; readonly turn: number; readonly step: number }[];
}

const STEPS = 720;
/** Steps of a circle of a heart: its walls are moved as outlines, which takes long where they have many points. */
const ROUND = 90;

/** Steps of a smooth line given by its point, way, curvature and speed at a parameter from 0 to 1 (midpoint rule). */
function smooth(of: (t: number) => { at: PlanPoint; way: number; curvature: number; speed: number }, count = STEPS): LineStep[] {
  return Array.from({ length: count }, (_, i) => {
    const { way, curvature, speed } = of((i + 0.5) / count);
    return { at: of(i / count).at, way, length: speed / count, curvature };
  });
} // prettier-ignore

function circleSteps(radius: number, from: number, sweep: number, x = 0, y = 0, count = STEPS): LineStep[] {
  return smooth((t) => {
    const angle = from + sweep * t;
    const side = Math.sign(sweep);
    return {
      at: [x + radius * Math.cos(angle), y + radius * Math.sin(angle)],
      way: angle + (side * Math.PI) / 2,
      curvature: side / radius,
      speed: radius * Math.abs(sweep),
    };
  }, count);
}

/** An even spiral: radius r = r₀ + p·θ/2π; its curvature (r² + 2k²)/(r² + k²)^1.5 with k = p/2π. */
function spiralSteps(start: number, pitch: number, turns: number): LineStep[] {
  const k = pitch / (2 * Math.PI);
  const sweep = 2 * Math.PI * turns;
  return smooth(
    (t) => {
      const angle = sweep * t;
      const r = start + k * angle;
      const pace = Math.hypot(r, k);
      return {
        at: [r * Math.cos(angle), r * Math.sin(angle)],
        way: angle + Math.atan2(r, k),
        curvature: (r * r + 2 * k * k) / pace ** 3,
        speed: pace * sweep,
      };
    },
    Math.min(20_000, Math.ceil((STEPS / 2) * Math.max(2, turns))),
  );
}

const straight = ([x0, y0]: PlanPoint, [x1, y1]: PlanPoint): LineStep => ({
  at: [x0, y0],
  way: Math.atan2(y1 - y0, x1 - x0),
  length: Math.hypot(x1 - x0, y1 - y0),
  curvature: 0,
});

/** Angle from one way to another, −π to π. */
const turned = (from: number, to: number): number => {
  const turn = (to - from) % (2 * Math.PI);
  return turn > Math.PI ? turn - 2 * Math.PI : turn < -Math.PI ? turn + 2 * Math.PI : turn;
};

function freeLine(points: readonly PlanPoint[], closed: boolean): Centreline {
  const ring = closed ? counterClockwise(points) : points;
  const steps = ring.flatMap((point, i) => {
    const next = ring[i + 1] ?? (closed ? ring[0] : undefined);
    return next ? [straight(point, next)] : [];
  });
  return { steps, closed, corners: cornersOf(steps, closed) };
}

/** Where the way turns at once between steps. */
function cornersOf(steps: readonly LineStep[], closed: boolean): Centreline['corners'] {
  return steps.flatMap(({ at, way, length, curvature }, i) => {
    const before = steps[i - 1] ?? (closed ? steps[steps.length - 1] : undefined);
    if (!before) return [];
    // What the two half steps bend on the way between their middles is no corner.
    const turn = turned(before.way + (before.curvature * before.length) / 2, way - (curvature * length) / 2);
    return Math.abs(turn) > 1e-6 ? [{ at, turn, step: i }] : [];
  });
}

/** A heart's circles, in their radii: how far their middles lie beside its axis, and how far below them its tip. */
const HEART_APART = 0.7;
const HEART_DEPTH = 2.1;

/** A heart so many mm wide: two circles that meet in its notch, and two lines to its tip that touch them. The middles lie on the x axis. */
function heartLine(width: number): Centreline {
  const r = width / (2 * (1 + HEART_APART));
  const x = HEART_APART * r;
  const tip: PlanPoint = [0, -HEART_DEPTH * r];
  // A line from the tip touches the right circle where its radius is square to it.
  const touch = Math.atan2(-HEART_DEPTH, -HEART_APART) + Math.acos(1 / Math.hypot(HEART_APART, HEART_DEPTH));
  const notch = Math.PI - Math.acos(HEART_APART);
  const right: PlanPoint = [x + r * Math.cos(touch), r * Math.sin(touch)];
  const left: PlanPoint = [-right[0], right[1]];
  const steps = [
    straight(tip, right),
    ...circleSteps(r, touch, notch - touch, x, 0, ROUND),
    ...circleSteps(r, Math.PI - notch, notch - touch, -x, 0, ROUND),
    straight(left, tip),
  ];
  return { steps, closed: true, corners: cornersOf(steps, true) };
}

/** The line that strips are set along. mm */
export function centrelineOf(line: StripLine): Centreline {
  switch (line.shape) {
    case 'ring':
      return { steps: circleSteps(line.diameter / 2, 0, 2 * Math.PI), closed: true, corners: [] };
    case 'arc':
      return { steps: circleSteps(line.radius, 0, (line.angle * Math.PI) / 180), closed: false, corners: [] };
    case 'spiral':
      return { steps: spiralSteps(line.start, line.pitch, line.turns), closed: false, corners: [] };
    case 'heart':
      return heartLine(line.width);
    case 'free':
      return freeLine(line.points, line.closed);
  }
}

/** Length of a line, mm. */
export const lineLength = ({ steps }: Centreline): number => steps.reduce((sum, { length }) => sum + length, 0);

/** A wall beside a line, `offset` mm to its left (to its right below 0). */
export interface OffsetWall {
  readonly length: number;
  readonly points: readonly PlanPoint[];
  /** Radius of each step, mm; endless where it is straight. */
  readonly bends: readonly { readonly length: number; readonly radius: number }[];
}

/** Whether a line has corners where it is bent: what a wall eats of its bends there is found by moving its outline. */
const isMixed = ({ steps, corners, closed }: Centreline): boolean =>
  closed && corners.length > 0 && steps.some(({ curvature }) => curvature !== 0);

/** The outline of a closed line moved to its left. */
const besideRing = ({ steps }: Centreline, offset: number): readonly PlanPoint[] | undefined =>
  moveOutline(steps.map(({ at }) => at), -offset); // prettier-ignore

/** Where a wall beside a line would fold back on itself: the line bends more sharply there than the wall is away from it. */
export function tooSharp(line: Centreline, offset: number): PlanPoint | undefined {
  const { steps, corners } = line;
  if (isMixed(line)) return besideRing(line, offset) ? undefined : corners[0]?.at;
  const step = steps.find(({ curvature }) => 1 - offset * curvature <= 1e-6);
  if (step) return step.at;
  const corner = corners.find(({ turn, step: at }) => {
    const eaten = offset * Math.tan(turn / 2);
    const [before, after] = [steps[(at + steps.length - 1) % steps.length], steps[at]];
    const room = (one: LineStep | undefined) => (one && one.curvature === 0 ? one.length : Infinity);
    return eaten > Math.min(room(before), room(after));
  });
  return corner?.at;
}

/** The wall beside a line: each step longer or shorter by its bend, corners mitred. Length of an offset curve: ∫(1 − κ·d) ds. */
export function offsetWall(line: Centreline, offset: number): OffsetWall {
  const { steps, corners, closed } = line;
  const bends = steps.map(({ length, curvature }) => ({
    length: length * (1 - offset * curvature),
    radius: curvature === 0 ? Infinity : Math.abs(1 / curvature - offset),
  }));
  const ring = isMixed(line) ? besideRing(line, offset) : undefined;
  if (ring) return { length: outlineLength(ring), points: ring, bends };
  const mitred = corners.reduce((sum, { turn }) => sum - 2 * offset * Math.tan(turn / 2), 0);
  const beside = ({ at, way }: LineStep): PlanPoint => [at[0] - offset * Math.sin(way), at[1] + offset * Math.cos(way)];
  const points = steps.map((step, i): PlanPoint => {
    const corner = corners.find(({ step: at }) => at === i);
    if (!corner) return beside({ ...step, way: step.way - (step.curvature * step.length) / 2 });
    const half = step.way - (step.curvature * step.length) / 2 - corner.turn / 2;
    const far = offset / Math.cos(corner.turn / 2);
    return [step.at[0] - far * Math.sin(half), step.at[1] + far * Math.cos(half)];
  });
  const length = bends.reduce((sum, one) => sum + one.length, 0) + mitred;
  if (closed) return { length, points, bends };
  const last = defined(steps[steps.length - 1]);
  const end = last.way + (last.curvature * last.length) / 2;
  const at: PlanPoint = [last.at[0] + last.length * Math.cos(last.way), last.at[1] + last.length * Math.sin(last.way)];
  return { length, points: [...points, beside({ ...last, at, way: end })], bends };
}
