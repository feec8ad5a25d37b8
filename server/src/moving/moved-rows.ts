import { pipeline } from 'node:stream/promises';
import type pg from 'pg';
import { from as copyFrom, to as copyTo } from 'pg-copy-streams';

/** Rows that go from one database into the same table of another. */
export interface MovedRows {
  /** As SQL has it, with its schema. */
  readonly table: string;
  /** As SQL has them. */
  readonly columns: readonly string[];
  /** Which rows. */
  readonly where: string;
}

/** Tables with all their columns but those that are calculated; those that others refer to stand first. */
const TABLES = `
  WITH RECURSIVE picked AS (
    SELECT c.oid FROM pg_class c JOIN pg_namespace n ON n.oid = c.relnamespace
    WHERE c.relkind IN ('r', 'p') AND NOT c.relispartition AND (n.nspname || '.' || c.relname = ANY ($1) OR
      n.nspname = 'public' AND EXISTS (SELECT 1 FROM pg_attribute a WHERE a.attrelid = c.oid AND a.attname = 'workshop_id'))),
  refers AS (SELECT conrelid, confrelid FROM pg_constraint WHERE contype = 'f' AND conrelid <> confrelid),
  ranks AS (
    SELECT oid, 0 AS rank FROM picked
    UNION SELECT conrelid, rank + 1 FROM ranks JOIN refers ON confrelid = ranks.oid WHERE rank < 20)
  SELECT n.nspname || '.' || quote_ident(c.relname) AS table,
    (SELECT array_agg(quote_ident(attname) ORDER BY attnum)::text[] FROM pg_attribute
     WHERE attrelid = c.oid AND attnum > 0 AND NOT attisdropped AND attgenerated = '') AS columns
  FROM picked JOIN pg_class c USING (oid) JOIN pg_namespace n ON n.oid = c.relnamespace
  ORDER BY (SELECT max(rank) FROM ranks WHERE ranks.oid = c.oid), 1`;

/** Tables that hold something of a workshop by something else than its key, and what of it; nothing of some accounts. */
const otherwise = (workshop: string, without: string): Readonly<Record<string, string>> => {
  const accounts = `IN (SELECT account_id FROM people WHERE workshop_id = ${workshop} AND account_id <> ALL (${without}::uuid[]))`;
  return {
    'door.accounts': `id ${accounts}`,
    'door.passkeys': `account_id ${accounts}`,
    'door.recovery_codes': `account_id ${accounts}`,
    'public.workshops': `id = ${workshop}`,
    'jobs.job': `data ->> 'workshopId' = ${workshop} AND state < 'completed'`,
  };
};

/** All that is of a workshop: its rows, the accounts of its people but those of some keys, and the work that waits. Rows that others refer to stand first. */
export async function rowsOf(
  client: pg.Client,
  workshopId: string,
  without: readonly string[] = [],
): Promise<MovedRows[]> {
  const workshop = client.escapeLiteral(workshopId);
  const special = otherwise(workshop, client.escapeLiteral(`{${without.join()}}`));
  const { rows } = await client.query<{ table: string; columns: string[] }>(TABLES, [Object.keys(special)]);
  return rows.map((one) => ({ ...one, where: special[one.table] ?? `workshop_id = ${workshop}` }));
}

/** How many there are. */
export async function countOf(client: pg.Client, { table, where }: MovedRows): Promise<number> {
  const { rows } = await client.query<{ count: number }>(
    `SELECT count(*)::integer AS count FROM ${table} WHERE ${where}`,
  );
  return rows[0]?.count ?? 0;
}

/** Copies rows; answers how many. @throws Error where fewer arrived than went */
export async function copyRows(from: pg.Client, to: pg.Client, { table, columns, where }: MovedRows): Promise<number> {
  const out = from.query(copyTo(`COPY (SELECT ${columns.join()} FROM ${table} WHERE ${where}) TO STDOUT`));
  const into = to.query(copyFrom(`COPY ${table} (${columns.join()}) FROM STDIN`));
  await pipeline(out, into);
  if (out.rowCount !== into.rowCount)
    throw new Error(`Of ${table} ${out.rowCount} rows went and ${into.rowCount} arrived.`);
  return into.rowCount;
}
