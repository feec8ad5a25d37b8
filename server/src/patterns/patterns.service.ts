import { Injectable } from '@nestjs/common';
import { within } from '@dewpot/core/units';
import { checkPattern } from '@dewpot/core/patterns';
import type { Page, PatternRevisionView, PatternSheetInput, PatternsQuery, PatternView } from '@dewpot/contract';
import { pageOf, withWords } from '../db/page.js';
import { keepRevision, recipeOrders, revisionsOf } from '../db/revisions.js';
import { changedFields, saveEdited } from '../db/save-edited.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { ProblemError } from '../http/problem-error.js';
import { PatternEntity, PatternRevisionEntity } from './patterns.entities.js';

const patternView = ({ id, version, name, body, revision, updatedAt }: PatternEntity): PatternView => ({
  id,
  version,
  name,
  ...body,
  revision,
  changedAt: updatedAt.getTime(),
});

@Injectable()
export class PatternsService {
  constructor(private readonly rows: WorkshopContext) {}

  /** One page of the patterns that are asked for. @throws InputError where the page is none */
  async page({ q, order = 'name', kind, ...page }: PatternsQuery): Promise<Page<PatternView>> {
    const query = this.rows.of(PatternEntity).createQueryBuilder('row');
    withWords(query, q, ['row.name', `row.body ->> 'notes'`]);
    if (kind) query.andWhere(`row.body #>> '{pattern,kind}' = :kind`, { kind });
    const found = await pageOf(query, recipeOrders[order], page);
    return { ...found, rows: found.rows.map(patternView) };
  }

  /** @throws ProblemError 404 */
  async one(id: string): Promise<PatternView> {
    const row = await this.rows.of(PatternEntity).findOneBy({ id });
    if (!row) throw ProblemError.notFound('pattern');
    return patternView(row);
  }

  /** Every revision of a pattern, newest first. @throws ProblemError 404 */
  async revisions(id: string): Promise<PatternRevisionView[]> {
    if (!(await this.rows.of(PatternEntity).existsBy({ id }))) throw ProblemError.notFound('pattern');
    const found = await revisionsOf(this.rows, PatternRevisionEntity, id);
    return found.map(({ body, ...one }) => ({ ...one, ...body }));
  }

  /** Saves a pattern. One that was cut stays as it was: what is changed of its sizes then is its next revision, not cut yet. */
  async save(id: string, { version, name, ...given }: PatternSheetInput): Promise<PatternView> {
    within('pattern', () => checkPattern(given.pattern));
    const before = await this.rows.of(PatternEntity).findOneBy({ id });
    const next = before?.body.cut === true && changedFields(before.body.pattern, given.pattern).length > 0;
    const body = { ...given, cut: given.cut && !next };
    const revision = (before?.revision ?? 1) + (next ? 1 : 0);
    const fields = { name: name.trim(), body, revision };
    const saved = await saveEdited(this.rows, this.rows.of(PatternEntity), 'pattern', id, version, fields);
    await keepRevision(this.rows, PatternRevisionEntity, saved);
    return patternView(saved);
  }

  /** Removes a pattern with its revisions; moulds that were made of it stay. */
  async remove(id: string): Promise<void> {
    await this.rows.of(PatternEntity).delete({ id });
  }
}
