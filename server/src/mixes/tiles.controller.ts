import { Body, Controller, Delete, Get, HttpCode, Put, Query } from '@nestjs/common';
import { TileInput, TilesQuery, type TileView } from '@dewpot/contract';
import { TrialTileEntity } from '../db/entities.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { Key } from '../http/key-param.js';

/** Trial tiles of mixes: sealed and bare side by side. */
@Controller('api/tiles')
export class TilesController {
  constructor(private readonly rows: WorkshopContext) {}

  /** Those of a mix, or all; the newest first. */
  @Get()
  async list(@Query() { mix: mixId }: TilesQuery): Promise<TileView[]> {
    const found = await this.rows
      .of(TrialTileEntity)
      .find({ ...(mixId && { where: { mixId } }), order: { id: 'DESC' } });
    return found.map(({ id, mixId: of, body }) => ({ id, mixId: of, ...body }));
  }

  @Put(':id')
  @HttpCode(204)
  async keep(@Key() id: string, @Body() { mixId, ...body }: TileInput): Promise<void> {
    const { workshopId } = this.rows;
    await this.rows.of(TrialTileEntity).upsert({ id, workshopId, mixId, body: { ...body } }, ['workshopId', 'id']);
  }

  @Delete(':id')
  @HttpCode(204)
  async remove(@Key() id: string): Promise<void> {
    await this.rows.of(TrialTileEntity).delete({ id });
  }
}
