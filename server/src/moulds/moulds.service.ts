import { defined } from '@dewpot/core/math';
import { Injectable } from '@nestjs/common';
import { mouldSizes } from '@dewpot/core/moulds';
import {
  checkedShape,
  type MouldInput,
  type MouldOrder,
  type MouldsQuery,
  type MouldView,
  type Page,
} from '@dewpot/contract';
import { In, IsNull } from 'typeorm';
import { MouldCopyEntity, MouldEntity, MouldPictureEntity } from './moulds.entities.js';
import { mouldView } from './moulds.mappers.js';
import { pageOf, withWords, type ListOrder } from '../db/page.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { saveEdited } from '../db/save-edited.js';
import { ProblemError } from '../http/problem-error.js';

const orders: Record<MouldOrder, ListOrder> = {
  name: { by: 'lower(row.name)', type: 'text' },
  volume: { by: 'row.volume', type: 'double precision' },
  height: { by: 'row.height', type: 'double precision' },
  cycles: { by: 'row.cycles', type: 'bigint', down: true },
};

@Injectable()
export class MouldsService {
  constructor(private readonly rows: WorkshopContext) {}

  async all(): Promise<MouldView[]> {
    return this.views(await this.rows.of(MouldEntity).find({ order: { name: 'ASC' } }));
  }

  /** One page of the moulds that are asked for. @throws InputError where the page is none */
  async page({ q, order = 'name', piece, least, most, reach, ...page }: MouldsQuery): Promise<Page<MouldView>> {
    await this.measureOlder();
    const query = this.rows.of(MouldEntity).createQueryBuilder('row');
    withWords(query, q, ['row.name', `row.body ->> 'notes'`]);
    if (piece) query.andWhere(`row.body ->> 'piece' = :piece`, { piece });
    if (least !== undefined) query.andWhere('row.volume >= :least', { least });
    if (most !== undefined) query.andWhere('row.volume <= :most', { most });
    if (reach !== undefined) query.andWhere('row.reach <= :reach', { reach });
    const found = await pageOf(query, orders[order], page);
    return { ...found, rows: await this.views(found.rows) };
  }

  /** Measures moulds that were kept before their sizes were. */
  private async measureOlder(): Promise<void> {
    const older = await this.rows
      .of(MouldEntity)
      .find({ where: { volume: IsNull() }, select: { id: true, body: true } });
    for (const mould of older) await this.keepSizes(mould);
  }

  /** Keeps what a mould is looked for by. It is no edit: the version that people edit stays as it is. */
  private async keepSizes({ id, body }: Pick<MouldEntity, 'id' | 'body'>): Promise<void> {
    const { volume, height, reach } = mouldSizes(body.shape);
    await this.rows.manager.query(`UPDATE "moulds" SET "volume" = $2, "height" = $3, "reach" = $4 WHERE "id" = $1`, [
      id,
      volume,
      height,
      reach,
    ]);
  }

  /** The moulds of these keys, in that order. @throws ProblemError 404 where one is not here. */
  async some(ids: readonly string[]): Promise<MouldView[]> {
    const moulds = await this.views(await this.rows.of(MouldEntity).findBy({ id: In([...ids]) }));
    return ids.map((id) => {
      const mould = moulds.find((one) => one.id === id);
      if (!mould) throw ProblemError.notFound('mould');
      return mould;
    });
  }

  async save(id: string, { version, name, copies, ...given }: MouldInput): Promise<MouldView> {
    const body = { ...given, shape: checkedShape(given.shape) };
    const mould = await saveEdited(this.rows, this.rows.of(MouldEntity), 'mould', id, version, { name, body });
    await this.keepSizes(mould);
    await this.saveCopies(id, copies);
    return defined((await this.views([mould]))[0]);
  }

  /** Removes a mould with its copies, its pictures, and what was put aside for it. */
  async remove(id: string): Promise<void> {
    await this.rows.of(MouldEntity).delete({ id });
  }

  /** Counts one cycle for so many copies of a mould, the least used first, retired ones left out; answers their marks. */
  async use(mouldId: string, times: number, colour: string): Promise<string[]> {
    const repository = this.rows.of(MouldCopyEntity);
    const copies = await repository.find({ where: { mouldId, retired: false }, order: { cycles: 'ASC', mark: 'ASC' } });
    // The count is no edit: the version that people edit stays as it is.
    await this.rows.manager.query(`UPDATE "moulds" SET "cycles" = "cycles" + $1 WHERE "id" = $2`, [times, mouldId]);
    const turns =
      copies.length === 0 ? [] : Array.from({ length: times }, (_, i) => defined(copies[i % copies.length]));
    for (const { id } of turns) {
      await repository.increment({ id }, 'cycles', 1);
      await repository.update({ id }, { lastColour: colour });
    }
    return turns.map(({ mark }) => mark);
  }

  /** Takes back so many cycles of a mould, from the most used copies. */
  async unuse(mouldId: string, times: number): Promise<void> {
    const repository = this.rows.of(MouldCopyEntity);
    const copies = await repository.find({
      where: { mouldId, retired: false },
      order: { cycles: 'DESC', mark: 'DESC' },
    });
    await this.rows.manager.query(`UPDATE "moulds" SET "cycles" = greatest(0, "cycles" - $1) WHERE "id" = $2`, [
      times,
      mouldId,
    ]);
    const turns =
      copies.length === 0 ? [] : Array.from({ length: times }, (_, i) => defined(copies[i % copies.length]));
    for (const { id } of turns) await repository.decrement({ id }, 'cycles', 1);
  }

  private async views(moulds: readonly MouldEntity[]): Promise<MouldView[]> {
    const ids = moulds.map(({ id }) => id);
    const [copies, pictures] = await Promise.all([
      this.rows.of(MouldCopyEntity).findBy({ mouldId: In(ids) }),
      this.rows.of(MouldPictureEntity).find({ where: { mouldId: In(ids) }, order: { id: 'ASC' } }),
    ]);
    return moulds.map((mould) => mouldView(mould, copies, pictures));
  }

  private async saveCopies(mouldId: string, copies: MouldInput['copies']): Promise<void> {
    const repository = this.rows.of(MouldCopyEntity);
    const { workshopId } = this.rows;
    const before = await repository.findBy({ mouldId });
    const gone = before.filter((old) => !copies.some(({ id }) => id === old.id));
    if (gone.length > 0) await repository.delete({ id: In(gone.map(({ id }) => id)) });
    for (const { id, mark, condition = 'good', note = '', retired = false, washedAt = null } of copies) {
      const known = before.some((old) => old.id === id);
      const kept = { mark, condition, note, retired, washedAt };
      if (known) await repository.update({ id, mouldId }, kept);
      else await repository.insert({ id, workshopId, mouldId, ...kept });
    }
  }
}
