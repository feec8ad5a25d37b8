import type { PieceKind } from '../../geometry/moulds/index.js';
import type { Circumstances } from './circumstances.js';
import type { SeenFault, TrialSide } from '../casts/index.js';

/** What is done in one of several ways, by which casts are compared. */
export const wayKinds = [
  'release',
  'cover',
  'mix',
  'mould',
  'copy',
  'grade',
  'compaction',
  'reinforcement',
  'sealer',
  'place',
  'person',
  'month',
] as const;
export type WayKind = (typeof wayKinds)[number];

/** What is measured of casts, by which ways are compared. */
export const measures = ['mass', 'minutes', 'voids', 'colour'] as const;
export type Measure = (typeof measures)[number];

/** A cast as findings see it. */
export interface FindingRecord {
  readonly id: string;
  readonly code: string;
  readonly mouldId: string;
  readonly mixId: string;
  readonly piece: PieceKind;
  /** Poured, ms. */
  readonly at: number;
  /** It left its mould, or broke in it: until then nothing can be said of it. */
  readonly seen: boolean;
  readonly faults: readonly SeenFault[];
  readonly under: Circumstances;
  /** Names of the ways by which it was made, as far as they are known. */
  readonly ways: Readonly<Partial<Record<WayKind, string>>>;
  /** The trial that it is of, and its side. */
  readonly trial?: { readonly id: string; readonly side: TrialSide };
  /** mass ÷ expected at demoulding; minutes of work; voids as a share of the face; colour as ΔE to the tint wanted. */
  readonly measured: Readonly<Partial<Record<Measure, number>>>;
}

/** Nothing was found wrong with it. */
export const isGood = ({ seen, faults }: Pick<FindingRecord, 'seen' | 'faults'>): boolean =>
  seen && faults.length === 0;
