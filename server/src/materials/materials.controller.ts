import { Body, Controller, Delete, Get, HttpCode, Put } from '@nestjs/common';
import {
  LotInput,
  MaterialInput,
  ScoopInput,
  type LotView,
  type MaterialView,
  type ScoopView,
  type StoresView,
} from '@dewpot/contract';
import { Key } from '../http/key-param.js';
import { MaterialsService } from './materials.service.js';

@Controller('api/stores')
export class MaterialsController {
  constructor(private readonly stores: MaterialsService) {}

  @Get()
  all(): Promise<StoresView> {
    return this.stores.all();
  }

  @Put('materials/:id')
  saveMaterial(@Key() id: string, @Body() given: MaterialInput): Promise<MaterialView> {
    return this.stores.saveMaterial(id, given);
  }

  @Delete('materials/:id')
  @HttpCode(204)
  removeMaterial(@Key() id: string): Promise<void> {
    return this.stores.removeMaterial(id);
  }

  @Put('lots/:id')
  saveLot(@Key() id: string, @Body() given: LotInput): Promise<LotView> {
    return this.stores.saveLot(id, given);
  }

  @Delete('lots/:id')
  @HttpCode(204)
  removeLot(@Key() id: string): Promise<void> {
    return this.stores.removeLot(id);
  }

  @Put('scoops/:id')
  saveScoop(@Key() id: string, @Body() given: ScoopInput): Promise<ScoopView> {
    return this.stores.saveScoop(id, given);
  }

  @Delete('scoops/:id')
  @HttpCode(204)
  removeScoop(@Key() id: string): Promise<void> {
    return this.stores.removeScoop(id);
  }
}
