import type { TrialPlan } from '@dewpot/core/findings';
import type { TrialKeep } from '@dewpot/contract';
import { Column, Entity } from 'typeorm';
import { EditedRow, milliseconds } from '../db/row.js';
import { stored } from '../db/stored.js';

/** One thing that a workshop changes on purpose, to see what it does. */
@Entity('trials')
export class TrialEntity extends EditedRow {
  @Column('text') name: string;
  @Column(stored()) body: TrialPlan;
  @Column('bigint', { name: 'closed_at', nullable: true, transformer: milliseconds }) closedAt: number | null;
  /** Which way is how things are done from then on. */
  @Column('text', { nullable: true }) keep: TrialKeep | null;
}
