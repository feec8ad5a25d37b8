import { Injectable } from '@nestjs/common';
import { checkMix, mixOf, type Mix } from '@dewpot/core/mixes';
import type { MixBody, MixRevisionView, MixInput, MixView, Page, RecipesQuery } from '@dewpot/contract';
import { pageOf, withWords } from '../db/page.js';
import { keepRevision, recipeOrders, revisionsOf, versionKey, versionsFound } from '../db/revisions.js';
import { mixView } from './mixes.mappers.js';
import { MixRevisionEntity, MixEntity } from './mixes.entities.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { changedFields, saveEdited } from '../db/save-edited.js';
import { ProblemError } from '../http/problem-error.js';
import { strictFinder } from '../materials/index.js';

/** Names a mix and its version where a pour keeps a copy of it. */
const POURED = `SELECT DISTINCT part ->> 'mixId' AS id, (part ->> 'mixRevision')::int AS revision
  FROM pours, jsonb_array_elements(parts) AS part WHERE status IN ('started', 'finished')`;

const CONTAINS = `(row.body -> 'lines' @> :has::jsonb OR row.body -> 'doses' @> :has::jsonb)`;

@Injectable()
export class MixesService {
  constructor(private readonly rows: WorkshopContext) {}

  async all(): Promise<MixView[]> {
    const [mixes, used] = await Promise.all([this.rows.of(MixEntity).find({ order: { name: 'ASC' } }), this.poured()]);
    return mixes.map((mix) => mixView(mix, used.has(versionKey(mix))));
  }

  /** One page of the mixes that are asked for. @throws InputError where the page is none */
  async page({ q, order = 'name', material, ...page }: RecipesQuery): Promise<Page<MixView>> {
    const query = this.rows.of(MixEntity).createQueryBuilder('row');
    withWords(query, q, ['row.name']);
    if (material) query.andWhere(CONTAINS, { has: JSON.stringify([{ materialId: material }]) });
    const [found, used] = await Promise.all([pageOf(query, recipeOrders[order], page), this.poured()]);
    return { ...found, rows: found.rows.map((mix) => mixView(mix, used.has(versionKey(mix)))) };
  }

  async one(id: string): Promise<MixView> {
    const mix = await this.rows.of(MixEntity).findOneBy({ id });
    if (!mix) throw ProblemError.notFound('mix');
    return mixView(mix, await this.used(mix));
  }

  /** Every version of a recipe, newest first. */
  async revisions(id: string): Promise<MixRevisionView[]> {
    await this.one(id);
    return revisionsOf(this.rows, MixRevisionEntity, id);
  }

  /** Saves a recipe. One that was poured stays as it was: what is changed then is its next version. */
  async save(id: string, { version, name, ...body }: MixInput): Promise<MixView> {
    await this.rows.holdWorkshop();
    checkMix(await this.resolve(body));
    const before = await this.rows.of(MixEntity).findOneBy({ id });
    const poured = before !== null && (await this.used(before));
    const next = poured && changedFields(before.body, body).length > 0;
    const revision = (before?.revision ?? 1) + (next ? 1 : 0);
    const saved = await saveEdited(this.rows, this.rows.of(MixEntity), 'mix', id, version, { name, body, revision });
    await keepRevision(this.rows, MixRevisionEntity, saved);
    return mixView(saved, poured && !next);
  }

  /** Removes a mix with its versions, its trial tiles, and what was put aside for it. */
  async remove(id: string): Promise<void> {
    await this.rows.of(MixEntity).delete({ id });
  }

  /** A recipe with its materials in place of their keys. @throws ProblemError 404 where one is not in store. */
  async resolve(body: MixBody): Promise<Mix> {
    return mixOf(body, await strictFinder(this.rows));
  }

  private async used(mix: MixEntity): Promise<boolean> {
    return (await this.poured()).has(versionKey(mix));
  }

  private poured(): Promise<ReadonlySet<string>> {
    return versionsFound(this.rows, POURED);
  }
}
