import { Injectable } from '@nestjs/common';
import { checkWeek, usualWeek } from '@dewpot/core/calendar';
import type { CasterWeekInput, CasterWeekView } from '@dewpot/contract';
import { v7 as uuid } from 'uuid';
import { PersonEntity } from '../accounts/accounts.entities.js';
import { saveEdited } from '../db/save-edited.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { CasterWeekEntity } from './calendar.entities.js';
import { weekView } from './calendar.mappers.js';

/** When the people of a workshop are at hand, and when they pour. */
@Injectable()
export class WeeksService {
  constructor(private readonly rows: WorkshopContext) {}

  /** The weeks that people told of. */
  async told(): Promise<CasterWeekView[]> {
    const people = await this.rows.of(PersonEntity).find({ order: { id: 'ASC' } });
    const weeks = await this.rows.of(CasterWeekEntity).find();
    return people.flatMap(({ id, name }) => {
      const week = weeks.find(({ personId }) => personId === id);
      return week ? [weekView(week, name)] : [];
    });
  }

  /** A person's own week; the usual one until they say. */
  async own(personId: string): Promise<CasterWeekView> {
    const { name } = await this.rows.of(PersonEntity).findOneByOrFail({ id: personId });
    const week = await this.rows.of(CasterWeekEntity).findOneBy({ personId });
    return week ? weekView(week, name) : { ...usualWeek, version: 0, personId, person: name };
  }

  /** Keeps a person's week. @throws InputError where hours end before they begin, ProblemError 409 where the version is stale. */
  async save(personId: string, { version, ...body }: CasterWeekInput): Promise<CasterWeekView> {
    checkWeek(body);
    const { name } = await this.rows.of(PersonEntity).findOneByOrFail({ id: personId });
    const known = await this.rows.of(CasterWeekEntity).findOneBy({ personId });
    const id = known?.id ?? uuid();
    const saved = await saveEdited(this.rows, this.rows.of(CasterWeekEntity), 'calendar', id, version, { personId, body }); // prettier-ignore
    return weekView(saved, name);
  }
}
