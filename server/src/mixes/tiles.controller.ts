import { Body, Controller, Delete, Get, HttpCode, Put, Query } from '@nestjs/common';
import { TileInput, TilesQuery, type TileView } from '@dewpot/contract';
import { Key } from '../http/key-param.js';
import { TilesService } from './tiles.service.js';

/** Trial tiles of mixes: sealed and bare side by side. */
@Controller('api/tiles')
export class TilesController {
  constructor(private readonly tiles: TilesService) {}

  /** Those of a mix, or all; the newest first. */
  @Get()
  list(@Query() { mix }: TilesQuery): Promise<TileView[]> {
    return this.tiles.list(mix);
  }

  @Put(':id')
  @HttpCode(204)
  keep(@Key() id: string, @Body() tile: TileInput): Promise<void> {
    return this.tiles.keep(id, tile);
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Key() id: string): Promise<void> {
    return this.tiles.remove(id);
  }
}
