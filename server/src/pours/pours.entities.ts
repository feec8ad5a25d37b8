import type { RunEvent } from '@dewpot/core/bench';
import type { DealtTrial } from '@dewpot/core/findings';
import type { PutAside } from '@dewpot/core/judging';
import type { MixLesson, PourChoices, PourPart, RunLesson } from '@dewpot/core/planning';
import type { PieceUse } from '@dewpot/core/sealing';
import type { PourStatus } from '@dewpot/contract';
import { Column, CreateDateColumn, Entity, Index } from 'typeorm';
import { EditedRow, milliseconds, PartOf, WorkshopRow } from '../db/row.js';
import { stored } from '../db/stored.js';

/** What a pour took from a lot, g. */
export interface Taken {
  readonly lotId: string;
  readonly mass: number;
}

/** What was chosen for a pour, as it is kept. */
export interface StoredChoices extends PourChoices {
  readonly cover?: string;
  readonly place?: string;
  readonly uses?: readonly PieceUse[];
  readonly aside?: readonly PutAside[];
  readonly trialId?: string;
}

/** So many pieces of a mould that a pour makes. */
export interface PouredPiece {
  readonly mouldId: string;
  readonly name: string;
  readonly count: number;
  /** #rrggbb */
  readonly colour: string;
}

@Entity('pours')
@Index(['workshopId', 'number'])
export class PourEntity extends EditedRow {
  @Column('int') number: number;
  @Column('text') status: PourStatus;
  @Column(stored()) input: StoredChoices;
  @Column(stored()) parts: readonly PourPart[];
  /** What it is listed by: its pieces, and the names of its mixes. */
  @Column(stored()) pieces: readonly PouredPiece[];
  @Column('text', { array: true }) mixes: readonly string[];
  /** What it taught of each of its mixes; null until it is done, and in one that was done before this was kept. */
  @Column(stored({ nullable: true })) taught: readonly MixLesson[] | null;
  @Column(stored({ nullable: true })) taken: readonly Taken[] | null;
  @Column('uuid', { name: 'finished_by', nullable: true }) finishedBy: string | null;
  @Column(stored({ nullable: true })) lessons: readonly RunLesson[] | null;
  /** Which copy gets which way of a trial. */
  @Column(stored({ nullable: true })) trial: DealtTrial | null;
  @Column('bigint', { name: 'started_at', nullable: true, transformer: milliseconds }) startedAt: number | null;
  @Column('bigint', { name: 'poured_at', nullable: true, transformer: milliseconds }) pouredAt: number | null;
}

/** Something that happened in a pour at the bench; appended, never changed. */
@Entity('run_events')
@PartOf(() => PourEntity, 'pourId')
export class RunEventEntity extends WorkshopRow {
  @Index() @Column('uuid', { name: 'pour_id' }) pourId: string;
  @Column('uuid', { name: 'person_id', nullable: true }) personId: string | null;
  @Column(stored()) event: RunEvent;
  @CreateDateColumn({ type: 'timestamptz', name: 'recorded_at', default: () => 'clock_timestamp()' })
  recordedAt: Date;
}
