import type { DemouldSeen, DemouldWaysInput } from '@dewpot/contract';
import { Column, Entity, Index } from 'typeorm';
import { WorkshopRow } from '../db/row.js';

/** What the demouldings of a mould with a mix were, kept together so that proposing the next reads one row. */
@Entity('demould_lessons')
@Index(['workshopId', 'mouldId', 'mixId'], { unique: true })
export class DemouldLessonEntity extends WorkshopRow {
  @Column('uuid', { name: 'mould_id' }) mouldId: string;
  @Column('uuid', { name: 'mix_id' }) mixId: string;
  @Column('jsonb') ways: DemouldWaysInput;
  @Column('jsonb') records: readonly DemouldSeen[];
}
