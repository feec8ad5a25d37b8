import { Injectable } from '@nestjs/common';
import type { FindingKey } from '@dewpot/core/units';
import type { LastingAside } from '@dewpot/core/planning';
import { v7 as uuid } from 'uuid';
import { FindingAsideEntity, MouldEntity } from './moulds.entities.js';
import { MixEntity } from '../mixes/mixes.entities.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { ProblemError } from '../http/problem-error.js';

/** Findings that a workshop put aside for a mould with a mix, each with its reason. */
@Injectable()
export class FindingsAsideService {
  constructor(private readonly rows: WorkshopContext) {}

  async all(): Promise<LastingAside[]> {
    const found = await this.rows.of(FindingAsideEntity).find({ order: { id: 'ASC' } });
    return found.map(({ mouldId, mixId, finding: key, reason }) => ({ mouldId, mixId, key, reason }));
  }

  /** Puts one aside; of several at once the last reason stands. @throws ProblemError 404 where mould or mix is gone */
  async put(mouldId: string, mixId: string, finding: FindingKey, reason: string): Promise<void> {
    await this.mustBeHere(mouldId, mixId);
    const { workshopId } = this.rows;
    await this.rows
      .of(FindingAsideEntity)
      .createQueryBuilder()
      .insert()
      .values({ id: uuid(), workshopId, mouldId, mixId, finding, reason })
      .orUpdate(['reason'], ['workshop_id', 'mould_id', 'mix_id', 'finding'])
      .execute();
  }

  async take(mouldId: string, mixId: string, finding: FindingKey): Promise<void> {
    await this.rows.of(FindingAsideEntity).delete({ mouldId, mixId, finding });
  }

  /** Holds mould and mix, so that neither goes while something is kept of them. */
  private async mustBeHere(mouldId: string, mixId: string): Promise<void> {
    const lock = { mode: 'for_key_share' } as const;
    if (!(await this.rows.of(MouldEntity).findOne({ where: { id: mouldId }, select: { id: true }, lock })))
      throw ProblemError.notFound('mould');
    if (!(await this.rows.of(MixEntity).findOne({ where: { id: mixId }, select: { id: true }, lock })))
      throw ProblemError.notFound('mix');
  }
}
