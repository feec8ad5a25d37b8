import { fullVolume } from './fill.js';
import type { MouldShape } from './mould.js';
import { pieceView } from './piece-view.js';

/** What moulds are looked for by. */
export interface MouldSizes {
  /** What it holds to its rim, mL. */
  readonly volume: number;
  /** Height of its piece, mm. */
  readonly height: number;
  /** Largest size of its piece in any direction, mm. */
  readonly reach: number;
}

/** The sizes by which a mould is looked for, of the piece that it makes. */
export function mouldSizes(shape: MouldShape): MouldSizes {
  const { width, depth, height } = pieceView(shape);
  return { volume: fullVolume(shape), height, reach: Math.max(width, depth, height) };
}
