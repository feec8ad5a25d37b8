import { msg } from '../../foundation/units/index.js';
import { outlineArea, type MeshSolid, type PlanPoint } from '../solids/index.js';
import { measureMesh, openEdges, type MeshMeasure, type OpenEdge } from './measure-mesh.js';
import { mendMesh, turnFace, type MeshParts } from './mend-mesh.js';
import { refuse } from './refuse.js';
import { outlinesAt, volumesBelow } from './slice-mesh.js';
import { thicknessMap, type Thickness } from './thickness.js';
import type { Task, Triangles } from './triangles.js';

/** Which way of the file is up when the mould stands. */
export type Up = 'x' | '-x' | 'y' | '-y' | 'z' | '-z';

/** Lengths of a file's unit, mm. */
export const meshUnits = { mm: 1, cm: 10, inch: 25.4, m: 1000 } as const;
export type MeshUnit = keyof typeof meshUnits;

/** What the body in a file is. */
export type MeshRole = 'piece' | 'cavity' | 'block';

/** Largest size between which a mould for the home is likely, mm. */
const LIKELY = [25, 1600] as const;

/** The unit in which a file is likeliest written, by its largest size. To be confirmed by whoever knows. */
export function guessUnit({ low, high }: MeshMeasure): MeshUnit {
  const largest = Math.max(...high.map((n, k) => n - low[k]!));
  const likely = (Object.keys(meshUnits) as MeshUnit[]).find(
    (unit) => largest * meshUnits[unit] >= LIKELY[0] && largest * meshUnits[unit] <= LIKELY[1],
  );
  return likely ?? 'mm';
}

/** Where each axis of the standing mould comes from: axis of the file and its sign. */
const turns: Record<Up, readonly (readonly [axis: 0 | 1 | 2, sign: 1 | -1])[]> = {
  z: [
    [0, 1],
    [1, 1],
    [2, 1],
  ],
  '-z': [
    [0, 1],
    [1, -1],
    [2, -1],
  ],
  y: [
    [0, 1],
    [2, -1],
    [1, 1],
  ],
  '-y': [
    [0, 1],
    [2, 1],
    [1, -1],
  ],
  x: [
    [1, 1],
    [2, 1],
    [0, 1],
  ],
  '-x': [
    [1, -1],
    [2, 1],
    [0, -1],
  ],
};

/** The mesh stood upright in mm, its lowest point at 0 and its middle over the axis. */
export function standMesh(triangles: Triangles, { low, high }: MeshMeasure, up: Up, unit: MeshUnit): Triangles {
  const turn = turns[up];
  const scale = meshUnits[unit];
  const middle = turn.map(([axis, sign], k) => {
    const ends = [low[axis] * sign, high[axis] * sign];
    return k === 2 ? Math.min(...ends) : (ends[0]! + ends[1]!) / 2;
  });
  const stood = new Float32Array(triangles.length);
  for (let i = 0; i < triangles.length; i += 3)
    for (let k = 0; k < 3; k++) {
      const [axis, sign] = turn[k]!;
      stood[i + k] = (triangles[i + axis]! * sign - middle[k]!) * scale;
    }
  return stood;
}

/** Faces that hold the cast back when it is drawn up: their area, mm², and its share of all. */
function undercutOf(triangles: Triangles, top: number): { area: number; share: number } {
  const steep = Math.sin(Math.PI / 360);
  let [over, all] = [0, 0];
  for (let t = 0; t < triangles.length; t += 9) {
    const [ux, uy, uz] = [
      triangles[t + 3]! - triangles[t]!,
      triangles[t + 4]! - triangles[t + 1]!,
      triangles[t + 5]! - triangles[t + 2]!,
    ];
    const [vx, vy, vz] = [
      triangles[t + 6]! - triangles[t]!,
      triangles[t + 7]! - triangles[t + 1]!,
      triangles[t + 8]! - triangles[t + 2]!,
    ];
    const normal = [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx];
    const twice = Math.hypot(...normal);
    all += twice / 2;
    const lid = Math.min(triangles[t + 2]!, triangles[t + 5]!, triangles[t + 8]!) > top - Math.max(0.05, top * 1e-4);
    if (!lid && normal[2]! > steep * twice) over += twice / 2;
  }
  return { area: over, share: all === 0 ? 0 : over / all };
}

/** What was found in a mesh file, its mesh stood upright in mm. */
export interface MeshReading {
  readonly measure: MeshMeasure;
  /** What it is made of, and what was put right; undefined for one too large to be looked at so. */
  readonly parts?: MeshParts;
  /** How many edges are open, and where. */
  readonly open: { readonly count: number; readonly places: readonly OpenEdge[] };
  /** Its faces pointed inwards and were turned. */
  readonly turned: boolean;
  readonly undercut: { readonly area: number; readonly share: number };
  readonly thinnest: readonly Thickness[];
  readonly solid: MeshSolid;
}

const STEPS = 96;
const SLICES = 32;
const ML = 1e-3;

/** Turns every face the other way. */
function flipped(triangles: Triangles): Triangles {
  const turned = triangles.slice();
  for (let t = 0; t < turned.length / 9; t++) turnFace(turned, t);
  return turned;
}

/** The hollow of a mould block by height: what its outlines enclose as holes. mL to even heights. */
function hollowCurve(loops: readonly (readonly (readonly PlanPoint[])[])[], height: number): number[] {
  const step = height / loops.length;
  const areas = loops.map((slice) => slice.reduce((sum, loop) => sum - Math.min(0, outlineArea(loop)), 0));
  return areas.reduce<number[]>((curve, area) => [...curve, curve[curve.length - 1]! + area * step * ML], [0]);
}

/** Side faces of outlines stacked up, mm². */
const sideOf = (loops: readonly (readonly (readonly PlanPoint[])[])[], height: number) =>
  loops.reduce((sum, slice) => sum + slice.reduce((all, loop) => all + lengthOf(loop), 0), 0) * (height / loops.length);

const lengthOf = (loop: readonly PlanPoint[]) =>
  loop.reduce((sum, [x, y], i) => {
    const [nx, ny] = loop[(i + 1) % loop.length]!;
    return sum + Math.hypot(nx - x, ny - y);
  }, 0);

/** Where a mesh is open, as it is refused. */
function openMesh({ count, places }: { readonly count: number; readonly places: readonly OpenEdge[] }) {
  const [{ at, what }] = places as [OpenEdge];
  const where = at.map((n) => n.toFixed(1)).join(', ');
  const key = what === 'hole' ? 'meshes.meshOpenAtHole' : 'meshes.meshOpenInFold';
  return refuse(msg(key, { count, where }), msg('meshes.closeMesh'));
}

/** The outlines that are kept to draw it, at every few of the heights. */
const slicesOf = (outlines: readonly (readonly (readonly PlanPoint[])[])[], heights: readonly number[]) =>
  outlines
    .map((slice, i) => ({
      z: heights[i]!,
      loops: slice.map((loop) => loop.map(([x, y]): PlanPoint => [round(x), round(y)])),
    }))
    .filter((_, i) => i % (STEPS / SLICES) === 0)
    .filter(({ loops }) => loops.length > 0);

/**
 * Reads what a mould wants of a mesh that stands upright in mm. An open mesh is refused, with where it is open.
 * @throws InputError on an open mesh or a block without a hollow; Stopped
 */
export function analyseMesh(given: Triangles, role: MeshRole, task: Task = {}): MeshReading {
  const share = (from: number, to: number): Task => ({
    ...task,
    progress: (done) => task.progress?.(from + (to - from) * done),
  });
  const { triangles: stood, parts } = mendMesh(given, share(0, 0.05));
  const first = measureMesh(stood, share(0.05, 0.15));
  const open = first.closed ? { count: 0, places: [] } : openEdges(stood, 20, share(0.15, 0.3));
  if (open.count > 0) throw openMesh(open);
  const turned = first.volume < 0;
  const triangles = turned ? flipped(stood) : stood;
  const measure = turned ? { ...first, volume: -first.volume } : first;
  const height = measure.high[2];
  const heights = Array.from({ length: STEPS }, (_, i) => ((i + 0.5) * height) / STEPS);
  const loops = outlinesAt(triangles, heights, share(0.3, 0.6));
  const kept =
    role === 'block'
      ? loops.map((slice) => slice.filter((loop) => outlineArea(loop) < 0).map((loop) => [...loop].reverse()))
      : loops;
  const curve =
    role === 'block'
      ? hollowCurve(loops, height)
      : volumesBelow(triangles, 0, height, STEPS, share(0.6, 0.75)).map((volume) => Math.max(0, volume) * ML);
  if (curve[STEPS]! <= 0) throw refuse(msg('meshes.noHollow'), msg('meshes.otherWayUp'), 'role');
  return {
    measure,
    ...(parts && { parts }),
    open,
    turned: turned || (parts?.turned ?? 0) > 0,
    undercut: undercutOf(triangles, height),
    thinnest: thicknessMap(triangles, measure.low, measure.high, share(0.75, 1)),
    solid: {
      kind: 'mesh',
      height,
      side: sideOf(kept, height),
      curve: curve.map((v, i) => Math.max(v, curve[i - 1] ?? 0)),
      slices: slicesOf(kept, heights),
    },
  };
}

const round = (n: number) => Math.round(n * 100) / 100;
