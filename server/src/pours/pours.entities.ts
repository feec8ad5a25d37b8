import type { PourPart, RunEvent, RunLesson } from '@dewpot/core';
import type { PourInput, PourStatus } from '@dewpot/contract';
import { Column, CreateDateColumn, Entity, Index } from 'typeorm';
import { EditedRow, milliseconds, PartOf, WorkshopRow } from '../db/row.js';

/** What a pour took from a lot, g. */
export interface Taken {
  readonly lotId: string;
  readonly mass: number;
}

@Entity('pours')
export class PourEntity extends EditedRow {
  @Column('int') number: number;
  @Column('text') status: PourStatus;
  @Column('jsonb') input: Omit<PourInput, 'version'>;
  @Column('jsonb') parts: readonly PourPart[];
  @Column('jsonb', { nullable: true }) taken: readonly Taken[] | null;
  @Column('uuid', { name: 'finished_by', nullable: true }) finishedBy: string | null;
  @Column('jsonb', { nullable: true }) lessons: readonly RunLesson[] | null;
  @Column('bigint', { name: 'started_at', nullable: true, transformer: milliseconds }) startedAt: number | null;
  @Column('bigint', { name: 'poured_at', nullable: true, transformer: milliseconds }) pouredAt: number | null;
}

/** Something that happened in a pour at the bench; appended, never changed. */
@Entity('run_events')
@PartOf(() => PourEntity, 'pourId')
export class RunEventEntity extends WorkshopRow {
  @Index() @Column('uuid', { name: 'pour_id' }) pourId: string;
  @Column('uuid', { name: 'person_id', nullable: true }) personId: string | null;
  @Column('jsonb') event: RunEvent;
  @CreateDateColumn({ type: 'timestamptz', name: 'recorded_at', default: () => 'clock_timestamp()' })
  recordedAt: Date;
}
