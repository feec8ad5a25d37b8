import type { Expected } from '@dewpot/core/pours';
import type { CastEvent, CastSnapshot, DrySummary, Life, Stage } from '@dewpot/core/casts';
import type { KeptRecord } from '@dewpot/core/findings';
import { Column, CreateDateColumn, Entity, Index } from 'typeorm';
import { PourEntity } from '../pours/pours.entities.js';
import { milliseconds, PartOf, WorkshopRow } from '../db/row.js';
import { stored } from '../db/stored.js';
import { Shows } from '../pictures/photos.entities.js';

/** What the events of a cast come to, kept with its row. */
export interface CastProjection {
  readonly life: Life;
  readonly dry: DrySummary;
}

const projectionColumn = stored();

/** A projection as its column holds it, for statements that write many at once. */
export const storedProjection = (projection: CastProjection): unknown => projectionColumn.transformer.to(projection);

@Entity('casts')
@PartOf(() => PourEntity, 'pourId')
@Index(['workshopId', 'pouredAt', 'id'])
export class CastEntity extends WorkshopRow {
  @Index() @Column('uuid', { name: 'pour_id' }) pourId: string;
  @Index() @Column('uuid', { name: 'mould_id' }) mouldId: string;
  @Column('text') code: string;
  @Index() @Column('text') stage: Stage;
  @Column('bigint', { name: 'poured_at', transformer: milliseconds }) pouredAt: number;
  @Column('text', { name: 'mould_name' }) mouldName: string;
  @Column('text', { name: 'mix_name' }) mixName: string;
  @Column('boolean') damaged: boolean;
  /** The line of an order that it was poured for. */
  @Index() @Column('uuid', { name: 'order_line', nullable: true }) orderLine: string | null;
  @Column(stored()) snapshot: CastSnapshot;
  @Column(stored()) expected: Expected;
  @Column(projectionColumn) projection: CastProjection;
  /** What findings know of it; null while it sets, and where its record has changed since. */
  @Column(stored({ nullable: true })) finding: KeptRecord | null;
  /** Of one that is out: when something is due to it. */
  @Index() @Column('bigint', { name: 'wakes_at', nullable: true, transformer: milliseconds }) wakesAt: number | null;
}

@Entity('cast_events')
@PartOf(() => CastEntity, 'castId')
export class CastEventEntity extends WorkshopRow {
  @Index() @Column('uuid', { name: 'cast_id' }) castId: string;
  @Column('uuid', { name: 'person_id', nullable: true }) personId: string | null;
  @Column(stored()) event: CastEvent;
  @CreateDateColumn({ type: 'timestamptz', name: 'recorded_at' }) recordedAt: Date;
}

/** A photo of a cast, and the event that it shows. */
@Entity('cast_pictures')
@PartOf(() => CastEntity, 'castId')
@PartOf(() => CastEventEntity, 'eventId')
@Shows('photo')
export class CastPictureEntity extends WorkshopRow {
  @Index() @Column('uuid', { name: 'cast_id' }) castId: string;
  @Index() @Column('uuid', { name: 'event_id', nullable: true }) eventId: string | null;
  @Column('int') width: number;
  @Column('int') height: number;
  @Index() @Column('bytea') photo: Buffer;
  @Column('bigint', { transformer: milliseconds }) at: number;
}
