import { Body, Controller, Delete, Get, HttpCode, Put } from '@nestjs/common';
import { OrderInput, type OrderView } from '@dewpot/contract';
import { clock } from '../clock.js';
import { Key } from '../http/key-param.js';
import { WhileUnchanged } from '../http/unchanged.js';
import { OrdersService } from './orders.service.js';

/** What is wanted of a workshop, and by when. */
@Controller('api/orders')
export class OrdersController {
  constructor(private readonly orders: OrdersService) {}

  @WhileUnchanged()
  @Get()
  list(): Promise<OrderView[]> {
    return this.orders.list(clock.now());
  }

  @Put(':id')
  save(@Key() id: string, @Body() order: OrderInput): Promise<OrderView> {
    return this.orders.save(id, order, clock.now());
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Key() id: string): Promise<void> {
    return this.orders.remove(id);
  }
}
