import { Column, Entity, Index } from 'typeorm';
import { PersonEntity } from '../accounts/accounts.entities.js';
import { milliseconds, PartOf, WorkshopRow } from '../db/row.js';

/** The secret address at which a person's calendar is read; only its hash is kept. */
@Entity('calendar_keys')
@PartOf(() => PersonEntity, 'personId')
@Index(['workshopId', 'personId'], { unique: true })
export class CalendarKeyEntity extends WorkshopRow {
  @Column('uuid', { name: 'person_id' }) personId: string;
  @Index({ unique: true }) @Column('bytea', { name: 'token_hash' }) tokenHash: Buffer;
  @Column('bigint', { name: 'made_at', transformer: milliseconds }) madeAt: number;
}
