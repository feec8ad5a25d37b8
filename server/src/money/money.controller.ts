import { Body, Controller, Get, HttpCode, Put, Query } from '@nestjs/common';
import type { Season } from '@dewpot/core/money';
import { CostingInput, PieceQuery, SeasonQuery, type PieceMoneyView } from '@dewpot/contract';
import { Key } from '../http/key-param.js';
import { CostingsService } from './costings.service.js';
import { SeasonService } from './season.service.js';

@Controller('api/money')
export class MoneyController {
  constructor(
    private readonly seasons: SeasonService,
    private readonly costings: CostingsService,
  ) {}

  /** Pieces, materials, waste and spending, month by month. */
  @Get('season')
  season(@Query() asked: SeasonQuery): Promise<Season> {
    return this.seasons.season(asked);
  }

  /** What the record and the caster tell of the pieces of a mould with a mix. */
  @Get('piece')
  piece(@Query() asked: PieceQuery): Promise<PieceMoneyView> {
    return this.costings.piece(asked);
  }

  /** What a caster tells of a mould's pieces. */
  @Put('costings/:id')
  @HttpCode(204)
  save(@Key() id: string, @Body() costing: CostingInput): Promise<void> {
    return this.costings.save(id, costing);
  }
}
