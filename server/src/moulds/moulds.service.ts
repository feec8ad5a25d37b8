import { Injectable } from '@nestjs/common';
import { checkMould } from '@dewpot/core';
import type { MouldInput, MouldView } from '@dewpot/contract';
import { In } from 'typeorm';
import { MouldCopyEntity, MouldEntity } from '../db/entities.js';
import { Rows } from '../db/rows.js';
import { saveEdited } from '../db/save-edited.js';
import { ProblemError } from '../http/problem-error.js';

function mouldView({ id, version, name, body }: MouldEntity, copies: readonly MouldCopyEntity[]): MouldView {
  const own = copies
    .filter(({ mouldId }) => mouldId === id)
    .sort((a, b) => a.mark.localeCompare(b.mark, 'en', { numeric: true }));
  return {
    id,
    version,
    name,
    ...body,
    copies: own.map(({ id: copyId, mark, cycles }) => ({ id: copyId, mark, cycles })),
  };
}

@Injectable()
export class MouldsService {
  constructor(private readonly rows: Rows) {}

  async all(): Promise<MouldView[]> {
    const moulds = await this.rows.of(MouldEntity).find({ order: { name: 'ASC' } });
    const copies = await this.rows.of(MouldCopyEntity).find();
    return moulds.map((mould) => mouldView(mould, copies));
  }

  /** The moulds of these keys, in that order. @throws ProblemError 404 where one is not here. */
  async some(ids: readonly string[]): Promise<MouldView[]> {
    const moulds = await this.rows.of(MouldEntity).findBy({ id: In([...ids]) });
    return ids.map((id) => {
      const mould = moulds.find((one) => one.id === id);
      if (!mould) throw ProblemError.notFound('mould');
      return mouldView(mould, []);
    });
  }

  async save(id: string, { version, name, stuff, piece, shape, copies }: MouldInput): Promise<MouldView> {
    checkMould(shape);
    const mould = await saveEdited(this.rows, this.rows.of(MouldEntity), 'mould', id, version, {
      name,
      body: { stuff, piece, shape },
    });
    await this.saveCopies(id, copies);
    return mouldView(mould, await this.rows.of(MouldCopyEntity).findBy({ mouldId: id }));
  }

  async remove(id: string): Promise<void> {
    await this.rows.of(MouldCopyEntity).delete({ mouldId: id });
    await this.rows.of(MouldEntity).delete({ id });
  }

  /** Counts one cycle for so many copies of a mould, the least used first; answers their marks. */
  async use(mouldId: string, times: number): Promise<string[]> {
    const repository = this.rows.of(MouldCopyEntity);
    const copies = await repository.find({ where: { mouldId }, order: { cycles: 'ASC', mark: 'ASC' } });
    const turns = copies.length === 0 ? [] : Array.from({ length: times }, (_, i) => copies[i % copies.length]!);
    for (const { id } of turns) await repository.increment({ id }, 'cycles', 1);
    return turns.map(({ mark }) => mark);
  }

  private async saveCopies(mouldId: string, copies: MouldInput['copies']): Promise<void> {
    const repository = this.rows.of(MouldCopyEntity);
    const { workshopId } = this.rows;
    const before = await repository.findBy({ mouldId });
    const gone = before.filter((old) => !copies.some(({ id }) => id === old.id));
    if (gone.length > 0) await repository.delete({ id: In(gone.map(({ id }) => id)) });
    for (const { id, mark } of copies) {
      const known = before.some((old) => old.id === id);
      if (known) await repository.update({ id, mouldId }, { mark });
      else await repository.insert({ id, workshopId, mouldId, mark });
    }
  }
}
