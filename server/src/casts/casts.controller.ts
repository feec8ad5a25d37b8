import { Body, Controller, Get, HttpCode, Post, Query } from '@nestjs/common';
import { byKind, castEvents, CastEventInput, CastsQuery, type CastDetail, type CastView } from '@dewpot/contract';
import { Key } from '../http/key-param.js';
import { CurrentUser } from '../http/request.js';
import { CastsService } from './casts.service.js';

@Controller('api/casts')
export class CastsController {
  constructor(private readonly casts: CastsService) {}

  @Get()
  list(@Query() { all }: CastsQuery): Promise<CastView[]> {
    return this.casts.list(all !== undefined);
  }

  @Get(':id')
  detail(@Key() id: string): Promise<CastDetail> {
    return this.casts.detail(id);
  }

  @Post(':id/events')
  @HttpCode(200)
  append(
    @Key() id: string,
    @Body() given: CastEventInput,
    @CurrentUser() { personId }: CurrentUser,
  ): Promise<CastDetail> {
    return this.casts.append(id, byKind(castEvents, given), personId, Date.now());
  }
}
