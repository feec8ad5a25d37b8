import type { Shell, Solid } from '../solids/index.js';
import type { MeasuredVolume } from './measured-volume.js';

/** Copies of a blank: `count` of them on a circle about the axis (`radius`, mm), or in a row along x (`step`, mm). */
export const patternKinds = ['circle', 'row'] as const;
export type Pattern =
  | { readonly kind: 'circle'; readonly count: number; readonly radius: number }
  | { readonly kind: 'row'; readonly count: number; readonly step: number };

/** A solid that stands in the cavity. */
export interface PlacedSolid {
  readonly name: string;
  readonly solid: Solid;
  /** Height of its bottom above the cavity's bottom, mm. */
  readonly bottom: number;
  /** Place of its axis, mm off the mould's axis; on it where left out. */
  readonly x?: number;
  readonly y?: number;
  /** Turned about its own axis, degrees. */
  readonly turn?: number;
  /** Stood on its head: its open side down. */
  readonly over?: boolean;
  readonly pattern?: Pattern;
  /** Stays in the cast for good: a hanger, a stud, a foot. */
  readonly stays?: boolean;
  /** Compressible: a thin tub, which wants sand inside. */
  readonly soft?: boolean;
}

/** A cavity as a signed set of solids on upright axes: the outer, less the union of cores and inserts. */
export interface MouldShape {
  readonly outer: Solid;
  readonly cores: readonly PlacedSolid[];
  readonly inserts: readonly PlacedSolid[];
  /** An even layer pressed by hand: the outer is then the form. */
  readonly pressed?: Shell;
  /** What it took when it was filled and measured: counts before what is computed. */
  readonly measured?: MeasuredVolume;
}

/** What the mould's wall is like: how it lets go, bulges and jams. One of boards comes apart. */
export const mouldFlexibilities = ['rigid', 'flexible', 'apart'] as const;
export type MouldFlexibility = (typeof mouldFlexibilities)[number];

/** Everything that keeps mix out: cores first, then inserts. */
export function blanks(shape: MouldShape): readonly PlacedSolid[] {
  return [...shape.cores, ...shape.inserts];
}

/** A mould's shape with some of its inserts, by name, left out. */
export const withoutInserts = (shape: MouldShape, names: readonly string[] = []): MouldShape =>
  names.length === 0 ? shape : { ...shape, inserts: shape.inserts.filter(({ name }) => !names.includes(name)) };

/** A placed solid for each copy of its pattern. */
export function copiesOf(placed: PlacedSolid): PlacedSolid[] {
  const { pattern, ...one } = placed;
  if (!pattern) return [one];
  const { x = 0, y = 0, turn = 0 } = one;
  return Array.from({ length: pattern.count }, (_, i) => {
    if (pattern.kind === 'row') return { ...one, x: x + (i - (pattern.count - 1) / 2) * pattern.step };
    const angle = (360 * i) / pattern.count;
    const at = (angle / 180) * Math.PI;
    return {
      ...one,
      x: x + pattern.radius * Math.cos(at),
      y: y + pattern.radius * Math.sin(at),
      turn: turn + angle,
    };
  });
}
