import { cavityOf, copiesOf, meshForSlab, regionAt, rimOf, MESH_COVER } from '../moulds/index.js';
import type { Solid } from '../solids/index.js';
import type { PourItem } from './plan.js';

/** Something to cut for a pour. */
export interface Cut {
  readonly what: string;
  /** Of which mould. */
  readonly mould: string;
  readonly count: number;
  /** mm: across where it is round, and its length; or length and width of a sheet. */
  readonly across?: number;
  readonly length: number;
  readonly width?: number;
}

/** How long a blank is, and how wide where it is round, mm. */
function sizeOf(solid: Solid): Pick<Cut, 'across' | 'length'> | undefined {
  switch (solid.kind) {
    case 'round-frustum':
      return { across: Math.max(solid.bottomDiameter, solid.topDiameter), length: solid.height };
    case 'lying-pipe':
      return { across: solid.diameter, length: solid.run };
    case 'rect-frustum':
    case 'polygon-frustum':
      return { length: solid.height };
    default:
      return undefined;
  }
}

/** Plugs, pipes and blocks of one kind of mould. */
function inserts({ shape, name, count }: PourItem): Cut[] {
  return shape.inserts.flatMap((placed) => {
    const size = sizeOf(placed.solid);
    return size ? [{ what: placed.name, mould: name, count: count * copiesOf(placed).length, ...size }] : [];
  });
}

/** Mesh of a flat piece, clear of every edge; none where the piece is too small for it. */
function mesh({ shape, name, count, piece }: PourItem): Cut[] {
  if (piece !== 'slab' && piece !== 'panel') return [];
  const { outer } = cavityOf(shape);
  const { box } = regionAt(outer, rimOf(shape) / 2);
  const [length, width] = [box.x1 - box.x0, box.y1 - box.y0];
  if (Math.min(length, width) <= 2 * MESH_COVER) return [];
  const cut = meshForSlab(length, width);
  return [{ what: 'Mesh', mould: name, count, length: cut.length.value, width: cut.width.value }];
}

/** What is to be cut before a pour: plugs, pipes and blocks of its moulds, and mesh where its mould has some laid in. */
export const cutList = (items: readonly PourItem[], meshed: ReadonlySet<string>): Cut[] =>
  items.flatMap((item) => [...inserts(item), ...(meshed.has(item.mouldId) ? mesh(item) : [])]);
