import { Body, Controller, Delete, Get, HttpCode, Param, ParseEnumPipe, ParseUUIDPipe, Put } from '@nestjs/common';
import { findingKeys, type FindingKey } from '@dewpot/core/units';
import type { LastingAside } from '@dewpot/core/planning';
import { AsideReason } from '@dewpot/contract';
import { FindingsAsideService } from './findings-aside.service.js';

const keys = Object.fromEntries(findingKeys.map((key) => [key, key]));

/** What speaks against a mould with a mix and was put aside by the caster. */
@Controller('api/findings-aside')
export class FindingsAsideController {
  constructor(private readonly aside: FindingsAsideService) {}

  @Get()
  all(): Promise<LastingAside[]> {
    return this.aside.all();
  }

  @Put(':mouldId/:mixId/:finding')
  @HttpCode(204)
  put(
    @Param('mouldId', ParseUUIDPipe) mouldId: string,
    @Param('mixId', ParseUUIDPipe) mixId: string,
    @Param('finding', new ParseEnumPipe(keys)) finding: FindingKey,
    @Body() { reason }: AsideReason,
  ): Promise<void> {
    return this.aside.put(mouldId, mixId, finding, reason);
  }

  @Delete(':mouldId/:mixId/:finding')
  @HttpCode(204)
  take(
    @Param('mouldId', ParseUUIDPipe) mouldId: string,
    @Param('mixId', ParseUUIDPipe) mixId: string,
    @Param('finding', new ParseEnumPipe(keys)) finding: FindingKey,
  ): Promise<void> {
    return this.aside.take(mouldId, mixId, finding);
  }
}
