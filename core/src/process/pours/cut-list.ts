import { msg, type Phrase } from '../../foundation/units/index.js';
import { defined } from '../../foundation/math/index.js';
import {
  cavityOf,
  copiesOf,
  meshForSlab,
  meshForWall,
  regionAt,
  rimOf,
  MESH_COVER,
  type MeshCut,
} from '../../geometry/moulds/index.js';
import { regionPerimeter, type Solid } from '../../geometry/solids/index.js';
import type { PourItem } from './plan.js';

/** Something to cut for a pour. */
export interface Cut {
  readonly what: Phrase;
  /** Whether it is mesh, and no part of the mould. */
  readonly mesh: boolean;
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
    return size
      ? [{ what: placed.name, mesh: false, mould: name, count: count * copiesOf(placed).length, ...size }]
      : [];
  });
}

/** Mesh of a piece: flat and clear of every edge, or bent round the middle of its wall; none where there is no room for it. */
function meshCut({ shape, fillTo = rimOf(shape) }: PourItem): MeshCut | undefined {
  const { outer, cores } = cavityOf(shape);
  const half = fillTo / 2;
  const core = cores.find(({ bottom, top }) => bottom < half && top > half);
  if (core) {
    const [out, inside] = [outer, core].map((standing) => regionPerimeter(regionAt(standing, half)));
    return fillTo <= 2 * MESH_COVER ? undefined : meshForWall((defined(out) + defined(inside)) / 2, fillTo);
  }
  const { box } = regionAt(outer, half);
  const [length, width] = [box.x1 - box.x0, box.y1 - box.y0];
  return Math.min(length, width) <= 2 * MESH_COVER ? undefined : meshForSlab(length, width);
}

function mesh(item: PourItem): Cut[] {
  const cut = item.mesh ? meshCut(item) : undefined;
  if (!cut) return [];
  return [
    {
      what: msg('pours.mesh'),
      mesh: true,
      mould: item.name,
      count: item.count,
      length: cut.length.value,
      width: cut.width.value,
    },
  ];
}

/** What is to be cut before a pour: plugs, pipes and blocks of its moulds, and mesh where some is laid in. */
export const cutList = (items: readonly PourItem[]): Cut[] =>
  items.flatMap((item) => [...inserts(item), ...mesh(item)]);
