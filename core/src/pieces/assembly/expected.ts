import { bonds, type Bond } from './bonds.js';

/** What a piece is expected to weigh, g. */
interface Masses {
  readonly fresh: number;
  readonly dry: number;
  readonly solids: number;
  readonly loss: number;
}

/** What an article is expected to weigh: its parts together and what joins them, whose water leaves with theirs. `bondMass` g. */
export function expectedTogether(parts: readonly Masses[], bond: Bond, bondMass: number): Masses {
  const sum = (of: keyof Masses) => parts.reduce((all, part) => all + part[of], 0);
  const water = bondMass * bonds[bond].water;
  // Mortar binds about half of its water for good.
  const leaves = water / 2;
  return {
    fresh: sum('fresh') + bondMass,
    dry: sum('dry') + bondMass - leaves,
    solids: sum('solids') + bondMass - water,
    loss: sum('loss') + leaves,
  };
}
