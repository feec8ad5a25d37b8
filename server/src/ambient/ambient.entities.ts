import type { Room } from '@dewpot/core/calendar';
import type { Message } from '@dewpot/core/units';
import type { AmbientReading, AmbientSource, MonthAmbient, PlaceKind } from '@dewpot/core/ambient';
import { Column, Entity, Index, PrimaryColumn } from 'typeorm';
import { EditedRow, milliseconds, PartOf, WorkshopRow } from '../db/row.js';
import { stored } from '../db/stored.js';

/** A place as it is kept, beside its name. */
export interface StoredPlace {
  readonly kind: PlaceKind;
  readonly source: AmbientSource;
  readonly typed?: { readonly temperature: number; readonly humidity: number; readonly wind: number };
  /** January first. */
  readonly season?: readonly MonthAmbient[];
  readonly simulated?: true;
  readonly room?: Room;
}

/** A place in which casts stand. */
@Entity('places')
export class PlaceEntity extends EditedRow {
  @Column('text') name: string;
  @Column(stored()) body: StoredPlace;
  /** Counts readings that came later than some after them: what was calculated from the series is then calculated again. */
  @Column('int', { default: 0 }) late: number;
  /** When it was read last, ms: the database keeps it by the readings that come. */
  @Column('bigint', { name: 'latest_reading', transformer: milliseconds, nullable: true }) latestReading: number | null;
}

/** A reading that was set aside, and why. */
@Entity('ambient_asides')
@PartOf(() => PlaceEntity, 'placeId')
export class AmbientAsideEntity extends WorkshopRow {
  @Index() @Column('uuid', { name: 'place_id' }) placeId: string;
  @Column(stored()) reading: AmbientReading;
  @Column(stored()) why: Message;
}

/** The air of a place at a time: partitioned by month. */
@Entity('ambient_readings')
export class AmbientReadingEntity {
  @PrimaryColumn('uuid', { name: 'workshop_id' }) workshopId: string;
  @PrimaryColumn('uuid', { name: 'place_id' }) placeId: string;
  @PrimaryColumn('bigint', { transformer: milliseconds }) at: number;
  @Column('real') temperature: number;
  @Column('real', { nullable: true }) humidity: number | null;
  @Column('real', { nullable: true }) wind: number | null;
}
