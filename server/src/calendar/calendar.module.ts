import { Module } from '@nestjs/common';
import { CastsModule } from '../casts/index.js';
import { CalendarController } from './calendar.controller.js';

/** What is due, as a feed for calendars. */
@Module({
  imports: [CastsModule],
  controllers: [CalendarController],
})
export class CalendarModule {}
