import { faces, type MouldShape } from '../../geometry/moulds/index.js';
import type { Side } from '../../process/sealing/index.js';

/** Faces of a piece that a coat goes on, mm²: the outside with its foot and its upper face, the inside, or both. */
export function facesToSeal(shape: MouldShape, side: Side): number {
  const { outer, base, inner, open } = faces(shape);
  if (side === 'inside') return inner;
  return outer + base + open + (side === 'both' ? inner : 0);
}

/** Faces of a piece of several parts, less those that its joints cover, mm². */
export const sealedArea = (parts: readonly MouldShape[], side: Side, joined: number): number =>
  Math.max(0, parts.reduce((sum, shape) => sum + facesToSeal(shape, side), 0) - joined);
