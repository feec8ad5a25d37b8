import { msg, type Message } from '@dewpot/core/units';
import { isDeepStrictEqual } from 'node:util';
import type { ObjectLiteral, Repository } from 'typeorm';
import { rowWith, valuesOf } from './any-table.js';
import { ProblemError, type Thing } from '../http/problem-error.js';
import type { EditedRow } from './row.js';
import type { WorkshopContext } from './workshop-context.js';

/** A value as PostgreSQL gives it back: no classes, no undefined; the order of keys is no difference. */
const plain = (value: unknown): unknown => (value === undefined ? undefined : JSON.parse(JSON.stringify(value)));

/** Names of the fields in which two plain values differ, one level into objects. */
export function changedFields(before: ObjectLiteral, after: ObjectLiteral, path = ''): string[] {
  const names = new Set([...Object.keys(before), ...Object.keys(after)]);
  return [...names].flatMap((name) => {
    const [a, b] = [before[name], after[name]];
    if (isDeepStrictEqual(plain(a), plain(b))) return [];
    const deeper = !path && a && b && typeof a === 'object' && !Array.isArray(a);
    return deeper ? changedFields(a as ObjectLiteral, b as ObjectLiteral, `${name}.`) : [`${path}${name}`];
  });
}

/** What stands at a field's path, as it is shown. */
export function told(of: object, path: string): Message {
  const value = path.split('.').reduce<unknown>((at, step) => (at as ObjectLiteral | undefined)?.[step], of);
  if (value === undefined) return msg('server.notSaid');
  return msg('units.plain', {
    value: typeof value === 'object' ? JSON.stringify(value) : String(value as string | number),
  });
}

/** What a row has in the fields of an edit. */
const those = (row: EditedRow, fields: object) =>
  Object.fromEntries(Object.keys(fields).map((key) => [key, row[key as keyof EditedRow]]));

const differs = (row: EditedRow, fields: object) => changedFields(those(row, fields), fields).length > 0;

function stale(row: EditedRow, fields: object, what: Thing): ProblemError {
  const changed = changedFields(those(row, fields), fields);
  return new ProblemError(409, msg('server.changedMeanwhile'), {
    detail: msg('server.savedElsewhere', { what }),
    errors: changed.map((field) => ({
      field,
      value: null,
      message: msg('server.differsNow'),
      remedy: msg('server.keepOrTake'),
    })),
    current: row,
  });
}

/**
 * Saves an edit made on `version` (0 for a new row). The same new row sent twice is one row.
 * @throws ProblemError 409 with what changed where the version is stale; 404 where there is nothing to edit.
 */
export async function saveEdited<E extends EditedRow>(
  rows: WorkshopContext,
  repository: Repository<E>,
  what: Thing,
  id: string,
  version: number,
  fields: object,
): Promise<E> {
  const key = { id } as Partial<E>;
  const row = await repository.findOne({ where: rowWith<E>(key), lock: { mode: 'for_no_key_update' } });
  if (row) {
    if (row.version !== version) {
      if (!differs(row, fields)) return row;
      throw stale(row, fields, what);
    }
    // The columns are set afresh and the version is counted even where a jsonb column alone changed.
    await repository.update(rowWith<E>(key), valuesOf<E>(fields));
    return repository.findOneByOrFail(rowWith<E>(key));
  }
  if (version !== 0) throw ProblemError.notFound(what);
  await repository
    .createQueryBuilder()
    .insert()
    .values(valuesOf<E>({ id, workshopId: rows.workshopId, ...fields }))
    .orIgnore()
    .execute();
  // Whoever came first with this key has made it: with the same in it, this is the same request.
  const saved = await repository.findOneByOrFail(rowWith<E>(key));
  if (differs(saved, fields)) throw stale(saved, fields, what);
  return saved;
}
