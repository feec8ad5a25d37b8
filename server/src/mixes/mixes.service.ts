import { Injectable } from '@nestjs/common';
import { checkMix, type Material, type Mix } from '@dewpot/core';
import type { MixBody, MixEditionView, MixInput, MixView } from '@dewpot/contract';
import { In } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { MaterialEntity, MixEditionEntity, MixEntity, PourEntity } from '../db/entities.js';
import { Rows } from '../db/rows.js';
import { changedFields, saveEdited } from '../db/save-edited.js';
import { ProblemError } from '../http/problem-error.js';
import { materialView } from '../stores/index.js';

/** Pours that keep a version of a recipe as it is. */
const POURED = In(['started', 'finished']);

@Injectable()
export class MixesService {
  constructor(private readonly rows: Rows) {}

  async all(): Promise<MixView[]> {
    const mixes = await this.rows.of(MixEntity).find({ order: { name: 'ASC' } });
    const poured = await this.rows.of(PourEntity).find({
      where: { status: POURED },
      select: { id: true, mixId: true, mixEdition: true },
    });
    const used = new Set(poured.map(({ mixId, mixEdition }) => `${mixId} ${mixEdition}`));
    return mixes.map((mix) => view(mix, used.has(`${mix.id} ${mix.edition}`)));
  }

  async one(id: string): Promise<MixView> {
    const mix = await this.rows.of(MixEntity).findOneBy({ id });
    if (!mix) throw ProblemError.notFound('mix');
    return view(mix, await this.used(mix));
  }

  /** Every version of a recipe, newest first. */
  async editions(id: string): Promise<MixEditionView[]> {
    await this.one(id);
    const found = await this.rows.of(MixEditionEntity).find({ where: { mixId: id }, order: { edition: 'DESC' } });
    return found.map(({ edition, name, body, madeAt }) => ({ edition, name, body, madeAt: madeAt.getTime() }));
  }

  /** Saves a recipe. One that was poured stays as it was: what is changed then is its next version. */
  async save(id: string, { version, name, ...body }: MixInput): Promise<MixView> {
    checkMix(await this.resolve(body));
    const before = await this.rows.of(MixEntity).findOneBy({ id });
    const poured = before !== null && (await this.used(before));
    const next = poured && changedFields(before.body, body).length > 0;
    const edition = (before?.edition ?? 1) + (next ? 1 : 0);
    const saved = await saveEdited(this.rows, this.rows.of(MixEntity), 'mix', id, version, { name, body, edition });
    await this.keepEdition(saved);
    return view(saved, poured && !next);
  }

  async remove(id: string): Promise<void> {
    await this.rows.of(MixEditionEntity).delete({ mixId: id });
    await this.rows.of(MixEntity).delete({ id });
  }

  /** A recipe with its materials in place of their keys. @throws ProblemError 404 where one is not in store. */
  async resolve({ lines, doses = [], by, grade, exposure, packed, limeCounts }: MixBody): Promise<Mix> {
    const materials = new Map((await this.rows.of(MaterialEntity).find()).map((row) => [row.id, material(row)]));
    const of = (materialId: string): Material => {
      const found = materials.get(materialId);
      if (!found) throw ProblemError.notFound('material');
      return found;
    };
    return {
      lines: lines.map(({ materialId, parts, by: own }) => ({
        material: of(materialId),
        parts,
        ...(own && { by: own }),
      })),
      doses: doses.map(({ materialId, amount }) => ({ material: of(materialId), amount })),
      by,
      grade,
      exposure,
      packed,
      ...(limeCounts && { limeCounts }),
    };
  }

  private used({ id, edition }: MixEntity): Promise<boolean> {
    return this.rows.of(PourEntity).existsBy({ mixId: id, mixEdition: edition, status: POURED });
  }

  private async keepEdition({ id, edition, name, body }: MixEntity): Promise<void> {
    const repository = this.rows.of(MixEditionEntity);
    const known = await repository.findOneBy({ mixId: id, edition });
    if (known) await repository.update({ id: known.id }, { name, body: body as object });
    else await repository.insert({ id: uuid(), workshopId: this.rows.workshopId, mixId: id, edition, name, body });
  }
}

function material(row: MaterialEntity): Material {
  const { version: _, ...own } = materialView(row);
  return own;
}

const view = ({ id, version, name, body, edition }: MixEntity, used: boolean): MixView => ({
  id,
  version,
  name,
  ...body,
  edition,
  used,
});
