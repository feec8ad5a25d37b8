/** What a programme of whole numbers came to. */
export interface Solution {
  /** Proven best, the best until it was stopped, or none at all: `none` where that is proven too. */
  readonly status: 'optimal' | 'best' | 'none' | 'unknown';
  /** Variables by name; those that are missing are 0. */
  readonly values: Readonly<Record<string, number>>;
  /** No solution costs less. */
  readonly bound: number;
}

/** How far a solve is. */
interface SolveProgress {
  readonly values: Readonly<Record<string, number>>;
  readonly bound: number;
}

interface SolveWays {
  /** After so long the best so far is answered, s. Where no time is left, only what is plain at once. */
  readonly seconds: number;
  /** What comes so near the best is as good; just under 1 where left out, for costs in whole numbers. */
  readonly gap?: number;
  /** A solution that is known, by its variables that are not 0. */
  readonly start?: Readonly<Record<string, number>>;
  /** Hears of each better solution. */
  readonly onBetter?: (progress: SolveProgress) => void;
}

/** Solves a programme of whole numbers, given in the LP format. */
export type Solver = (programme: string, ways: SolveWays) => Solution;
