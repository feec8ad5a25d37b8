import { Body, Controller, Get, HttpCode, Post, Query } from '@nestjs/common';
import {
  byKind,
  castEvents,
  CastEventInput,
  CastsQuery,
  type CastDetail,
  type CastRow,
  type CastView,
  type Page,
} from '@dewpot/contract';
import { clock } from '../clock.js';
import { Key } from '../http/key-param.js';
import { CurrentUser, ForRole } from '../http/request.js';
import { WhileUnchanged } from '../http/unchanged.js';
import { CastsService } from './casts.service.js';

@Controller('api/casts')
export class CastsController {
  constructor(private readonly casts: CastsService) {}

  @WhileUnchanged({ timeless: true })
  @Get()
  page(@Query() asked: CastsQuery): Promise<Page<CastRow>> {
    return this.casts.page(asked);
  }

  /** Casts that stand on the shelf, and those that are out but wanted again, with what is due to them. */
  @WhileUnchanged()
  @Get('shelf')
  shelf(): Promise<CastView[]> {
    return this.casts.shelf();
  }

  @WhileUnchanged()
  @Get(':id')
  detail(@Key() id: string): Promise<CastDetail> {
    return this.casts.detail(id);
  }

  @ForRole('helper')
  @Post(':id/events')
  @HttpCode(200)
  append(
    @Key() id: string,
    @Body() given: CastEventInput,
    @CurrentUser() { personId }: CurrentUser,
  ): Promise<CastDetail> {
    return this.casts.append(id, byKind(castEvents, given), personId, clock.now());
  }
}
