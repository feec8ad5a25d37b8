import type { AuditDeed, AuditThing } from '@dewpot/contract';
import { Column, Entity, Index } from 'typeorm';
import { milliseconds, WorkshopRow } from '../db/row.js';

/** Something that a person did. Their name is kept as it was: it outlasts them. */
@Entity('audit_entries')
@Index(['workshopId', 'at', 'id'])
@Index(['workshopId', 'recordId'])
export class AuditEntryEntity extends WorkshopRow {
  /** ms */
  @Column('bigint', { transformer: milliseconds }) at: number;
  @Column('uuid', { name: 'person_id' }) personId: string;
  @Column('text') person: string;
  @Column('text') thing: AuditThing;
  @Column('text') deed: AuditDeed;
  /** What it was done to, and what that was called then. */
  @Column('uuid', { name: 'record_id', nullable: true }) recordId: string | null;
  @Column('text', { nullable: true }) record: string | null;
  /** Which event was added to a cast. */
  @Column('text', { nullable: true }) event: string | null;
}
