import { Module } from '@nestjs/common';
import { AmbientModule } from '../ambient/index.js';
import { CastsModule } from '../casts/index.js';
import { CuringModule } from '../curing/index.js';
import { SealingModule } from '../sealing/index.js';
import { CalendarController } from './calendar.controller.js';
import { CalendarFactsService } from './calendar-facts.service.js';
import { CalendarService } from './calendar.service.js';
import { OrdersController } from './orders.controller.js';
import { OrdersService } from './orders.service.js';
import { PlansController } from './plans.controller.js';
import { PlansService } from './plans.service.js';
import { WeeksService } from './weeks.service.js';

/** Orders, the plan of them, and what is due as a feed for calendars. */
@Module({
  imports: [AmbientModule, CastsModule, CuringModule, SealingModule],
  controllers: [OrdersController, PlansController, CalendarController],
  providers: [CalendarFactsService, CalendarService, OrdersService, PlansService, WeeksService],
  exports: [CalendarFactsService, OrdersService, PlansService, WeeksService],
})
export class CalendarModule {}
