import { Controller, Get } from '@nestjs/common';
import type { AirView } from '@dewpot/contract';
import { airView } from './air-station.js';

@Controller('api/air')
export class DevicesController {
  @Get()
  air(): AirView {
    return airView(Date.now());
  }
}
