import type { MouldShape, MouldStuff, PieceKind, PlacedSolid } from '@dewpot/core';
import type { MouldInput, MouldView } from '@dewpot/contract';
import { v7 as uuid } from 'uuid';

/** The measurements of a nested pot as a caster takes them with a tape, mm; undefined while a field is empty. */
export interface NestedPot {
  readonly outerTop: number | undefined;
  readonly outerBottom: number | undefined;
  readonly height: number | undefined;
  /** A solid piece has no core. */
  readonly cored: boolean;
  readonly coreTop: number | undefined;
  readonly coreBottom: number | undefined;
  readonly base: number | undefined;
  /** No plug where it is 0 or left empty. */
  readonly plug: number | undefined;
}

export interface MouldDraft {
  readonly name: string;
  readonly stuff: MouldStuff;
  readonly piece: PieceKind;
  readonly pot: NestedPot;
  readonly copies: MouldInput['copies'];
  readonly version: number;
}

export const newDraft = (): MouldDraft => ({
  name: '',
  stuff: 'rigid',
  piece: 'pot',
  pot: { outerTop: 200, outerBottom: 160, height: 180, cored: true, coreTop: 160, coreBottom: 124, base: 18, plug: 19 },
  copies: [{ id: uuid(), mark: 'A' }],
  version: 0,
});

/** Field of the draft that each path of the shape is entered in. */
export const fieldOfPath: Record<string, keyof NestedPot> = {
  'outer.topDiameter': 'outerTop',
  'outer.bottomDiameter': 'outerBottom',
  'outer.height': 'height',
  'cores.0.solid.topDiameter': 'coreTop',
  'cores.0.solid.bottomDiameter': 'coreBottom',
  'cores.0.solid.height': 'base',
  'cores.0.bottom': 'base',
  'inserts.0.solid.topDiameter': 'plug',
  'inserts.0.solid.bottomDiameter': 'plug',
  'inserts.0.solid.height': 'base',
};

const cone = (bottomDiameter: number, topDiameter: number, height: number) => ({
  kind: 'round-frustum' as const,
  bottomDiameter,
  topDiameter,
  height,
});

/** The shape that the measurements make: the core stands from the base up to the rim, the plug through the base. */
export function shapeOf({
  outerTop = NaN,
  outerBottom = NaN,
  height = NaN,
  cored,
  coreTop = NaN,
  coreBottom = NaN,
  base = NaN,
  plug,
}: NestedPot): MouldShape {
  const cores: PlacedSolid[] = cored
    ? [{ name: 'The core', bottom: base, solid: cone(coreBottom, coreTop, height - base) }]
    : [];
  const inserts: PlacedSolid[] = plug
    ? [{ name: 'The drain plug', bottom: 0, solid: cone(plug, plug, cored ? base : height) }]
    : [];
  return { outer: cone(outerBottom, outerTop, height), cores, inserts };
}

/** A saved mould as it is edited. */
export function draftOf({ name, stuff, piece, shape, copies, version }: MouldView): MouldDraft {
  const { outer } = shape;
  const core = shape.cores[0];
  return {
    name,
    stuff,
    piece,
    version,
    copies: copies.map(({ id, mark }) => ({ id, mark })),
    pot: {
      outerTop: outer.topDiameter,
      outerBottom: outer.bottomDiameter,
      height: outer.height,
      cored: core !== undefined,
      coreTop: core?.solid.topDiameter,
      coreBottom: core?.solid.bottomDiameter,
      base: core?.bottom,
      plug: shape.inserts[0]?.solid.bottomDiameter,
    },
  };
}

export function inputOf({ name, stuff, piece, pot, copies, version }: MouldDraft): MouldInput {
  const shape = shapeOf(pot);
  return {
    name: name.trim(),
    stuff,
    piece,
    shape: { outer: shape.outer, cores: [...shape.cores], inserts: [...shape.inserts] },
    copies,
    version,
  };
}
