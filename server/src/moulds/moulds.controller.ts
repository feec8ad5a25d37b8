import { Body, Controller, Delete, Get, HttpCode, Put } from '@nestjs/common';
import { MouldInput, type MouldView } from '@dewpot/contract';
import { Key } from '../http/key-param.js';
import { MouldsService } from './moulds.service.js';

@Controller('api/moulds')
export class MouldsController {
  constructor(private readonly moulds: MouldsService) {}

  @Get()
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
