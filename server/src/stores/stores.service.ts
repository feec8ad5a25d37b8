import { Injectable } from '@nestjs/common';
import { checkMaterial, InputError, type Material } from '@dewpot/core';
import type {
  LotInput,
  LotView,
  MaterialInput,
  MaterialView,
  ScoopInput,
  ScoopView,
  StoresView,
} from '@dewpot/contract';
import { LotEntity, MaterialEntity, MixEntity, ScoopEntity } from '../db/entities.js';
import { Rows } from '../db/rows.js';
import { saveEdited } from '../db/save-edited.js';
import { ProblemError } from '../http/problem-error.js';
import { plainLot } from './lots.service.js';

export function materialView({ id, version, name, body }: MaterialEntity): MaterialView {
  return { ...(body as Omit<Material, 'id' | 'name'>), id, name, version };
}

const lotView = (row: LotEntity): LotView => ({ ...plainLot(row), id: row.id, version: row.version });

export function scoopView({ id, version, name, volume, heaped }: ScoopEntity): ScoopView {
  return { id, version, name, volume, ...(heaped !== null && { heaped }) };
}

const refused = (field: string, value: number, message: string, remedy: string) =>
  new InputError([{ field, value, message, remedy }]);

@Injectable()
export class StoresService {
  constructor(private readonly rows: Rows) {}

  async all(): Promise<StoresView> {
    const materials = await this.rows.of(MaterialEntity).find({ order: { createdAt: 'ASC', id: 'ASC' } });
    const lots = await this.rows.of(LotEntity).find({ order: { boughtAt: 'ASC' } });
    const scoops = await this.rows.of(ScoopEntity).find({ order: { volume: 'ASC' } });
    return { materials: materials.map(materialView), lots: lots.map(lotView), scoops: scoops.map(scoopView) };
  }

  async saveMaterial(id: string, { version, name, ...body }: MaterialInput): Promise<MaterialView> {
    checkMaterial({ ...body, name });
    return materialView(
      await saveEdited(this.rows, this.rows.of(MaterialEntity), 'material', id, version, { name, body }),
    );
  }

  async removeMaterial(id: string): Promise<void> {
    const mixes = await this.rows.of(MixEntity).find();
    const using = mixes
      .filter(({ body: { lines, doses = [] } }) => [...lines, ...doses].some(({ materialId }) => materialId === id))
      .map(({ name }) => name);
    if (using.length > 0) {
      throw new ProblemError(409, 'Still in use', {
        detail: `${using.join(', ')} ${using.length > 1 ? 'use' : 'uses'} this material. Take it out of the mix first.`,
      });
    }
    await this.rows.of(LotEntity).delete({ materialId: id });
    await this.rows.of(MaterialEntity).delete({ id });
  }

  async saveLot(id: string, { version, ...given }: LotInput): Promise<LotView> {
    const fields = { ...given, openedAt: given.openedAt ?? null, bags: given.bags ?? 1, lumpy: given.lumpy ?? false };
    if (!(await this.rows.of(MaterialEntity).existsBy({ id: fields.materialId })))
      throw ProblemError.notFound('material');
    if (fields.left > fields.bought)
      throw refused('left', fields.left, 'More is left than was bought.', 'Enter at most what was bought.');
    return lotView(await saveEdited(this.rows, this.rows.of(LotEntity), 'lot', id, version, fields));
  }

  async removeLot(id: string): Promise<void> {
    await this.rows.of(LotEntity).delete({ id });
  }

  async saveScoop(id: string, { version, ...given }: ScoopInput): Promise<ScoopView> {
    const fields = { ...given, heaped: given.heaped ?? null };
    if (fields.heaped !== null && fields.heaped < fields.volume)
      throw refused(
        'heaped',
        fields.heaped,
        'Heaped, it would hold less than struck level.',
        'Measure it again, or leave it out.',
      );
    return scoopView(await saveEdited(this.rows, this.rows.of(ScoopEntity), 'scoop', id, version, fields));
  }

  async removeScoop(id: string): Promise<void> {
    await this.rows.of(ScoopEntity).delete({ id });
  }
}
