import { InputError, msg } from '@dewpot/core/units';
import type { Page, PageQuery } from '@dewpot/contract';
import type { ObjectLiteral, SelectQueryBuilder } from 'typeorm';
import type { WorkshopRow } from './row.js';

/** So many rows are on a page where nobody says how many. */
const PAGE = 50;
/** So many words are looked for; those after them are not. */
const MOST_WORDS = 8;

/** What a list is in the order of: an expression on its rows, called `row`, that is never null. Rows that are alike go by their keys. */
export interface ListOrder {
  readonly by: string;
  readonly type: 'text' | 'bigint' | 'double precision';
  readonly down?: boolean;
}

/** Words as a pattern of LIKE that finds them anywhere. */
export const anywhere = (words: string): string => `%${words.replace(/[\\%_]/g, '\\$&')}%`;

/** Keeps the rows that have each of these words in one of their columns. */
export function withWords<E extends ObjectLiteral>(
  query: SelectQueryBuilder<E>,
  words: string | undefined,
  columns: readonly string[],
): SelectQueryBuilder<E> {
  const asked = (words ?? '').split(/\s+/).filter(Boolean).slice(0, MOST_WORDS);
  for (const [i, word] of asked.entries())
    query.andWhere(`(${columns.map((column) => `${column} ILIKE :word${i}`).join(' OR ')})`, {
      [`word${i}`]: anywhere(word),
    });
  return query;
}

type Cursor = readonly [at: string, id: string];

const written = (cursor: Cursor) => Buffer.from(JSON.stringify(cursor)).toString('base64url');

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;
const isAt: Record<ListOrder['type'], RegExp> = {
  text: /^[^\0]*$/,
  bigint: /^-?\d{1,18}$/,
  'double precision': /^-?\d+(\.\d+)?(e[-+]?\d{1,2})?$/i,
};

/** Where a page begins, as a page before it told it. @throws InputError */
function cursorOf(field: 'after' | 'before', value: string, type: ListOrder['type']): Cursor {
  try {
    const [at, id] = JSON.parse(Buffer.from(value, 'base64url').toString()) as unknown[];
    if (typeof at === 'string' && isAt[type].test(at) && typeof id === 'string' && UUID.test(id)) return [at, id];
  } catch (error) {
    if (!(error instanceof SyntaxError) && !(error instanceof TypeError)) throw error;
  }
  throw new InputError([{ field, value, message: msg('server.noSuchPage'), remedy: msg('server.firstPage') }]);
}

/**
 * One page of what a query finds, and how many rows it finds. Pages go by the place of their first or last row in the order, so that a row that
 * comes in between moves none of those that are still to be read.
 * @throws InputError where `after` or `before` is none that a page told.
 */
export async function pageOf<E extends WorkshopRow>(
  query: SelectQueryBuilder<E>,
  { by, type, down = false }: ListOrder,
  { after, before, size = PAGE }: PageQuery,
): Promise<Page<E>> {
  const all = query.clone();
  const backwards = before !== undefined && after === undefined;
  const field = backwards ? 'before' : 'after';
  const from = after ?? before;
  const falls = down !== backwards;
  if (from !== undefined) {
    const [at, id] = cursorOf(field, from, type);
    query.andWhere(`(${by}, row.id) ${falls ? '<' : '>'} (:at::${type}, :id::uuid)`, { at, id });
  }
  const way = falls ? 'DESC' : 'ASC';
  query
    .addSelect(`(${by})::text`, 'at')
    .orderBy(by, way)
    .addOrderBy('row.id', way)
    .limit(size + 1);
  const [count, { entities, raw }] = await Promise.all([all.getCount(), query.getRawAndEntities<{ at: string }>()]);
  const found = entities.slice(0, size).map((row, i): [E, string] => [row, written([raw[i]?.at ?? '', row.id])]);
  if (backwards) found.reverse();
  const more = entities.length > size;
  return {
    rows: found.map(([row]) => row),
    count,
    before: (backwards ? more : from !== undefined) ? (found[0]?.[1] ?? null) : null,
    after: backwards || more ? (found[found.length - 1]?.[1] ?? null) : null,
  };
}
