import type { AllWays } from '@dewpot/core/findings';
import { Column, Entity } from 'typeorm';
import { WorkshopRow } from '../db/row.js';
import { stored } from '../db/stored.js';

/** Every way beside every other, as it was compared last; its key is its workshop's. */
@Entity('kept_ways')
export class KeptWaysEntity extends WorkshopRow {
  /** Counted up whenever a record of a cast is gathered. */
  @Column('int') revision: number;
  /** So many casts had a record when it was compared. */
  @Column('int') casts: number;
  /** So many of them had left their mould. */
  @Column('int') seen: number;
  /** Null where something was gathered since. */
  @Column(stored({ nullable: true })) body: AllWays | null;
}
