import { Controller, Delete, Get, Header, HttpCode, Param, Post, Req } from '@nestjs/common';
import { Throttle } from '@nestjs/throttler';
import type { CalendarAddress, CalendarView } from '@dewpot/contract';
import { Public, CurrentUser, type AppRequest, ForRole } from '../http/request.js';
import { speakerOf } from '../http/speaker.js';
import { rate } from '../http/rate.js';
import { CalendarService } from './calendar.service.js';

const TYPE = 'text/calendar; charset=utf-8';

/** The round as a calendar: a file, and an address that a calendar reads again and again. */
@Controller('api')
export class CalendarController {
  constructor(private readonly calendars: CalendarService) {}

  /** Whether one's calendar has an address. */
  @Get('calendar')
  view(@CurrentUser() { personId }: CurrentUser): Promise<CalendarView> {
    return this.calendars.addressOf(personId);
  }

  /** Makes a secret address for one's calendar; one that was there before stops. It is told this once. */
  @ForRole('guest')
  @Post('calendar/address')
  @HttpCode(200)
  make(@CurrentUser() visitor: CurrentUser): Promise<CalendarAddress> {
    return this.calendars.makeAddress(visitor);
  }

  @ForRole('guest')
  @Delete('calendar/address')
  @HttpCode(204)
  stop(@CurrentUser() { personId }: CurrentUser): Promise<void> {
    return this.calendars.stopAddress(personId);
  }

  /** The calendar as a file. */
  @Get('calendar/round.ics')
  @Header('Content-Type', TYPE)
  @Header('Content-Disposition', 'attachment; filename="round.ics"')
  file(@Req() request: AppRequest): Promise<string> {
    return this.calendars.calendar(speakerOf(request).reader.language);
  }

  /** The calendar at its secret address. */
  @Public()
  @Throttle(rate('calendars'))
  @Get('calendar/:key/round.ics')
  @Header('Content-Type', TYPE)
  feed(@Param('key') key: string, @Req() request: AppRequest): Promise<string> {
    return this.calendars.calendarAt(key, speakerOf(request).reader.language);
  }
}
