import type { LessonGroup } from '@dewpot/core/findings';
import { Column, Entity, Index } from 'typeorm';
import { milliseconds, WorkshopRow } from '../db/row.js';

/** From when on the records of something count: what they taught before is forgotten, the records themselves stay. */
@Entity('forgotten_lessons')
@Index(['workshopId', 'group', 'of'], { unique: true })
export class ForgottenLessonEntity extends WorkshopRow {
  @Column('text', { name: 'lesson_group' }) group: LessonGroup;
  /** Keys of what was learned of, one after the other. */
  @Column('text', { name: 'learned_of' }) of: string;
  @Column('bigint', { name: 'counts_from', transformer: milliseconds }) since: number;
}
