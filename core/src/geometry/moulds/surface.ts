import earcut from 'earcut';
import { loopsOf, outlineArea, type PlanPoint } from '../solids/index.js';
import { cavityOf, regionAt, type Cavity, type Standing } from './cavity.js';
import type { MouldShape } from './mould.js';

/** Level slices of which a bent side is built. */
const SLICES = 40;
/** Points round a slice whose corners do not pair with the next. */
const AROUND = 96;
/** Steps of a round edge, radians. */
const STEP = Math.PI / 36;

type Loop = readonly PlanPoint[];

/** A level slice: its height, and its outlines as they are seen from inside the solid there. */
interface Slice {
  readonly z: number;
  readonly loops: readonly Loop[];
}

/** Points of an outline at even shares of its length, from the one that faces most along x: so that slices pair. */
function evenPoints(loop: Loop, count: number): PlanPoint[] {
  const facing = ([x, y]: PlanPoint) => Math.atan2(Math.abs(y), x);
  const start = loop.reduce((best, p, i) => (facing(p) < facing(loop[best]!) ? i : best), 0);
  const turned = [...loop.slice(start), ...loop.slice(0, start), loop[start]!];
  const lengths = turned.slice(1).map(([x, y], i) => Math.hypot(x - turned[i]![0], y - turned[i]![1]));
  const whole = lengths.reduce((a, b) => a + b, 0);
  let piece = 0;
  let passed = 0;
  return Array.from({ length: count }, (_, k): PlanPoint => {
    const at = (whole * k) / count;
    while (piece < lengths.length - 1 && passed + lengths[piece]! < at) passed += lengths[piece++]!;
    const share = lengths[piece] ? (at - passed) / lengths[piece]! : 0;
    const [a, b] = [turned[piece]!, turned[piece + 1]!];
    return [a[0] + (b[0] - a[0]) * share, a[1] + (b[1] - a[1]) * share];
  });
}

/** Slices of a standing solid from its bottom to its top or the rim; corners kept wherever every slice has as many. */
function slicesOf(standing: Standing, rim: number): Slice[] {
  const { body, bottom, top, placed } = standing;
  const end = Math.min(top, rim);
  const hair = (end - bottom) * 1e-6;
  const straight = body.runOf !== undefined && body.breaks.length === 0;
  // A mesh was measured between its steps: drawn from middle to middle it shows none.
  const stepped = standing.solid.kind === 'mesh';
  const even = Array.from(
    { length: straight ? 0 : SLICES - 1 },
    (_, i) => bottom + ((end - bottom) * (i + 1)) / SLICES,
  );
  const jumps = stepped ? [] : body.breaks.map((z) => (placed.over ? top - z : bottom + z)).filter((z) => z < end);
  // Looked at a hair inside, drawn where it is.
  const looks = [
    { z: bottom, at: bottom + hair },
    ...even.map((z) => ({ z, at: z })),
    ...jumps.flatMap((z) => [z - hair, z + hair].map((at) => ({ z, at }))),
    { z: end, at: end - hair },
  ].sort((a, b) => a.at - b.at);
  const slices = looks.map(({ z, at }) => ({ z, loops: loopsOf(regionAt(standing, at), STEP) }));
  const counts = new Set(slices.map(({ loops }) => loops.map((loop) => loop.length).join()));
  if (counts.size === 1) return slices;
  return slices.map(({ z, loops }) => ({ z, loops: loops.map((loop) => evenPoints(loop, AROUND)) }));
}

/** Collects triangles: nine numbers each, mm, counter-clockwise as seen from outside. */
class Triangles {
  private readonly numbers: number[] = [];

  add(a: PlanPoint, az: number, b: PlanPoint, bz: number, c: PlanPoint, cz: number): void {
    this.numbers.push(a[0], a[1], az, b[0], b[1], bz, c[0], c[1], cz);
  }

  /** Walls between slices; `inwards` where the mix is outside of them. */
  walls(slices: readonly Slice[], inwards: boolean): void {
    for (let i = 1; i < slices.length; i++) {
      const [low, high] = [slices[i - 1]!, slices[i]!];
      high.loops.forEach((loop, l) => {
        const below = low.loops[l];
        if (below?.length !== loop.length) return;
        loop.forEach((p, k) => {
          const n = (k + 1) % loop.length;
          const quad = [below[k]!, below[n]!, loop[n]!, p] as const;
          const [a, b, c, d] = inwards ? [quad[1], quad[0], quad[3], quad[2]] : quad;
          this.add(a, low.z, b, low.z, c, high.z);
          this.add(a, low.z, c, high.z, d, high.z);
        });
      });
    }
  }

  /** A level face with holes, facing up or down. */
  level(outlines: readonly Loop[], holes: readonly Loop[], z: number, up: boolean): void {
    for (const outline of outlines.filter((loop) => outlineArea(loop) > 0)) {
      const own = [...holes, ...outlines.filter((loop) => outlineArea(loop) < 0)];
      const points = [outline, ...own].flat();
      const starts = own.map((_, i) => outline.length + own.slice(0, i).reduce((sum, loop) => sum + loop.length, 0));
      const found = earcut(points.flat(), starts);
      for (let i = 0; i < found.length; i += 3) {
        const [a, b, c] = [points[found[i]!]!, points[found[i + 1]!]!, points[found[i + 2]!]!];
        const facingUp = outlineArea([a, b, c]) > 0;
        if (facingUp === up) this.add(a, z, b, z, c, z);
        else this.add(a, z, c, z, b, z);
      }
    }
  }

  get array(): Float32Array {
    return new Float32Array(this.numbers);
  }
}

interface Sliced {
  readonly standing: Standing;
  readonly slices: readonly Slice[];
}

const bottomLoops = ({ slices }: Sliced) => slices[0]!.loops;
const topLoops = ({ slices }: Sliced) => slices[slices.length - 1]!.loops;

/** Floors and tops of what stands in the mould, less what stands on or under them. */
function ends(triangles: Triangles, blanks: readonly Sliced[], rim: number): void {
  const near = rim * 1e-6;
  for (const blank of blanks) {
    const { bottom, top } = blank.standing;
    const under = blanks.filter(({ standing }) => Math.abs(standing.top - bottom) < near);
    const over = blanks.filter(({ standing }) => Math.abs(standing.bottom - top) < near);
    if (bottom > near) triangles.level(bottomLoops(blank), under.flatMap(topLoops), bottom, true);
    if (top < rim - near && over.length === 0) triangles.level(topLoops(blank), [], top, false);
  }
}

function build({ outer, cores, inserts, rim }: Cavity, closed: boolean): Float32Array {
  const triangles = new Triangles();
  const around: Sliced = { standing: outer, slices: slicesOf(outer, rim) };
  const blanks: Sliced[] = [...cores, ...inserts].map((standing) => ({ standing, slices: slicesOf(standing, rim) }));
  triangles.walls(around.slices, false);
  for (const { slices } of blanks) triangles.walls(slices, true);
  const standingOnBottom = blanks.filter(({ standing }) => standing.bottom <= rim * 1e-6);
  triangles.level(bottomLoops(around), standingOnBottom.flatMap(bottomLoops), 0, false);
  if (closed) {
    const atRim = blanks.filter(({ standing }) => standing.top >= rim - rim * 1e-6);
    triangles.level(topLoops(around), atRim.flatMap(topLoops), rim, true);
  }
  ends(triangles, blanks, rim);
  return triangles.array;
}

/** The cavity as triangles (x, y, z in mm, z upwards), its top left open: to look at. */
export const surfaceOf = (shape: MouldShape): Float32Array => build(cavityOf(shape), false);

/** The cavity as closed triangles: to print or to mill. Blanks that cross each other or the wall stay crossed. */
export const closedSurfaceOf = (shape: MouldShape): Float32Array => build(cavityOf(shape), true);
