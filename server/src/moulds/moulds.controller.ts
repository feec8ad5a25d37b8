import { Body, Controller, Delete, Get, HttpCode, Put, Query } from '@nestjs/common';
import { MouldInput, MouldsQuery, type MouldView, type Page } from '@dewpot/contract';
import { Key } from '../http/key-param.js';
import { WhileUnchanged } from '../http/unchanged.js';
import { MouldsService } from './moulds.service.js';

@Controller('api/moulds')
export class MouldsController {
  constructor(private readonly moulds: MouldsService) {}

  @WhileUnchanged({ areas: ['moulds'], timeless: true })
  @Get()
  page(@Query() asked: MouldsQuery): Promise<Page<MouldView>> {
    return this.moulds.page(asked);
  }

  /** Every mould: what pours are planned with, also where there is no connection. */
  @WhileUnchanged({ areas: ['moulds'], timeless: true })
  @Get('all')
  all(): Promise<MouldView[]> {
    return this.moulds.all();
  }

  @Put(':id')
  save(@Key() id: string, @Body() given: MouldInput): Promise<MouldView> {
    return this.moulds.save(id, given);
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Key() id: string): Promise<void> {
    return this.moulds.remove(id);
  }
}
