import { Body, Controller, Delete, Get, HttpCode, Put } from '@nestjs/common';
import {
  CalendarPlanInput,
  CasterWeekInput,
  type CalendarFacts,
  type CalendarPlanView,
  type CalendarTodayView,
  type CasterWeekView,
} from '@dewpot/contract';
import { clock } from '../clock.js';
import { CurrentUser } from '../http/request.js';
import { CalendarFactsService } from './calendar-facts.service.js';
import { PlansService } from './plans.service.js';
import { WeeksService } from './weeks.service.js';

/** The plan of a workshop's open orders, and what it is made from. */
@Controller('api/calendar')
export class PlansController {
  constructor(
    private readonly plans: PlansService,
    private readonly weeks: WeeksService,
    private readonly known: CalendarFactsService,
  ) {}

  /** What the calendar is planned from. */
  @Get('facts')
  facts(@CurrentUser() { personId }: CurrentUser): Promise<CalendarFacts> {
    return this.known.facts(personId, clock.now());
  }

  /** The plan that is kept. */
  @Get('plan')
  plan(): Promise<CalendarTodayView> {
    return this.plans.today();
  }

  @Put('plan')
  keep(@Body() plan: CalendarPlanInput): Promise<CalendarPlanView> {
    return this.plans.save(plan);
  }

  @Delete('plan')
  @HttpCode(204)
  drop(): Promise<void> {
    return this.plans.remove();
  }

  /** One's own week. */
  @Get('week')
  week(@CurrentUser() { personId }: CurrentUser): Promise<CasterWeekView> {
    return this.weeks.own(personId);
  }

  @Put('week')
  keepWeek(@CurrentUser() { personId }: CurrentUser, @Body() week: CasterWeekInput): Promise<CasterWeekView> {
    return this.weeks.save(personId, week);
  }
}
