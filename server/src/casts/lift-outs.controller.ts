import { Body, Controller, HttpCode, Param, ParseUUIDPipe, Put } from '@nestjs/common';
import { LiftOutWaysInput } from '@dewpot/contract';
import { LiftOutsService } from './lift-outs.service.js';

/** What a caster chose for the lift-outs of a mould with a mix. */
@Controller('api/moulds/:mouldId/lift-outs')
export class LiftOutsController {
  constructor(private readonly liftOuts: LiftOutsService) {}

  @Put(':mixId')
  @HttpCode(204)
  choose(
    @Param('mouldId', ParseUUIDPipe) mouldId: string,
    @Param('mixId', ParseUUIDPipe) mixId: string,
    @Body() ways: LiftOutWaysInput,
  ): Promise<void> {
    return this.liftOuts.choose(mouldId, mixId, ways);
  }
}
