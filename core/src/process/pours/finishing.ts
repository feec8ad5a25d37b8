import { msg } from '../../foundation/units/index.js';
import type { PieceKind } from '../../geometry/moulds/index.js';
import { shrunkenMean } from '../../mixing/mixes/index.js';

/** What is done to an open face while it stiffens. */
export type FinishKind = 'smooth' | 'float' | 'first-edge' | 'second-edge' | 'trowel' | 'broom';

/** How the open face of a slab is left. */
export const finishes = ['broom', 'trowel', 'struck'] as const;
export type Finish = (typeof finishes)[number];

/** Windows of finishing, as shares of the initial set after striking off: handbook. */
export const finishShares: Record<FinishKind, readonly [from: number, to: number]> = {
  smooth: [0, 0.3],
  float: [0.05, 0.15],
  'first-edge': [0.1, 0.4],
  'second-edge': [0.3, 0.5],
  trowel: [0.35, 0.7],
  broom: [0.35, 0.6],
};

/** How to tell that it is time. */
export const BRISTLE_TEST = msg('pours.bristleLine');

/** What is done to an open face, in its order; nothing where it is not one to finish. */
export function finishesOf(piece: PieceKind, pressed: boolean, finish: Finish): readonly FinishKind[] {
  if (pressed) return ['smooth'];
  if (piece !== 'slab' || finish === 'struck') return [];
  return ['float', 'first-edge', 'second-edge', finish];
}

/** What a test of the face showed when it was tried. */
export const finishTries = ['early', 'good', 'late'] as const;
export type FinishTry = (typeof finishTries)[number];

/** One try: at which share of the calculated initial set, and how it went. */
export interface FinishRecord {
  readonly kind: FinishKind;
  readonly share: number;
  readonly went: FinishTry;
}

/** How far beyond an early try, or before a late one, the window is taken to lie. */
const BEYOND = 1.15;

function ratioOf({ kind, share, went }: FinishRecord): number {
  const [from, to] = finishShares[kind];
  if (went === 'early') return from === 0 ? 1 : Math.max(1, (BEYOND * share) / from);
  if (went === 'late') return Math.min(1, share / (BEYOND * to));
  if (share < from) return share / from;
  return Math.max(1, share / to);
}

/**
 * By how much a mix's windows come later (over 1) or sooner, from hits and misses: an early try says that the window lies
 * beyond it, a late one before it; a good one outside the window moves it there. The shrunken mean of all.
 */
export const windowFactor = (records: readonly FinishRecord[]): number => shrunkenMean(records.map(ratioOf)).factor;
