import type { SessionSlot } from './week.js';

/** Pieces of one mould in one mix and tint that are to be poured. */
export interface ScheduledLine {
  readonly key: string;
  readonly mouldId: string;
  /** What one bucket can hold: a mix in a tint. */
  readonly mixKey: string;
  /** Pieces to pour: those that are wanted, and those that are lost on the way. */
  readonly count: number;
  /** Minutes of work for one piece: release, filling, finishing, cover, demoulding. */
  readonly minutes: number;
  /** Of one piece, mL. */
  readonly volume: number;
  /** The last slot from which it is ready in time; the last of all where left out. */
  readonly lastSlot?: number;
  /** Slots in which it cannot be poured: nobody is at hand when its cores must come out. */
  readonly notIn?: readonly number[];
}

/** A mix in a tint, as it is made by the bucket. */
export interface ScheduledMix {
  readonly key: string;
  /** Weighing, mixing and resting of one bucket, min. */
  readonly bucket: number;
  /** What one bucket mixes, mL. */
  readonly capacity: number;
  /** Pieces that can be filled from one bucket within its pot life. */
  readonly mostPieces: number;
}

/** What runs short: copies of a mould, spots of moulds that cannot be moved, room on a shelf. */
type SharedKind = 'copies' | 'spots' | 'shelf';

/** What pieces of several sessions share until each gives it back. */
export interface Shared {
  readonly kind: SharedKind;
  /** The mould, or the place, that it is of. */
  readonly of: string;
  /** How much there is: copies, or mm². */
  readonly room: number;
  /** How much is still taken at each slot by what was poured before; none where left out. */
  readonly taken?: readonly number[];
  readonly uses: readonly SharedUse[];
}

/** What a piece of a line takes of it. */
export interface SharedUse {
  readonly line: string;
  readonly each: number;
  /** From which slot on it is free again, by the slot in which the piece is poured; the number of slots where it is in none. */
  readonly until: readonly number[];
}

/** Pieces of one line in one session. */
export interface Poured {
  readonly line: string;
  readonly count: number;
}

/** A session as far as the plan of before goes. */
export interface EarlierSession {
  readonly slot: number;
  readonly poured: readonly Poured[];
}

/** What is to be poured, when it could be, and with what. */
export interface SchedulingProblem {
  readonly slots: readonly SessionSlot[];
  readonly lines: readonly ScheduledLine[];
  readonly mixes: readonly ScheduledMix[];
  readonly shared: readonly Shared[];
  /** Setting up and cleaning in each session, min. */
  readonly fixed: number;
  /** What was planned before: a session that differs from it costs a tenth of one. */
  readonly before?: readonly EarlierSession[];
  /** What cannot be poured together in a slot, nor more than it: its real timeline does not fit. */
  readonly forbidden?: readonly EarlierSession[];
  /** What is kept as it is: sessions that a person put where they are. */
  readonly kept?: readonly EarlierSession[];
}

/** One bucket of a session, or several where a piece takes more than one. */
interface SessionBucket {
  readonly mixKey: string;
  readonly buckets: number;
  readonly pieces: readonly Poured[];
}

export interface Session extends EarlierSession {
  readonly batches: readonly SessionBucket[];
  /** How long it takes, min. */
  readonly minutes: number;
}

/** Which session pours what. */
export interface Schedule {
  /** In the order of their slots. */
  readonly sessions: readonly Session[];
}

/** Minutes that one piece takes in a slot: several people share it. */
export const pieceMinutes = ({ minutes }: Pick<ScheduledLine, 'minutes'>, { people = 1 }: SessionSlot): number =>
  minutes / people;

/** Minutes that a session takes: set-up, its buckets, its pieces. */
export function sessionMinutes(
  { lines, mixes, fixed }: Pick<SchedulingProblem, 'lines' | 'mixes' | 'fixed'>,
  slot: SessionSlot,
  poured: readonly Poured[],
  batches: readonly Pick<SessionBucket, 'mixKey' | 'buckets'>[],
): number {
  const each = new Map(lines.map((line) => [line.key, pieceMinutes(line, slot)]));
  const bucket = new Map(mixes.map(({ key, bucket: minutes }) => [key, minutes]));
  const pieces = poured.reduce((sum, { line, count }) => sum + count * (each.get(line) ?? 0), 0);
  return fixed + pieces + batches.reduce((sum, { mixKey, buckets }) => sum + buckets * (bucket.get(mixKey) ?? 0), 0);
}

/** Whether a line poured in a slot is ready too late. */
export const isLate = ({ lastSlot = Infinity }: ScheduledLine, slot: number): boolean => slot > lastSlot;

/** Pieces of a schedule that are ready too late, by line. */
export function latePieces({ lines }: Pick<SchedulingProblem, 'lines'>, { sessions }: Schedule): Map<string, number> {
  const late = new Map<string, number>();
  for (const { slot, poured } of sessions)
    for (const { line: key, count } of poured) {
      const line = lines.find((one) => one.key === key);
      if (line && isLate(line, slot)) late.set(key, (late.get(key) ?? 0) + count);
    }
  return late;
}
