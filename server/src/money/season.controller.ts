import { Controller, Get, Query } from '@nestjs/common';
import type { Season } from '@dewpot/core/money';
import { SeasonQuery } from '@dewpot/contract';
import { SeasonService } from './season.service.js';

@Controller('api/money')
export class SeasonController {
  constructor(private readonly seasons: SeasonService) {}

  /** Pieces, materials, waste and spending, month by month. */
  @Get('season')
  season(@Query() asked: SeasonQuery): Promise<Season> {
    return this.seasons.season(asked);
  }
}
