import { requireNumber } from '../../foundation/units/index.js';

/**
 * Share of a sanded face that chips cover. Round chips of `size` mm, `share` of the volume, cannot come nearer to the mould
 * than their own skin, so that a face is bare until it is ground: share·t²(3 − 2t), t = depth ÷ size, at most 1
 * (a plane through spheres whose middles lie evenly from half their size inwards).
 * @throws InputError
 */
export function faceCover(share: number, size: number, depth: number): number {
  requireNumber('share', share, 'The share of chips', { min: 0, max: 0.6 });
  requireNumber('size', size, 'The size of the chips', { above: 0, max: 60, unit: 'mm' });
  requireNumber('depth', depth, 'The depth that is sanded off', { min: 0, max: 60, unit: 'mm' });
  const t = Math.min(1, depth / size);
  return share * t * t * (3 - 2 * t);
}

/** Depth to sand off for half of what the chips can cover, mm: half their size. */
export const sandingDepth = (size: number): number => size / 2;

/** One grit of the sanding, and what it is for. */
export interface Grit {
  readonly grit: number;
  readonly does: string;
}

const grits: readonly Grit[] = [
  { grit: 50, does: 'takes the skin off and opens the chips, wet' },
  { grit: 100, does: 'takes the scratches of the first out' },
  { grit: 200, does: 'closes the face; fill the pinholes with paste of the same tint now, and let it set' },
  { grit: 400, does: 'makes it smooth to the hand' },
  { grit: 800, does: 'brings a dull shine' },
  { grit: 1500, does: 'brings the colour up' },
];

/** Grits in their order for a dull, a smooth or a shining face; never dry, for the dust. */
export const gritsFor = (face: 'matt' | 'smooth' | 'shine'): readonly Grit[] =>
  grits.slice(0, { matt: 3, smooth: 4, shine: 6 }[face]);
