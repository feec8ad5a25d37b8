import { Injectable } from '@nestjs/common';
import { defined } from '@dewpot/core/math';
import { HOUR, InputError, MINUTE, requireNumber, msg } from '@dewpot/core/units';
import { checkTint, tintOf } from '@dewpot/core/tints';
import type {
  ChipReading,
  ColourReadingInput,
  Page,
  RecipesQuery,
  SwatchInput,
  SwatchView,
  TintBody,
  TintRevisionView,
  TintInput,
  TintsView,
  TintView,
} from '@dewpot/contract';
import { pageOf, withWords } from '../db/page.js';
import { keepRevision, recipeOrders, revisionsOf, versionKey, versionsFound } from '../db/revisions.js';
import { SwatchEntity, TintRevisionEntity, TintEntity } from './tints.entities.js';
import { swatchView, tintView } from './tints.mappers.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { ForgottenLessons } from '../lessons/index.js';
import { changedFields, saveEdited } from '../db/save-edited.js';
import { readChip } from '../devices/index.js';
import { ProblemError } from '../http/problem-error.js';
import { strictFinder } from '../materials/index.js';

/** Names a tint and its version where a pour keeps a copy of it. */
const POURED = `SELECT DISTINCT t ->> 'id' AS id, (t ->> 'revision')::int AS revision FROM pours,
  jsonb_path_query(parts, '$[*].plan.items[*].colouring.parts[*].tint') AS t WHERE status IN ('started', 'finished')`;

const CONTAINS = `(row.body -> 'doses' @> :has::jsonb OR :material IN (row.body #>> '{base,binderId}', row.body #>> '{base,sandId}'))`;

@Injectable()
export class TintsService {
  constructor(
    private readonly rows: WorkshopContext,
    private readonly forgotten: ForgottenLessons,
  ) {}

  async all(): Promise<TintsView> {
    const [tints, swatches, used, forgotten] = await Promise.all([
      this.rows.of(TintEntity).find({ order: { name: 'ASC' } }),
      this.rows.of(SwatchEntity).find({ order: { createdAt: 'ASC', id: 'ASC' } }),
      this.poured(),
      this.forgotten.all(),
    ]);
    return {
      tints: tints.map((tint) => tintView(tint, used)),
      swatches: swatches.map((swatch) => swatchView(swatch, forgotten)),
    };
  }

  /** One page of the tints that are asked for. @throws InputError where the page is none */
  async page({ q, order = 'name', material, ...page }: RecipesQuery): Promise<Page<TintView>> {
    const query = this.rows.of(TintEntity).createQueryBuilder('row');
    withWords(query, q, ['row.name', `row.body ->> 'note'`]);
    if (material) query.andWhere(CONTAINS, { has: JSON.stringify([{ materialId: material }]), material });
    const found = await pageOf(query, recipeOrders[order], page);
    const used = await this.poured();
    return { ...found, rows: found.rows.map((tint) => tintView(tint, used)) };
  }

  /** Every version of a tint, newest first. @throws ProblemError 404 */
  async revisions(id: string): Promise<TintRevisionView[]> {
    if (!(await this.rows.of(TintEntity).existsBy({ id }))) throw ProblemError.notFound('tint');
    return revisionsOf(this.rows, TintRevisionEntity, id);
  }

  /** Saves a tint. One that was poured stays as it was: what is changed then is its next version. */
  async save(id: string, { version, name, ...body }: TintInput): Promise<TintView> {
    await this.check(body);
    const before = await this.rows.of(TintEntity).findOneBy({ id });
    const used = await this.poured();
    const next = before !== null && used.has(versionKey(before)) && changedFields(before.body, body).length > 0;
    const revision = (before?.revision ?? 1) + (next ? 1 : 0);
    const saved = await saveEdited(this.rows, this.rows.of(TintEntity), 'tint', id, version, { name, body, revision });
    await keepRevision(this.rows, TintRevisionEntity, saved);
    return tintView(saved, used);
  }

  /** Removes a tint with its versions. */
  async remove(id: string): Promise<void> {
    await this.rows.of(TintEntity).delete({ id });
  }

  /** Saves a chip: planned, cast, or measured. */
  async saveSwatch(id: string, { version, name, ...body }: SwatchInput, now: number): Promise<SwatchView> {
    await this.check(body);
    const { castAt, measured } = body;
    if (castAt !== undefined) requireNumber('castAt', castAt, msg('server.whenCast'), { min: 0, max: now + HOUR });
    if (measured && castAt === undefined)
      throw new InputError([
        {
          field: 'measured',
          value: measured.colour,
          message: msg('server.plannedChip'),
          remedy: msg('server.sayWhenCast'),
        },
      ]);
    const saved = await saveEdited(this.rows, this.rows.of(SwatchEntity), 'chip', id, version, { name, body });
    return swatchView(saved, await this.forgotten.all());
  }

  async removeSwatch(id: string): Promise<void> {
    await this.rows.of(SwatchEntity).delete({ id });
  }

  /** Lays the simulated reader on a chip. Nothing is kept. @throws ProblemError 404; InputError for one that was not cast */
  async readSwatch(id: string, now: number): Promise<ChipReading> {
    const row = await this.rows.of(SwatchEntity).findOneBy({ id });
    if (!row) throw ProblemError.notFound('chip');
    const { castAt } = row.body;
    if (castAt === undefined) throw notCast();
    return readChip({ ...defined(tintOf(row.body, await strictFinder(this.rows))), id, castAt }, now);
  }

  /** Keeps what a real reader read of a chip. @throws ProblemError 404; InputError where it was not cast, or lies ahead */
  async keepReading(id: string, { colour, at }: ColourReadingInput, now: number): Promise<void> {
    const swatches = this.rows.of(SwatchEntity);
    const row = await swatches.findOne({ where: { id }, lock: { mode: 'for_no_key_update' } });
    if (!row) throw ProblemError.notFound('chip');
    if (row.body.castAt === undefined) throw notCast();
    const when = at ?? now;
    requireNumber('at', when, msg('server.whenRead'), { min: 0, max: now + MINUTE });
    await swatches.save({ ...row, body: { ...row.body, measured: { colour, by: 'reader', at: when } } });
  }

  private async check(body: TintBody): Promise<void> {
    // Whoever removes a material comes before or after.
    await this.rows.holdWorkshop();
    checkTint(defined(tintOf(body, await strictFinder(this.rows))));
  }

  private poured(): Promise<ReadonlySet<string>> {
    return versionsFound(this.rows, POURED);
  }
}

const notCast = () =>
  new InputError([
    { field: 'castAt', value: null, message: msg('server.chipNotCast'), remedy: msg('server.sayWhenCast') },
  ]);
