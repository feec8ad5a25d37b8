import type { Phrase } from '../../foundation/units/index.js';
import { chordsAt } from '../solids/index.js';
import { cavityOf, regionAt, type Standing } from './cavity.js';
import type { MouldShape } from './mould.js';

/** A point of an upright section: to the side of the axis and above the cavity's bottom, mm. */
export type SectionPoint = readonly [x: number, z: number];

/** A solid where an upright plane cuts it. */
export interface CutSolid {
  readonly name: Phrase;
  readonly role: 'outer' | 'core' | 'insert';
  /** Closed outlines. */
  readonly outlines: readonly (readonly SectionPoint[])[];
  /** It stands before or behind the plane: its outline is what is seen of it. */
  readonly beyond: boolean;
}

/** Pieces in which a bent side is drawn. */
const BENDS = 48;
const bent: readonly string[] = ['cap', 'half-ellipsoid', 'lying-pipe', 'leaf'];

/** Heights at which a solid is cut: its ends, its jumps from both sides, and many where it is bent. */
function heightsOf({ solid, body, bottom, top, placed }: Standing, rim: number): number[] {
  const curved = bent.includes(solid.kind) || (solid.kind === 'revolution' && solid.smooth);
  const hair = body.height * 1e-9;
  const even = Array.from(
    { length: BENDS - 1 },
    (_, i) => (body.height * (1 - Math.cos((Math.PI * (i + 1)) / BENDS))) / 2,
  );
  const own = [hair, ...body.breaks.flatMap((z) => [z - hair, z + hair]), ...(curved ? even : []), body.height - hair];
  const standing = own.map((z) => (placed.over ? top - z : bottom + z)).sort((a, b) => a - b);
  const below = standing.filter((z) => z < rim);
  return below.length < standing.length ? [...below, rim - hair] : below;
}

/** Joins the stretches of neighbouring heights to outlines: a new one wherever their number changes. */
function outlinesOf(
  rows: readonly { z: number; stretches: readonly (readonly [number, number])[] }[],
): SectionPoint[][] {
  const outlines: SectionPoint[][] = [];
  let open: { left: SectionPoint[]; right: SectionPoint[] }[] = [];
  const close = () => {
    for (const { left, right } of open) if (left.length > 1) outlines.push([...left, ...[...right].reverse()]);
    open = [];
  };
  for (const { z, stretches } of rows) {
    if (stretches.length !== open.length) {
      close();
      open = stretches.map(() => ({ left: [], right: [] }));
    }
    stretches.forEach(([x0, x1], i) => {
      open[i]!.left.push([x0, z]);
      open[i]!.right.push([x1, z]);
    });
  }
  close();
  return outlines;
}

function cut(standing: Standing, role: CutSolid['role'], rim: number, plane: number): CutSolid {
  const heights = heightsOf(standing, rim);
  const rows = heights.map((z) => ({ z, stretches: chordsAt(regionAt(standing, z), plane) }));
  const met = rows.some(({ stretches }) => stretches.length > 0);
  const seen = heights.map((z) => {
    const { box, edges } = regionAt(standing, z);
    return { z, stretches: edges.length > 0 ? [[box.x0, box.x1] as const] : [] };
  });
  return { name: standing.name, role, beyond: !met, outlines: outlinesOf(met ? rows : seen) };
}

/** The mould cut upright along x, `plane` mm in front of its axis (below 0) or behind: the outer first. */
export function sectionCut(shape: MouldShape, plane = 0): CutSolid[] {
  const { outer, cores, inserts, rim } = cavityOf(shape);
  return [
    cut(outer, 'outer', rim, plane),
    ...cores.map((core) => cut(core, 'core', rim, plane)),
    ...inserts.map((insert) => cut(insert, 'insert', rim, plane)),
  ];
}
