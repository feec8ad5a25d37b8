import { Injectable } from '@nestjs/common';
import { sinceOf, type LessonGroup, type LessonsSince } from '@dewpot/core/findings';
import { v7 as uuid } from 'uuid';
import { WorkshopContext } from '../db/workshop-context.js';
import { ForgottenLessonEntity } from './lessons.entities.js';

/** What a workshop has forgotten: everything that learns from records asks from when on they count. */
@Injectable()
export class ForgottenLessons {
  constructor(private readonly rows: WorkshopContext) {}

  async all(): Promise<LessonsSince[]> {
    const found = await this.rows.of(ForgottenLessonEntity).find({ order: { id: 'ASC' } });
    return found.map(({ group, of, since }) => ({ group, of: of === '' ? [] : of.split(' '), since }));
  }

  /** Says from when on the records of something count. */
  async since(): Promise<ReturnType<typeof sinceOf>> {
    return sinceOf(await this.all());
  }

  /** Forgets what the records of something taught until `since`, ms; asked twice, the later one stands. */
  async forget({ group, of, since }: LessonsSince): Promise<void> {
    const { workshopId } = this.rows;
    await this.rows
      .of(ForgottenLessonEntity)
      .upsert({ id: uuid(), workshopId, group, of: of.join(' '), since }, ['workshopId', 'group', 'of']);
  }

  /** Lets all records of something count again. */
  async recall(group: LessonGroup, of: readonly string[]): Promise<void> {
    await this.rows.of(ForgottenLessonEntity).delete({ group, of: of.join(' ') });
  }
}
