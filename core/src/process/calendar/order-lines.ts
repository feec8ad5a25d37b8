import type { SealerKind } from '../../mixing/materials/index.js';
import type { WantedState } from './chain.js';

/** Pieces of one mould in one mix and tint that somebody wants, and by when. */
export interface OrderLine {
  readonly id: string;
  readonly mouldId: string;
  readonly mixId: string;
  /** In the mix's own colour where left out. */
  readonly tintId?: string;
  readonly count: number;
  readonly state: WantedState;
  /** ms; as early as possible where left out. */
  readonly by?: number;
  /** What it is sealed with, and how often; of what is wanted sealed. */
  readonly sealer?: SealerKind;
  readonly coats?: number;
  /** Of a part of an article: hours from its own readiness until the joint carries. */
  readonly joining?: number;
}

/** Pieces of a line that were poured at a time, ms, and stand or are done. */
export interface PouredBefore {
  readonly at: number;
  readonly count: number;
  /** They are out of their moulds: nothing happens to them any more. */
  readonly safe: boolean;
  /** Those that are in the wanted state already. */
  readonly ready: number;
}

/** A line of an open order, with what was poured of it. */
export interface OpenLine extends OrderLine {
  /** Whose it is, as it is told. */
  readonly order: string;
  readonly placeId?: string;
  readonly poured: readonly PouredBefore[];
}

/** Pieces that are still to come out good. */
export const wantedStill = ({ count, poured }: Pick<OpenLine, 'count' | 'poured'>): number =>
  Math.max(0, count - poured.reduce((sum, { count: own }) => sum + own, 0));

/** What one bucket holds: a mix in a tint. */
export const mixKeyOf = ({ mixId, tintId }: Pick<OrderLine, 'mixId' | 'tintId'>): string => `${mixId} ${tintId ?? ''}`;
