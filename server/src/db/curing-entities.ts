import type { AirReading } from '@dewpot/core';
import type { DemouldSeen, DemouldWaysInput, PlaceInput } from '@dewpot/contract';
import { Column, Entity, Index, PrimaryColumn } from 'typeorm';
import { EditedRow, milliseconds, WorkshopRow } from './row.js';

/** A photo of a cast, and the event that it shows. */
@Entity('cast_pictures')
export class CastPictureEntity extends WorkshopRow {
  @Index() @Column('uuid', { name: 'cast_id' }) castId: string;
  @Column('uuid', { name: 'event_id', nullable: true }) eventId: string | null;
  @Column('int') width: number;
  @Column('int') height: number;
  @Column('bytea', { select: false }) image: Buffer;
  @Column('bigint', { transformer: milliseconds }) at: number;
}

/** A place in which casts stand. */
@Entity('places')
export class PlaceEntity extends EditedRow {
  @Column('text') name: string;
  @Column('jsonb') body: Omit<PlaceInput, 'name' | 'version'>;
  /** Counts readings that came later than some after them: what was calculated from the series is then calculated again. */
  @Column('int', { default: 0 }) late: number;
}

/** A reading that was set aside, and why. */
@Entity('air_asides')
export class AirAsideEntity extends WorkshopRow {
  @Index() @Column('uuid', { name: 'place_id' }) placeId: string;
  @Column('jsonb') reading: AirReading;
  @Column('text') why: string;
}

/** The air of a place at a time: partitioned by month. */
@Entity('air_readings')
export class AirReadingEntity {
  @PrimaryColumn('uuid', { name: 'workshop_id' }) workshopId: string;
  @PrimaryColumn('uuid', { name: 'place_id' }) placeId: string;
  @PrimaryColumn('bigint', { transformer: milliseconds }) at: number;
  @Column('real') temperature: number;
  @Column('real', { nullable: true }) humidity: number | null;
  @Column('real', { nullable: true }) wind: number | null;
}

/** What the demouldings of a mould with a mix were, kept together so that proposing the next reads one row. */
@Entity('demould_lessons')
@Index(['workshopId', 'mouldId', 'mixId'], { unique: true })
export class DemouldLessonEntity extends WorkshopRow {
  @Column('uuid', { name: 'mould_id' }) mouldId: string;
  @Column('uuid', { name: 'mix_id' }) mixId: string;
  @Column('jsonb') ways: DemouldWaysInput;
  @Column('jsonb') records: readonly DemouldSeen[];
}

/** The secret address at which a person's calendar is read; only its hash is kept. */
@Entity('calendar_keys')
@Index(['workshopId', 'personId'], { unique: true })
export class CalendarKeyEntity extends WorkshopRow {
  @Column('uuid', { name: 'person_id' }) personId: string;
  @Index({ unique: true }) @Column('bytea', { name: 'token_hash' }) tokenHash: Buffer;
  @Column('bigint', { name: 'made_at', transformer: milliseconds }) madeAt: number;
}
