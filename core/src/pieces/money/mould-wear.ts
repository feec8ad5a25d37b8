/** A mould as its wear is calculated. */
export interface WornMould {
  /** In the workshop's money. */
  readonly price: number;
  /** Cycles that a copy is expected to last. */
  readonly lasts: number;
  /** Copies that wore out. */
  readonly wornOut: number;
  /** Cycles of the worn-out copies, and those of the others beyond what they were to last. */
  readonly cycles: number;
}

/** A copy of a mould, and how often it was filled. */
interface UsedCopy {
  readonly cycles: number;
  readonly retired: boolean;
}

/** What copies show of how long they last: those that wore out with all their cycles, the others with what they gave beyond what was expected. Handbook 21. */
export const wornBy = (copies: readonly UsedCopy[], lasts: number): Pick<WornMould, 'wornOut' | 'cycles'> => ({
  wornOut: copies.filter(({ retired }) => retired).length,
  cycles: copies.reduce((sum, { cycles, retired }) => sum + (retired ? cycles : Math.max(0, cycles - lasts)), 0),
});

/** Three copies that last as expected count beside what was seen. */
const BEFORE = 3;

/** What one cast wears off its mould: price × (3 + worn out) ÷ (3 × lasts + cycles). Handbook 21. */
export const wearOf = ({ price, lasts, wornOut, cycles }: WornMould): number =>
  (price * (BEFORE + wornOut)) / (BEFORE * lasts + cycles);
