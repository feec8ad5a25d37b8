import type { DemouldCare, DemouldSeen } from '@dewpot/core/curing';
import { Column, Entity, Index } from 'typeorm';
import { WorkshopRow } from '../db/row.js';
import { stored } from '../db/stored.js';

/** What was chosen for the demouldings of a mould with a mix, as it is kept. */
export interface StoredWays {
  readonly care: DemouldCare;
  readonly off: boolean;
  /** ms */
  readonly since?: number;
  readonly triedAgainAt?: number;
}

/** What the demouldings of a mould with a mix were, kept together so that proposing the next reads one row. */
@Entity('demould_lessons')
@Index(['workshopId', 'mouldId', 'mixId'], { unique: true })
export class DemouldLessonEntity extends WorkshopRow {
  @Column('uuid', { name: 'mould_id' }) mouldId: string;
  @Column('uuid', { name: 'mix_id' }) mixId: string;
  @Column(stored()) ways: StoredWays;
  @Column(stored()) records: readonly DemouldSeen[];
}
