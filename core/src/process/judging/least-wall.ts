import { pieceGuides, type PieceKind } from '../../geometry/moulds/index.js';
import { largestGrain, type Mix } from '../../mixing/mixes/index.js';

/** Least wall of anything with peat or coir in it, mm. */
const HYPERTUFA = 35;
/** Least wall of a mix lightened with coarse perlite and the like, mm. */
const LIGHTWEIGHT = 20;
/** Least wall of a mix with sharp sand, mm: thinner ones are for fine sand, gypsum and what sets fast. */
const SHARP_SAND = 12;
/** Grain up to which a sand is fine, mm. */
const FINE = 2;

/** Least wall of a piece in its mix, mm: the piece's guide, or that of the mix where it asks for more. */
export function leastWall(piece: PieceKind, mix: Mix): number {
  const has = (kind: string) => mix.lines.some(({ material }) => material.kind === kind);
  const fine = largestGrain(mix) <= FINE;
  const byMix = has('organic') ? HYPERTUFA : fine ? 0 : has('lightweight') ? LIGHTWEIGHT : SHARP_SAND;
  return Math.max(pieceGuides[piece].leastWall, byMix);
}
