import { msg } from '@dewpot/core/units';
import { Injectable } from '@nestjs/common';
import { lotInUse, lotMonths, sealerOf, type Material, type Sealer } from '@dewpot/core/materials';
import { LotEntity, MaterialEntity } from '../materials/materials.entities.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { ProblemError } from '../http/problem-error.js';
import { LotsService, plainLot } from '../materials/index.js';

/** A sealer out of the store: its sheet, and the lot that it is taken from. */
export interface Product {
  readonly materialId: string;
  readonly sealer: Sealer;
  /** kg/L */
  readonly density: number;
  readonly lotId?: string;
  /** Months for which that lot has stood open; undefined where it was not opened. */
  readonly openMonths?: number;
}

/** Sealers out of the workshop's store. */
@Injectable()
export class ProductsService {
  constructor(
    private readonly rows: WorkshopContext,
    private readonly lots: LotsService,
  ) {}

  /** The sealer of that key, and its lot in use at a time (ms). @throws ProblemError 422 for a material that is none. */
  async of(materialId: string | undefined, at: number): Promise<Product | undefined> {
    if (materialId === undefined) return undefined;
    const row = await this.rows.of(MaterialEntity).findOneBy({ id: materialId });
    const { sealer, bulk } = (row?.body ?? {}) as Partial<Material>;
    if (!row || !sealer || !bulk)
      throw new ProblemError(422, msg('server.notSealer'), {
        detail: msg('server.noSealerOfKey'),
        errors: [
          {
            field: 'materialId',
            value: materialId,
            message: msg('server.notSealerOfStore'),
            remedy: msg('server.chooseSealer'),
          },
        ],
      });
    const lots = await this.rows.of(LotEntity).findBy({ materialId });
    const plain = lots.map(plainLot);
    const used = lotInUse(materialId, plain);
    const lot = used && lots[plain.indexOf(used)];
    return {
      materialId,
      sealer: sealerOf(row.name, sealer),
      density: bulk,
      ...(lot && { lotId: lot.id }),
      ...(used?.openedAt !== undefined && { openMonths: lotMonths(used, at) }),
    };
  }

  /** Takes what went on out of the product's lots, mL. */
  async use({ materialId, density }: Product, volume: number, at: number): Promise<void> {
    await this.lots.take({ [materialId]: volume * density }, at);
  }
}
