import { Controller, Delete, Get, Header, HttpCode, Param, Post } from '@nestjs/common';
import { Throttle } from '@nestjs/throttler';
import type { CalendarAddress, CalendarView } from '@dewpot/contract';
import { DataSource } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { CastsService } from '../casts/index.js';
import { CalendarKeyEntity, WorkshopEntity } from '../db/entities.js';
import { zoneOf } from '../config.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { ProblemError } from '../http/problem-error.js';
import { Public, CurrentUser } from '../http/request.js';
import { hashToken, newToken } from '../http/tokens.js';
import { rate } from '../http/rate.js';
import { calendarOf } from './feed.js';

const TYPE = 'text/calendar; charset=utf-8';

/** The round as a calendar: a file, and an address that a calendar reads again and again. */
@Controller('api')
export class CalendarController {
  constructor(
    private readonly source: DataSource,
    private readonly rows: WorkshopContext,
    private readonly casts: CastsService,
  ) {}

  /** Whether one's calendar has an address. */
  @Get('calendar')
  async view(@CurrentUser() { personId }: CurrentUser): Promise<CalendarView> {
    const key = await this.rows.of(CalendarKeyEntity).findOneBy({ personId });
    return key ? { madeAt: key.madeAt } : {};
  }

  /** Makes a secret address for one's calendar; one that was there before stops. It is told this once. */
  @Post('calendar/address')
  @HttpCode(200)
  async make(@CurrentUser() { personId, workshopId }: CurrentUser): Promise<CalendarAddress> {
    const token = newToken();
    await this.rows
      .of(CalendarKeyEntity)
      .upsert({ id: uuid(), workshopId, personId, tokenHash: hashToken(token), madeAt: Date.now() }, [
        'workshopId',
        'personId',
      ]);
    return { path: `/api/calendar/${token}/round.ics` };
  }

  @Delete('calendar/address')
  @HttpCode(204)
  async stop(@CurrentUser() { personId }: CurrentUser): Promise<void> {
    await this.rows.of(CalendarKeyEntity).delete({ personId });
  }

  /** The calendar as a file. */
  @Get('calendar/round.ics')
  @Header('Content-Type', TYPE)
  @Header('Content-Disposition', 'attachment; filename="round.ics"')
  file(): Promise<string> {
    return this.calendar();
  }

  /** The calendar at its secret address. */
  @Public()
  @Throttle(rate('calendars'))
  @Get('calendar/:key/round.ics')
  @Header('Content-Type', TYPE)
  async feed(@Param('key') key: string): Promise<string> {
    const [found]: { workshop_id: string }[] = await this.source.query('select * from calendar_lookup($1)', [
      hashToken(key),
    ]);
    if (!found) throw ProblemError.notFound('calendar');
    return this.rows.inWorkshop(found.workshop_id, () => this.calendar());
  }

  private async calendar(): Promise<string> {
    const { settings } = await this.rows.of(WorkshopEntity).findOneByOrFail({ id: this.rows.workshopId });
    return calendarOf(await this.casts.list(), settings.name, zoneOf(settings), Date.now());
  }
}
