import { Body, Controller, Delete, Get, HttpCode, Put } from '@nestjs/common';
import { MixInput, type MixView } from '@dewpot/contract';
import { Key } from '../http/key-param.js';
import { MixesService } from './mixes.service.js';

@Controller('api/mixes')
export class MixesController {
  constructor(private readonly mixes: MixesService) {}

  @Get()
  all(): Promise<MixView[]> {
    return this.mixes.all();
  }

  @Put(':id')
  save(@Key() id: string, @Body() given: MixInput): Promise<MixView> {
    return this.mixes.save(id, given);
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Key() id: string): Promise<void> {
    return this.mixes.remove(id);
  }
}
