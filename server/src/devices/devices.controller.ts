import { Controller, Get, ParseIntPipe, Query } from '@nestjs/common';
import type { AirReading, AirView } from '@dewpot/contract';
import { airBetween, airView } from './air-station.js';

@Controller('api/air')
export class DevicesController {
  @Get()
  air(): AirView {
    return airView(Date.now());
  }

  /** The air between two times, ms; 120 days of it at most. */
  @Get('between')
  between(@Query('from', ParseIntPipe) from: number, @Query('to', ParseIntPipe) to: number): AirReading[] {
    return airBetween(from, to);
  }
}
