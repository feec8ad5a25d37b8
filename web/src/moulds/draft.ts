import type { MouldMaterial, MouldShape, PlacedSolid } from '@dewpot/core/moulds';
import type { MouldInput, MouldView, SolidInput, PlacedSolidInput } from '@dewpot/contract';
import { v7 as uuid } from 'uuid';
import type { Start } from './starts';

/** A mould as it is edited. Numbers of its shape are NaN while their field is empty. */
export interface MouldDraft extends Omit<MouldInput, 'shape'> {
  readonly shape: MouldShape;
  readonly material: MouldMaterial;
}

const materialOf = { rigid: 'rigid-plastic', flexible: 'silicone', apart: 'wood' } as const;

/** A new mould from what it looks like. */
export function newDraft({ shape, flexibility, piece, material, once, remake }: Start): MouldDraft {
  return {
    name: '',
    flexibility,
    piece,
    material: material ?? materialOf[flexibility],
    shape,
    once: once ?? false,
    remake: remake ?? '',
    copies: once ? [] : [{ id: uuid(), mark: 'A' }],
    version: 0,
  };
}

/** A saved mould as it is edited. */
export function draftOf({ cycles: _cycles, pictures: _pictures, id: _id, copies, ...kept }: MouldView): MouldDraft {
  return {
    ...kept,
    material: kept.material ?? materialOf[kept.flexibility],
    copies: copies.map(({ cycles: _own, lastColour: _colour, ...copy }) => copy),
  };
}

const placedInput = ({ solid, pattern, ...rest }: PlacedSolid): PlacedSolidInput => ({
  ...rest,
  solid: solid as SolidInput,
  ...(pattern && { pattern }),
});

export function inputOf({ shape, name, ...rest }: MouldDraft): MouldInput {
  const { outer, cores, inserts, pressed, measured } = shape;
  return {
    ...rest,
    name: name.trim(),
    shape: {
      outer: outer as SolidInput,
      cores: cores.map(placedInput),
      inserts: inserts.map(placedInput),
      ...(pressed && { pressed }),
      ...(measured && { measured }),
    },
  };
}
