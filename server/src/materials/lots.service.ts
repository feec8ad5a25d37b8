import { Injectable } from '@nestjs/common';
import { defined } from '@dewpot/core/math';
import { takeFromLots } from '@dewpot/core/materials';
import { In } from 'typeorm';
import { LotEntity } from './materials.entities.js';
import type { Taken } from '../pours/pours.entities.js';
import { WorkshopContext } from '../db/workshop-context.js';

/** What pours take from the lots, and what is put back where a pour is undone. */
@Injectable()
export class LotsService {
  constructor(private readonly rows: WorkshopContext) {}

  /** Takes g by material, oldest lots first; a lot that is touched for the first time counts as opened `at` that time (ms). */
  async take(used: Readonly<Record<string, number>>, at: number): Promise<Taken[]> {
    const repository = this.rows.of(LotEntity);
    // Locked in the order of their keys, so that two pours at once wait for each other and neither for ever.
    const lots = await repository.find({
      where: { materialId: In(Object.keys(used)) },
      order: { id: 'ASC' },
      lock: { mode: 'for_no_key_update' },
    });
    const taken: Taken[] = [];
    for (const [materialId, mass] of Object.entries(used)) {
      const own = lots.filter((lot) => lot.materialId === materialId);
      for (const { id, left } of takeFromLots(own, mass)) {
        const before = defined(own.find((lot) => lot.id === id));
        taken.push({ lotId: id, mass: before.left - left });
        await repository.update({ id }, { left, openedAt: before.openedAt ?? at });
      }
    }
    return taken;
  }

  /** Puts back what was taken; a lot that was thrown away since stays away. */
  async putBack(taken: readonly Taken[]): Promise<void> {
    const repository = this.rows.of(LotEntity);
    const lots = await repository.find({
      where: { id: In(taken.map(({ lotId }) => lotId)) },
      order: { id: 'ASC' },
      lock: { mode: 'for_no_key_update' },
    });
    for (const { id, left, bought } of lots) {
      const back = taken.filter(({ lotId }) => lotId === id).reduce((sum, { mass }) => sum + mass, 0);
      await repository.update({ id }, { left: Math.min(bought, left + back) });
    }
  }
}
