import { Injectable } from '@nestjs/common';
import type { CalendarAddress, CalendarView } from '@dewpot/contract';
import { DataSource } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { CastsService } from '../casts/index.js';
import { zoneOf } from '../config.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { ProblemError } from '../http/problem-error.js';
import type { CurrentUser } from '../http/request.js';
import { hashToken, newToken } from '../http/tokens.js';
import { CalendarKeyEntity } from './calendar.entities.js';
import { calendarOf } from './feed.js';

/** The round as a calendar, and the secret addresses at which it is read. */
@Injectable()
export class CalendarService {
  constructor(
    private readonly source: DataSource,
    private readonly rows: WorkshopContext,
    private readonly casts: CastsService,
  ) {}

  /** Whether a person's calendar has an address. */
  async addressOf(personId: string): Promise<CalendarView> {
    const key = await this.rows.of(CalendarKeyEntity).findOneBy({ personId });
    return key ? { madeAt: key.madeAt } : {};
  }

  /** Makes a secret address for a person's calendar; one that was there before stops. It is told this once. */
  async makeAddress({ personId, workshopId }: CurrentUser): Promise<CalendarAddress> {
    const token = newToken();
    const key = { id: uuid(), workshopId, personId, tokenHash: hashToken(token), madeAt: Date.now() };
    await this.rows.of(CalendarKeyEntity).upsert(key, ['workshopId', 'personId']);
    return { path: `/api/calendar/${token}/round.ics` };
  }

  async stopAddress(personId: string): Promise<void> {
    await this.rows.of(CalendarKeyEntity).delete({ personId });
  }

  /** The calendar of the workshop at hand (RFC 5545). */
  async calendar(): Promise<string> {
    const { settings } = await this.rows.workshop();
    return calendarOf(await this.casts.list(), settings.name, zoneOf(settings), Date.now());
  }

  /** The calendar at a secret address. @throws ProblemError 404 where there is none. */
  async calendarAt(key: string): Promise<string> {
    const [found] = await this.source.query<{ workshop_id: string }[]>('select * from calendar_lookup($1)', [
      hashToken(key),
    ]);
    if (!found) throw ProblemError.notFound('calendar');
    return this.rows.inWorkshop(found.workshop_id, () => this.calendar());
  }
}
