import { Injectable } from '@nestjs/common';
import { checkMix, type Mix } from '@dewpot/core';
import type { MixInput, MixView } from '@dewpot/contract';
import { MaterialEntity, MixEntity } from '../db/entities.js';
import { Rows } from '../db/rows.js';
import { saveEdited } from '../db/save-edited.js';
import { ProblemError } from '../http/problem-error.js';
import { materialView } from '../stores/index.js';

const mixView = ({ id, version, name, body }: MixEntity): MixView => ({ id, version, name, ...body });

@Injectable()
export class MixesService {
  constructor(private readonly rows: Rows) {}

  async all(): Promise<MixView[]> {
    return (await this.rows.of(MixEntity).find({ order: { name: 'ASC' } })).map(mixView);
  }

  async one(id: string): Promise<MixView> {
    const mix = await this.rows.of(MixEntity).findOneBy({ id });
    if (!mix) throw ProblemError.notFound('mix');
    return mixView(mix);
  }

  async save(id: string, { version, name, ...body }: MixInput): Promise<MixView> {
    checkMix(await this.resolve(body));
    return mixView(await saveEdited(this.rows, this.rows.of(MixEntity), 'mix', id, version, { name, body }));
  }

  async remove(id: string): Promise<void> {
    await this.rows.of(MixEntity).delete({ id });
  }

  /** A recipe with its materials in place of their keys. @throws ProblemError 404 where one is not in store. */
  async resolve(mix: Omit<MixView, 'id' | 'version' | 'name'>): Promise<Mix> {
    const materials = await this.rows.of(MaterialEntity).find();
    const lines = mix.lines.map(({ materialId, parts }) => {
      const found = materials.find(({ id }) => id === materialId);
      if (!found) throw ProblemError.notFound('material');
      const { version: _, ...material } = materialView(found);
      return { material, parts };
    });
    return { lines, by: mix.by, grade: mix.grade, exposure: mix.exposure, packed: mix.packed };
  }
}
