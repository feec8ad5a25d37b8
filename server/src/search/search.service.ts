import { Injectable } from '@nestjs/common';
import type { SearchHit, SearchKind } from '@dewpot/contract';
import { anywhere } from '../db/page.js';
import { WorkshopContext } from '../db/workshop-context.js';

/** So many of a kind are answered. */
const MOST_OF_A_KIND = 6;

/** Tables whose rows go by a name of their own. */
const named: readonly (readonly [SearchKind, string])[] = [
  ['mould', 'moulds'],
  ['pattern', 'patterns'],
  ['mix', 'mixes'],
  ['tint', 'tints'],
  ['material', 'materials'],
  ['place', 'places'],
];

/** Those that begin with the words come first: $1 finds them anywhere, $2 at the beginning. */
const parts = [
  ...named.map(
    ([kind, table]) =>
      `(SELECT '${kind}' AS kind, id, name, NULL AS mould FROM ${table} WHERE name ILIKE $1
        ORDER BY name NOT ILIKE $2, name LIMIT ${MOST_OF_A_KIND})`,
  ),
  `(SELECT 'cast' AS kind, id, code AS name, snapshot ->> 'mouldName' AS mould FROM casts
    WHERE code ILIKE $1 OR snapshot ->> 'mouldName' ILIKE $1
    ORDER BY code NOT ILIKE $2, id DESC LIMIT ${MOST_OF_A_KIND})`,
  `(SELECT 'pour' AS kind, id, number::text AS name, NULL AS mould FROM pours WHERE number::text ILIKE $2
    ORDER BY number DESC LIMIT ${MOST_OF_A_KIND})`,
];
const statement = parts.join(' UNION ALL ');

/** Finds things of the workshop by their names. */
@Injectable()
export class SearchService {
  constructor(private readonly rows: WorkshopContext) {}

  /** What has these words in its name: a few of each kind, those that begin with them first. */
  async find(words: string): Promise<SearchHit[]> {
    const pattern = anywhere(words.trim());
    const found = await this.rows.manager.query<{ kind: SearchKind; id: string; name: string; mould: string | null }[]>(
      statement,
      [pattern, pattern.slice(1)],
    );
    return found.map(({ mould, ...hit }) => ({ ...hit, ...(mould !== null && { mould }) }));
  }
}
