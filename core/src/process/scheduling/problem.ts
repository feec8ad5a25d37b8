import type { SessionSlot } from './week.js';

/** Pieces of one mould in one mix and tint that are to be poured. */
export interface ScheduledLine {
  readonly key: string;
  readonly mouldId: string;
  /** What one bucket can hold: a mix in a tint. */
  readonly mixKey: string;
  /** Pieces to pour: those that are wanted, and those that are lost on the way. */
  readonly count: number;
  /** Minutes of work for one piece: release, filling, finishing, cover. */
  readonly minutes: number;
  /** Of one piece, mL. */
  readonly volume: number;
  /** The last slot from which it is ready in time; the last of all where left out. */
  readonly lastSlot?: number;
}

/** The copies of a mould. */
interface ScheduledMould {
  readonly mouldId: string;
  readonly copies: number;
  /** From which slot on a copy that is poured in each slot is free again; the number of slots where it is in none. */
  readonly freeAgain: readonly number[];
  /** How many copies are still full at each slot of what was poured before; none where left out. */
  readonly full?: readonly number[];
}

/** What a session takes beside its pieces. */
interface SessionWork {
  /** Setting up and cleaning, min. */
  readonly fixed: number;
  /** Weighing, mixing and resting of one bucket, min. */
  readonly bucket: number;
  /** What one bucket mixes, mL. */
  readonly capacity: number;
  /** Pieces that can be filled from one bucket within its pot life. */
  readonly mostPieces: number;
}

/** What is to be poured, when it could be, and with what. */
export interface SchedulingProblem {
  readonly slots: readonly SessionSlot[];
  readonly lines: readonly ScheduledLine[];
  readonly moulds: readonly ScheduledMould[];
  readonly work: SessionWork;
}

/** Pieces of one line in one session. */
export interface Poured {
  readonly line: string;
  readonly count: number;
}

/** One bucket of a session, or several where a piece takes more than one. */
interface SessionBucket {
  readonly mixKey: string;
  readonly buckets: number;
  readonly pieces: readonly Poured[];
}

export interface Session {
  readonly slot: number;
  readonly poured: readonly Poured[];
  readonly batches: readonly SessionBucket[];
  /** How long it takes, min. */
  readonly minutes: number;
}

/** Which session pours what. */
export interface Schedule {
  /** In the order of their slots. */
  readonly sessions: readonly Session[];
}

/** Minutes that a session takes: set-up, its buckets, its pieces. */
export function sessionMinutes(
  { lines, work }: Pick<SchedulingProblem, 'lines' | 'work'>,
  poured: readonly Poured[],
  buckets: number,
): number {
  const each = new Map(lines.map(({ key, minutes }) => [key, minutes]));
  return (
    work.fixed + work.bucket * buckets + poured.reduce((sum, { line, count }) => sum + count * (each.get(line) ?? 0), 0)
  );
}
