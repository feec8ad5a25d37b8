import { isTurned, loopsOf, type Facet, type PlanPoint } from '../solids/index.js';
import { cavityOf, regionAt } from './cavity.js';
import type { MouldShape } from './mould.js';

/** Left and right end of what is seen of a piece at a height, mm from its middle. */
interface SideAt {
  readonly z: number;
  readonly left: number;
  readonly right: number;
}

/** A piece as it is drawn standing: all sizes in mm, its middle at x = y = 0, z from its foot. */
export interface PieceView {
  readonly width: number;
  readonly depth: number;
  readonly height: number;
  /** From the foot up. */
  readonly sides: readonly SideAt[];
  readonly foot: readonly PlanPoint[];
  /** Outlines of the upper face, holes among them. */
  readonly top: readonly (readonly PlanPoint[])[];
  /** Outlines of what opens in the upper face. */
  readonly openings: readonly (readonly PlanPoint[])[];
  /** Flat faces, where it has them. */
  readonly facets: readonly Facet[];
  readonly round: boolean;
}

const ROWS = 20;
/** Faces too many to tell apart are drawn as one. */
const MOST_FACETS = 160;

function make(shape: MouldShape): PieceView {
  const { outer, cores, inserts, rim, edges } = cavityOf(shape);
  const hair = rim * 1e-6;
  // Straight sides are told by their two ends.
  const count = outer.body.runOf && outer.body.breaks.length === 0 ? 1 : ROWS;
  const even = Array.from({ length: count + 1 }, (_, i) => hair + ((rim - 2 * hair) * i) / count);
  const jumps = edges.slice(1, -1).flatMap((z) => [z - hair, z + hair]);
  const rows = [...even, ...(outer.body.breaks.length > 0 ? jumps : [])]
    .sort((a, b) => a - b)
    .map((z) => ({ z, box: regionAt(outer, z).box }));
  const [x0, x1] = [Math.min(...rows.map(({ box }) => box.x0)), Math.max(...rows.map(({ box }) => box.x1))];
  const [y0, y1] = [Math.min(...rows.map(({ box }) => box.y0)), Math.max(...rows.map(({ box }) => box.y1))];
  const [mx, my] = [(x0 + x1) / 2, (y0 + y1) / 2];
  const centred = (loop: readonly PlanPoint[]) => loop.map(([x, y]): PlanPoint => [x - mx, y - my]);
  const open = [...cores, ...inserts].filter(({ top, placed }) => top >= rim - 0.5 && !placed.stays);
  const facets = outer.body.facets ?? [];
  return {
    width: x1 - x0,
    depth: y1 - y0,
    height: rim,
    sides: rows.map(({ z, box }) => ({ z, left: box.x0 - mx, right: box.x1 - mx })),
    foot: centred(loopsOf(regionAt(outer, hair))[0] ?? []),
    top: loopsOf(regionAt(outer, rim - hair)).map(centred),
    openings: open.flatMap((blank) => loopsOf(regionAt(blank, rim - hair)).map(centred)),
    facets:
      facets.length > MOST_FACETS ? [] : facets.map((facet) => facet.map(([x, y, z]) => [x - mx, y - my, z] as const)),
    round: isTurned(outer.solid),
  };
}

const overs = new WeakMap<PieceView, PieceView>();

/** The same piece standing on its head. */
export function turnedOver(view: PieceView): PieceView {
  const known = overs.get(view);
  if (known) return known;
  const { sides, foot, top, facets, height } = view;
  const over: PieceView = {
    ...view,
    sides: [...sides].reverse().map(({ z, left, right }) => ({ z: height - z, left, right })),
    foot: top[0] ?? [],
    top: [foot],
    openings: [],
    facets: facets.map((facet) => facet.map(([x, y, z]) => [x, y, height - z] as const)),
  };
  overs.set(view, over);
  return over;
}

const made = new WeakMap<MouldShape, PieceView>();

/** How the piece of a mould looks, from its own measurements. */
export function pieceView(shape: MouldShape): PieceView {
  const known = made.get(shape);
  if (known) return known;
  const view = make(shape);
  made.set(shape, view);
  return view;
}
