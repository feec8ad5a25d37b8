/** What a mould is for: sets the least wall and the lift-out time of the handbook. */
export type PieceKind = 'small-pot' | 'pot' | 'hypertufa-pot' | 'trough' | 'slab' | 'lamp' | 'dish';

export interface PieceGuide {
  readonly name: string;
  /** Least wall of that piece, mm. */
  readonly leastWall: number;
}

/** Guide to least walls by piece; a default that the caster may go under. */
export const pieceGuides: Record<PieceKind, PieceGuide> = {
  'small-pot': { name: 'small pot or jar', leastWall: 8 },
  dish: { name: 'dish', leastWall: 8 },
  pot: { name: 'pot', leastWall: 12 },
  'hypertufa-pot': { name: 'hypertufa pot', leastWall: 35 },
  trough: { name: 'trough', leastWall: 45 },
  slab: { name: 'slab or stepping stone', leastWall: 40 },
  lamp: { name: 'lamp', leastWall: 20 },
};
