import { Body, Controller, Delete, Get, HttpCode, Put } from '@nestjs/common';
import { TubInput, type TubView } from '@dewpot/contract';
import { Key } from '../http/key-param.js';
import { WhileUnchanged } from '../http/unchanged.js';
import { TubsService } from './tubs.service.js';

@Controller('api/tubs')
export class TubsController {
  constructor(private readonly tubs: TubsService) {}

  @WhileUnchanged({ areas: ['moulds'], timeless: true })
  @Get()
  all(): Promise<TubView[]> {
    return this.tubs.all();
  }

  @Put(':id')
  save(@Key() id: string, @Body() given: TubInput): Promise<TubView> {
    return this.tubs.save(id, given);
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Key() id: string): Promise<void> {
    return this.tubs.remove(id);
  }
}
