import type { OverrideSeen } from '@dewpot/core/sealing';
import { Column, Entity } from 'typeorm';
import { WorkshopRow } from '../db/row.js';
import { stored } from '../db/stored.js';

/** Gates that a workshop has overridden and what came of it, kept together so that judging one reads one row. */
@Entity('seal_lessons')
export class SealLessonEntity extends WorkshopRow {
  @Column(stored()) records: readonly OverrideSeen[];
}
