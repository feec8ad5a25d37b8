import { Injectable } from '@nestjs/common';
import { InputError, msg, listed, type Message } from '@dewpot/core/units';
import { checkMaterial, type Material } from '@dewpot/core/materials';
import type {
  LotInput,
  LotView,
  MaterialInput,
  MaterialOrder,
  MaterialsQuery,
  MaterialView,
  Page,
  ScoopInput,
  ScoopView,
  StockInput,
  StockView,
  StoreView,
} from '@dewpot/contract';
import { LotEntity, MaterialEntity, ScoopEntity, StockEntity } from './materials.entities.js';
import { MixEntity } from '../mixes/mixes.entities.js';
import { SwatchEntity, TintEntity } from '../tints/tints.entities.js';
import { pageOf, withWords, type ListOrder } from '../db/page.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { saveEdited } from '../db/save-edited.js';
import { ProblemError } from '../http/problem-error.js';
import { lotView, materialView, plainMaterial, scoopView, stockView } from './materials.mappers.js';

/** Finds materials of the workshop by their keys. @throws ProblemError 404 for one that is not in store. */
export async function strictFinder(rows: WorkshopContext): Promise<(id: string) => Material> {
  const materials = new Map((await rows.of(MaterialEntity).find()).map((row) => [row.id, plainMaterial(row)]));
  return (id) => {
    const found = materials.get(id);
    if (!found) throw ProblemError.notFound('material');
    return found;
  };
}

const refused = (field: string, value: number, message: Message, remedy: Message) =>
  new InputError([{ field, value, message, remedy }]);

const orders: Record<MaterialOrder, ListOrder> = {
  name: { by: 'lower(row.name)', type: 'text' },
  kind: { by: `row.body ->> 'kind'`, type: 'text' },
};

@Injectable()
export class MaterialsService {
  constructor(private readonly rows: WorkshopContext) {}

  async all(): Promise<StoreView> {
    const [materials, lots, scoops, stock] = await Promise.all([
      this.rows.of(MaterialEntity).find({ order: { createdAt: 'ASC', id: 'ASC' } }),
      this.rows.of(LotEntity).find({ order: { boughtAt: 'ASC', id: 'ASC' } }),
      this.rows.of(ScoopEntity).find({ order: { volume: 'ASC' } }),
      this.rows.of(StockEntity).find({ order: { createdAt: 'ASC', id: 'ASC' } }),
    ]);
    return {
      materials: materials.map(materialView),
      lots: lots.map(lotView),
      scoops: scoops.map(scoopView),
      stock: stock.map(stockView),
    };
  }

  /** One page of the materials that are asked for. @throws InputError where the page is none */
  async page({ q, order = 'name', kind, ...page }: MaterialsQuery): Promise<Page<MaterialView>> {
    const query = this.rows.of(MaterialEntity).createQueryBuilder('row');
    withWords(query, q, ['row.name']);
    if (kind) query.andWhere(`row.body ->> 'kind' = :kind`, { kind });
    const found = await pageOf(query, orders[order], page);
    return { ...found, rows: found.rows.map(materialView) };
  }

  async saveMaterial(id: string, { version, name, ...body }: MaterialInput): Promise<MaterialView> {
    checkMaterial({ ...body, name });
    return materialView(
      await saveEdited(this.rows, this.rows.of(MaterialEntity), 'material', id, version, { name, body }),
    );
  }

  /** Removes a material that nothing uses; whoever is about to use it comes before or after. @throws ProblemError 409 */
  async removeMaterial(id: string): Promise<void> {
    await this.rows.lockWorkshop();
    const using = await this.usersOf(id);
    if (using.length > 0) {
      throw new ProblemError(409, msg('server.stillInUse'), {
        detail: msg('server.usedBy', { using: listed(using), count: using.length }),
      });
    }
    await this.rows.of(MaterialEntity).delete({ id });
  }

  /** Names of the mixes, tints and chips that a material is in. */
  private async usersOf(id: string): Promise<string[]> {
    const mixes = await this.rows.of(MixEntity).find();
    const coloured = [...(await this.rows.of(TintEntity).find()), ...(await this.rows.of(SwatchEntity).find())];
    const uses = ({ materialId }: { materialId: string }) => materialId === id;
    return [
      ...mixes.filter(({ body: { lines, doses = [] } }) => [...lines, ...doses].some(uses)),
      ...coloured.filter(({ body: { base, doses } }) => base.binderId === id || base.sandId === id || doses.some(uses)),
    ].map(({ name }) => name);
  }

  async saveLot(id: string, { version, ...given }: LotInput): Promise<LotView> {
    await this.rows.holdWorkshop();
    const fields = { ...given, openedAt: given.openedAt ?? null, bags: given.bags ?? 1, lumpy: given.lumpy ?? false };
    if (!(await this.rows.of(MaterialEntity).existsBy({ id: fields.materialId })))
      throw ProblemError.notFound('material');
    if (fields.left > fields.bought)
      throw refused('left', fields.left, msg('server.moreLeft'), msg('server.atMostBought'));
    return lotView(await saveEdited(this.rows, this.rows.of(LotEntity), 'lot', id, version, fields));
  }

  async removeLot(id: string): Promise<void> {
    await this.rows.of(LotEntity).delete({ id });
  }

  async saveScoop(id: string, { version, ...given }: ScoopInput): Promise<ScoopView> {
    const fields = { ...given, heaped: given.heaped ?? null };
    if (fields.heaped !== null && fields.heaped < fields.volume)
      throw refused('heaped', fields.heaped, msg('server.heapedLess'), msg('server.measureAgain'));
    return scoopView(await saveEdited(this.rows, this.rows.of(ScoopEntity), 'scoop', id, version, fields));
  }

  async removeScoop(id: string): Promise<void> {
    await this.rows.of(ScoopEntity).delete({ id });
  }

  async saveStock(id: string, { version, name, ...body }: StockInput): Promise<StockView> {
    return stockView(await saveEdited(this.rows, this.rows.of(StockEntity), 'stock', id, version, { name, body }));
  }

  async removeStock(id: string): Promise<void> {
    await this.rows.of(StockEntity).delete({ id });
  }
}
