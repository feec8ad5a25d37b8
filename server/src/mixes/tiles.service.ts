import { Injectable } from '@nestjs/common';
import type { TileInput, TileView } from '@dewpot/contract';
import { WorkshopContext } from '../db/workshop-context.js';
import { ProblemError } from '../http/problem-error.js';
import { tileView } from './mixes.mappers.js';
import { MixEntity, TrialTileEntity } from './mixes.entities.js';

/** Trial tiles of mixes: sealed and bare side by side. */
@Injectable()
export class TilesService {
  constructor(private readonly rows: WorkshopContext) {}

  /** Those of a mix, or all; the newest first. */
  async list(mixId?: string): Promise<TileView[]> {
    const where = mixId === undefined ? {} : { where: { mixId } };
    const found = await this.rows.of(TrialTileEntity).find({ ...where, order: { id: 'DESC' } });
    return found.map(tileView);
  }

  /** @throws ProblemError 404 where its mix is not here. */
  async keep(id: string, { mixId, ...body }: TileInput): Promise<void> {
    const { workshopId } = this.rows;
    if (!(await this.rows.of(MixEntity).existsBy({ id: mixId }))) throw ProblemError.notFound('mix');
    await this.rows.of(TrialTileEntity).upsert({ id, workshopId, mixId, body: { ...body } }, ['workshopId', 'id']);
  }

  async remove(id: string): Promise<void> {
    await this.rows.of(TrialTileEntity).delete({ id });
  }
}
