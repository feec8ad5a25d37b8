import { Injectable } from '@nestjs/common';
import type { Language } from '@dewpot/core/units';
import type { CalendarAddress, CalendarView } from '@dewpot/contract';
import { DataSource } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { clock } from '../clock.js';
import { PersonEntity } from '../accounts/accounts.entities.js';
import { CastsService } from '../casts/index.js';
import { zoneOf } from '../config.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { ProblemError } from '../http/problem-error.js';
import type { CurrentUser } from '../http/request.js';
import { speakerFor } from '../http/speaker.js';
import { hashToken, newToken } from '../http/tokens.js';
import { CalendarKeyEntity } from './calendar.entities.js';
import { calendarOf } from './feed.js';
import { PlansService } from './plans.service.js';

/** The round as a calendar, and the secret addresses at which it is read. */
@Injectable()
export class CalendarService {
  constructor(
    private readonly source: DataSource,
    private readonly rows: WorkshopContext,
    private readonly casts: CastsService,
    private readonly plans: PlansService,
  ) {}

  /** Whether a person's calendar has an address. */
  async addressOf(personId: string): Promise<CalendarView> {
    const key = await this.rows.of(CalendarKeyEntity).findOneBy({ personId });
    return key ? { madeAt: key.madeAt } : {};
  }

  /** Makes a secret address for a person's calendar; one that was there before stops. It is told this once. */
  async makeAddress({ personId, workshopId }: CurrentUser): Promise<CalendarAddress> {
    const token = newToken();
    const key = { id: uuid(), workshopId, personId, tokenHash: hashToken(token), madeAt: clock.now() };
    await this.rows.of(CalendarKeyEntity).upsert(key, ['workshopId', 'personId']);
    return { path: `/api/calendar/${token}/round.ics` };
  }

  async stopAddress(personId: string): Promise<void> {
    await this.rows.of(CalendarKeyEntity).delete({ personId });
  }

  /** The calendar of the workshop at hand (RFC 5545), in a language. */
  async calendar(language: Language): Promise<string> {
    const { settings } = await this.rows.workshop();
    const { name, units: system, currency } = settings;
    const say = speakerFor({ language, system, currency, zone: zoneOf(settings) });
    return calendarOf(await this.casts.shelf(), await this.plans.today(), name, say, clock.now());
  }

  /** The calendar at a secret address, in the language of whose it is, else in `asked`. @throws ProblemError 404 where there is none. */
  async calendarAt(key: string, asked: Language): Promise<string> {
    const [found] = await this.source.query<{ workshop_id: string }[]>('select * from calendar_lookup($1)', [
      hashToken(key),
    ]);
    if (!found) throw ProblemError.notFound('calendar');
    return this.rows.inWorkshop(found.workshop_id, async () => {
      const row = await this.rows.of(CalendarKeyEntity).findOneBy({ tokenHash: hashToken(key) });
      // It may have been stopped a moment ago.
      if (!row) throw ProblemError.notFound('calendar');
      const person = await this.rows.of(PersonEntity).findOneBy({ id: row.personId });
      return this.calendar(person?.language ?? asked);
    });
  }
}
