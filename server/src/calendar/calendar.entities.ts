import type { KeptWeek } from '@dewpot/core/calendar';
import type { CalendarPlanInput, OrderInput } from '@dewpot/contract';
import { Column, Entity, Index } from 'typeorm';
import { PersonEntity } from '../accounts/accounts.entities.js';
import { EditedRow, milliseconds, PartOf, WorkshopRow } from '../db/row.js';
import { stored } from '../db/stored.js';

/** The secret address at which a person's calendar is read; only its hash is kept. */
@Entity('calendar_keys')
@PartOf(() => PersonEntity, 'personId')
@Index(['workshopId', 'personId'], { unique: true })
export class CalendarKeyEntity extends WorkshopRow {
  @Column('uuid', { name: 'person_id' }) personId: string;
  @Index({ unique: true }) @Column('bytea', { name: 'token_hash' }) tokenHash: Buffer;
  @Column('bigint', { name: 'made_at', transformer: milliseconds }) madeAt: number;
}

/** An order as it is kept, beside its name and whether it is closed. */
export type StoredOrder = Omit<OrderInput, 'name' | 'closed' | 'version'>;

/** What somebody wants made. */
@Entity('orders')
export class OrderEntity extends EditedRow {
  @Column('text') name: string;
  @Index() @Column('boolean', { default: false }) closed: boolean;
  @Column(stored()) body: StoredOrder;
}

/** When a person is at hand, and when they pour. */
@Entity('caster_weeks')
@PartOf(() => PersonEntity, 'personId')
@Index(['workshopId', 'personId'], { unique: true })
export class CasterWeekEntity extends EditedRow {
  @Column('uuid', { name: 'person_id' }) personId: string;
  @Column(stored()) body: KeptWeek;
}

/** The plan of a workshop's open orders: one, whose key is the workshop's own. */
@Entity('calendar_plans')
export class CalendarPlanEntity extends EditedRow {
  @Column(stored()) body: Omit<CalendarPlanInput, 'version'>;
}
