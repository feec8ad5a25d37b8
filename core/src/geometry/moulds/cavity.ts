import { msg, type Phrase } from '../../foundation/units/index.js';
import {
  bodyOf,
  isTurned,
  moveRegion,
  NOWHERE,
  pressedShell,
  type Body,
  type Region,
  type Solid,
} from '../solids/index.js';
import { copiesOf, type MouldShape, type PlacedSolid } from './mould.js';

/** A solid as it stands in the cavity, heights from the cavity's bottom, mm. */
export interface Standing {
  readonly name: Phrase;
  readonly solid: Solid;
  readonly body: Body;
  readonly bottom: number;
  readonly top: number;
  readonly placed: PlacedSolid;
}

/** A mould's shape resolved: pressed shells moved, patterns stood out. */
export interface Cavity {
  /** Height of the rim, mm. */
  readonly rim: number;
  readonly outer: Standing;
  readonly cores: readonly Standing[];
  readonly inserts: readonly Standing[];
  /** Bottom, rim and every height between at which a solid begins, ends, jumps or bends. */
  readonly edges: readonly number[];
  /** Whether all of it is round about one axis, so that a half-section tells everything. */
  readonly turned: boolean;
}

function stand(placed: PlacedSolid, name: Phrase = placed.name): Standing {
  const body = bodyOf(placed.solid);
  return {
    name,
    solid: placed.solid,
    body,
    bottom: placed.bottom,
    top: placed.bottom + body.height,
    placed,
  };
}

/** Height in a solid's own measure of a height in the cavity. */
const own = ({ bottom, body, placed }: Standing, z: number) => (placed.over ? body.height - (z - bottom) : z - bottom);

/** Section of a standing solid at height `z` of the cavity. */
export function regionAt(standing: Standing, z: number): Region {
  const { bottom, top, body, placed } = standing;
  if (z < bottom || z > top) return NOWHERE;
  const inBody = Math.min(body.height, Math.max(0, own(standing, z)));
  return moveRegion(body.regionAt(inBody), placed.x ?? 0, placed.y ?? 0, placed.turn);
}

/** Area of its sides per mm of height at height `z` of the cavity, mm. */
export function surfaceAt(standing: Standing, z: number): number {
  const { bottom, top, body } = standing;
  return z < bottom || z > top ? 0 : body.surfaceAt(Math.min(body.height, Math.max(0, own(standing, z))));
}

function make(shape: MouldShape): Cavity {
  const shell = shape.pressed && pressedShell(shape.outer, shape.pressed);
  const outer = stand({ name: '', solid: shell?.outer ?? shape.outer, bottom: 0 }, msg('moulds.outerMould'));
  const form: Standing[] = shell
    ? [stand({ name: '', solid: shell.inner, bottom: shell.bottom }, msg('moulds.form'))]
    : [];
  const cores = [...form, ...shape.cores.flatMap(copiesOf).map((placed) => stand(placed))];
  const inserts = shape.inserts.flatMap(copiesOf).map((placed) => stand(placed));
  const rim = outer.top;
  const heights = [outer, ...cores, ...inserts].flatMap((standing) => [
    standing.bottom,
    ...standing.body.breaks.map((z) => (standing.placed.over ? standing.top - z : standing.bottom + z)),
    standing.top,
  ]);
  const inside = heights.filter((z) => z > 0 && z < rim).sort((a, b) => a - b);
  // Heights that differ by rounding alone are one.
  const edges = [0, ...inside, rim].filter((z, i, all) => i === 0 || z - all[i - 1]! > rim * 1e-12);
  const turned = [outer, ...cores, ...inserts].every(({ solid, placed }) => isTurned(solid) && !placed.x && !placed.y);
  return { rim, outer, cores, inserts, edges, turned };
}

/** Cavities by their shape: a shape never changes. */
const made = new WeakMap<MouldShape, Cavity>();

/** The cavity of a shape that was checked. @throws InputError where a pressed shell has no room. */
export function cavityOf(shape: MouldShape): Cavity {
  const known = made.get(shape);
  if (known) return known;
  const cavity = make(shape);
  made.set(shape, cavity);
  return cavity;
}

/** Height of the rim of a shape that was checked, mm. */
export const rimOf = (shape: MouldShape) => cavityOf(shape).rim;
