import { Module } from '@nestjs/common';
import { CastsModule } from '../casts/index.js';
import { CalendarController } from './calendar.controller.js';
import { CalendarService } from './calendar.service.js';

/** What is due, as a feed for calendars. */
@Module({
  imports: [CastsModule],
  controllers: [CalendarController],
  providers: [CalendarService],
})
export class CalendarModule {}
