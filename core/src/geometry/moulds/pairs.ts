import { Checker, msg } from '../../foundation/units/index.js';
import {
  bodyOf,
  moveFaces,
  type PolygonFrustum,
  type RectFrustum,
  type RoundFrustum,
  type Solid,
} from '../solids/index.js';
import { mouldIssues } from './check-mould.js';
import { fullVolume } from './fill.js';
import type { MouldShape } from './mould.js';
import { thinnestWall } from './walls.js';

/** A tub, pail or box that the caster owns: its inside, and the thickness of its wall, mm. */
export interface Tub {
  readonly id: string;
  readonly name: string;
  readonly inside: Solid;
  readonly wall: number;
}

/** Solids that tubs are made of: straight sides from bottom to rim. */
export type TubSolid = RoundFrustum | RectFrustum | PolygonFrustum;
const tubKinds: readonly Solid['kind'][] = ['round-frustum', 'rect-frustum', 'polygon-frustum'];
export const isTubSolid = (solid: Solid): solid is TubSolid => tubKinds.includes(solid.kind);

/** The solid inside a vessel that was measured outside: every face but the open one moved in by the wall, mm. Undefined where nothing is left. */
export function insideOf(outside: Solid, wall: number): Solid | undefined {
  return wall === 0 ? outside : moveFaces(outside, -wall);
}

/** A tub within a tub, as a mould. */
export interface Pair {
  readonly outer: Tub;
  readonly core: Tub;
  readonly shape: MouldShape;
  /** Thinnest wall and how much thicker the level wall is at its other end, mm. */
  readonly wall: number;
  readonly uneven: number;
  /** mL */
  readonly volume: number;
  /** How far the wall is off what was wanted, unevenness counted half, mm: the smaller the better. */
  readonly off: number;
}

/** What a pair is to give: wall and base in mm. */
export interface WantedPair {
  readonly wall: number;
  readonly base: number;
}

/** A straight-sided solid cut level at `height` above its bottom. */
function cutAt(solid: TubSolid, height: number): TubSolid {
  const share = height / solid.height;
  const at = (bottom: number, top: number) => bottom + (top - bottom) * share;
  switch (solid.kind) {
    case 'round-frustum':
      return { ...solid, height, topDiameter: at(solid.bottomDiameter, solid.topDiameter) };
    case 'rect-frustum':
      return {
        ...solid,
        height,
        topLength: at(solid.bottomLength, solid.topLength),
        topWidth: at(solid.bottomWidth, solid.topWidth),
      };
    case 'polygon-frustum':
      return { ...solid, height, topAcross: at(solid.bottomAcross, solid.topAcross) };
  }
}

/** Level gap between two boxes along the nearer of x and y, mm. */
function levelGap(outer: TubSolid, core: TubSolid, base: number, z: number): number {
  const [a, b] = [bodyOf(outer).regionAt(z).box, bodyOf(core).regionAt(Math.max(0, z - base)).box];
  return Math.min(a.x1 - b.x1, a.y1 - b.y1);
}

function pairOf(outer: Tub, core: Tub, { wall, base }: WantedPair): Pair | undefined {
  const solid = moveFaces(core.inside, core.wall);
  if (!isTubSolid(outer.inside) || !solid || !isTubSolid(solid)) return undefined;
  const rim = Math.min(outer.inside.height, base + solid.height);
  if (rim <= base) return undefined;
  const around = cutAt(outer.inside, rim);
  const shape: MouldShape = {
    outer: around,
    cores: [{ name: core.name, bottom: base, solid: cutAt(solid, rim - base) }],
    inserts: [],
  };
  const [low, high] = [levelGap(around, solid, base, base), levelGap(around, solid, base, rim)];
  if (low <= 0 || high <= 0 || mouldIssues(shape).length > 0) return undefined;
  const thinnest = thinnestWall(shape)!.thickness;
  const uneven = Math.abs(high - low);
  return {
    outer,
    core,
    shape,
    wall: thinnest,
    uneven,
    volume: fullVolume(shape),
    off: Math.abs(thinnest - wall) + uneven / 2,
  };
}

/** Which of the tubs nest to give a wanted wall and base, best first, each standing in the other. @throws InputError */
export function findPairs(tubs: readonly Tub[], wanted: WantedPair): Pair[] {
  const check = new Checker();
  check.number('wall', wanted.wall, msg('moulds.requiredWall'), { above: 0, max: 300, unit: 'mm' });
  check.number('base', wanted.base, msg('moulds.requiredBase'), { min: 0, max: 300, unit: 'mm' });
  check.done();
  return tubs
    .flatMap((outer) =>
      tubs.filter((core) => core.id !== outer.id).flatMap((core) => pairOf(outer, core, wanted) ?? []),
    )
    .sort((a, b) => a.off - b.off);
}
