import type { OverrideSeen } from '@dewpot/contract';
import { Column, Entity } from 'typeorm';
import { WorkshopRow } from '../db/row.js';

/** Gates that a workshop has overridden and what came of it, kept together so that judging one reads one row. */
@Entity('seal_lessons')
export class SealLessonEntity extends WorkshopRow {
  @Column('jsonb') records: readonly OverrideSeen[];
}
