import { requireNumber, msg, type Message } from '../../foundation/units/index.js';

/**
 * Share of a sanded face that chips cover. Round chips of `size` mm, `share` of the volume, cannot come nearer to the mould
 * than their own skin, so that a face is bare until it is ground: share·t²(3 − 2t), t = depth ÷ size, at most 1
 * (a plane through spheres whose middles lie evenly from half their size inwards).
 * @throws InputError
 */
export function faceCover(share: number, size: number, depth: number): number {
  requireNumber('share', share, msg('tints.chipShare'), { min: 0, max: 0.6 });
  requireNumber('size', size, msg('tints.chipSize'), { above: 0, max: 60, unit: 'mm' });
  requireNumber('depth', depth, msg('tints.sandingDepth'), { min: 0, max: 60, unit: 'mm' });
  const t = Math.min(1, depth / size);
  return share * t * t * (3 - 2 * t);
}

/** Depth to sand off for half of what the chips can cover, mm: half their size. */
export const sandingDepth = (size: number): number => size / 2;

/** One grit of the sanding, and what it is for. */
export interface Grit {
  readonly grit: number;
  readonly does: Message;
}

const grits: readonly Grit[] = [
  { grit: 50, does: msg('tints.grit1') },
  { grit: 100, does: msg('tints.grit2') },
  { grit: 200, does: msg('tints.grit3') },
  { grit: 400, does: msg('tints.grit4') },
  { grit: 800, does: msg('tints.grit5') },
  { grit: 1500, does: msg('tints.grit6') },
];

/** Grits in their order for a dull, a smooth or a shining face; never dry, for the dust. */
export const gritsFor = (face: 'matt' | 'smooth' | 'shine'): readonly Grit[] =>
  grits.slice(0, { matt: 3, smooth: 4, shine: 6 }[face]);
