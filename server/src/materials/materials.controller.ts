import { Body, Controller, Delete, Get, HttpCode, Put, Query } from '@nestjs/common';
import {
  LotInput,
  MaterialInput,
  MaterialsQuery,
  ScoopInput,
  StockInput,
  type LotView,
  type MaterialView,
  type Page,
  type ScoopView,
  type StockView,
  type StoreView,
} from '@dewpot/contract';
import { Key } from '../http/key-param.js';
import { WhileUnchanged } from '../http/unchanged.js';
import { MaterialsService } from './materials.service.js';

/** What lies in the workshop's store: materials, the lots of them that were bought, scoops, and what parts are cut from. */
@Controller('api')
export class MaterialsController {
  constructor(private readonly store: MaterialsService) {}

  @WhileUnchanged({ areas: ['materials'], timeless: true })
  @Get('materials')
  page(@Query() asked: MaterialsQuery): Promise<Page<MaterialView>> {
    return this.store.page(asked);
  }

  /** Every material, lot, scoop, stick and sheet: what mixes are calculated with, also where there is no connection. */
  @WhileUnchanged({ areas: ['materials'], timeless: true })
  @Get('store')
  all(): Promise<StoreView> {
    return this.store.all();
  }

  @Put('materials/:id')
  saveMaterial(@Key() id: string, @Body() given: MaterialInput): Promise<MaterialView> {
    return this.store.saveMaterial(id, given);
  }

  @Delete('materials/:id')
  @HttpCode(204)
  removeMaterial(@Key() id: string): Promise<void> {
    return this.store.removeMaterial(id);
  }

  @Put('lots/:id')
  saveLot(@Key() id: string, @Body() given: LotInput): Promise<LotView> {
    return this.store.saveLot(id, given);
  }

  @Delete('lots/:id')
  @HttpCode(204)
  removeLot(@Key() id: string): Promise<void> {
    return this.store.removeLot(id);
  }

  @Put('scoops/:id')
  saveScoop(@Key() id: string, @Body() given: ScoopInput): Promise<ScoopView> {
    return this.store.saveScoop(id, given);
  }

  @Delete('scoops/:id')
  @HttpCode(204)
  removeScoop(@Key() id: string): Promise<void> {
    return this.store.removeScoop(id);
  }

  @Put('stock/:id')
  saveStock(@Key() id: string, @Body() given: StockInput): Promise<StockView> {
    return this.store.saveStock(id, given);
  }

  @Delete('stock/:id')
  @HttpCode(204)
  removeStock(@Key() id: string): Promise<void> {
    return this.store.removeStock(id);
  }
}
