import { Body, Controller, HttpCode, Param, ParseUUIDPipe, Put } from '@nestjs/common';
import { DemouldWaysInput } from '@dewpot/contract';
import { DemouldsService } from './demould-lessons.service.js';

/** What a caster chose for the demouldings of a mould with a mix. */
@Controller('api/moulds/:mouldId/demoulding')
export class DemouldsController {
  constructor(private readonly demoulds: DemouldsService) {}

  @Put(':mixId')
  @HttpCode(204)
  choose(
    @Param('mouldId', ParseUUIDPipe) mouldId: string,
    @Param('mixId', ParseUUIDPipe) mixId: string,
    @Body() ways: DemouldWaysInput,
  ): Promise<void> {
    return this.demoulds.choose(mouldId, mixId, ways);
  }
}
