import { createHash } from 'node:crypto';
import type { MigrationInterface, QueryRunner } from 'typeorm';
import { APP_ROLE } from './frozen-policies.js';

const sha1 = (text: string) => createHash('sha1').update(text).digest('hex');
/** Names of keys and indexes as TypeORM gives them. */
const named = (prefix: string, length: number) => (table: string, columns: readonly string[]) =>
  `${prefix}_${sha1(`${table}_${[...columns].sort().join('_')}`).slice(0, length)}`;
const primary = named('PK', 27);
const index = named('IDX', 26);
const listed = (columns: readonly string[]) => columns.map((column) => `"${column}"`).join(', ');

const tables = [
  'people',
  'sessions',
  'moulds',
  'mould_copies',
  'mould_pictures',
  'tubs',
  'materials',
  'lots',
  'scoops',
  'mixes',
  'mix_editions',
  'tints',
  'tint_editions',
  'swatches',
  'pours',
  'casts',
  'cast_events',
  'run_events',
  'bench_scales',
  'cast_pictures',
  'places',
  'air_asides',
  'lift_out_lessons',
  'calendar_keys',
  'seal_lessons',
  'trial_tiles',
];

/** Primary keys begin with the workshop, so that no workshop's rows can be in the way of another's; the index on it alone goes. */
const primaryKeys = [
  ...tables.flatMap((table) => [
    `ALTER TABLE "${table}" DROP CONSTRAINT "${primary(table, ['id'])}"`,
    `ALTER TABLE "${table}" ADD CONSTRAINT "${primary(table, ['id', 'workshop_id'])}" PRIMARY KEY ("workshop_id", "id")`,
    `DROP INDEX "${index(table, ['workshop_id'])}"`,
  ]),
  `ALTER TABLE "air_readings" DROP CONSTRAINT "${primary('air_readings', ['place_id', 'at'])}"`,
  `ALTER TABLE "air_readings" ADD CONSTRAINT "${primary('air_readings', ['workshop_id', 'place_id', 'at'])}" PRIMARY KEY ("workshop_id", "place_id", "at")`,
];

/** Unique indexes that are made anew with the workshop before their columns. */
const uniques = (
  [
    ['lift_out_lessons', ['mould_id', 'mix_id']],
    ['mix_editions', ['mix_id', 'edition']],
    ['tint_editions', ['tint_id', 'edition']],
    ['calendar_keys', ['person_id']],
  ] as const
).flatMap(([table, own]) => [
  `DROP INDEX "${index(table, own)}"`,
  `CREATE UNIQUE INDEX "${index(table, ['workshop_id', ...own])}" ON "${table}" (${listed(['workshop_id', ...own])})`,
]);

const columns = [
  `ALTER TABLE "people" ADD "owner" boolean NOT NULL DEFAULT false`,
  // Who founded a workshop owns it: keys are in the order of time.
  `UPDATE "people" p SET "owner" = true WHERE p."id" = (SELECT q."id" FROM "people" q WHERE q."workshop_id" = p."workshop_id" ORDER BY q."id" LIMIT 1)`,
  `ALTER TABLE "sessions" ADD "kind" text NOT NULL DEFAULT 'browser'`,
  `ALTER TABLE "sessions" ADD "label" text NOT NULL DEFAULT ''`,
  `ALTER TABLE "sessions" ADD "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now()`,
  `ALTER TABLE "sessions" ADD "renewed_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now()`,
  `ALTER TABLE "sessions" ADD "previous_hash" bytea`,
  `CREATE INDEX "${index('sessions', ['previous_hash'])}" ON "sessions" ("previous_hash")`,
];

/** Tables that the application cannot see: it asks them through functions of the owner. */
const door = [
  `CREATE SCHEMA door`,
  `CREATE TABLE door.tries (
     key text PRIMARY KEY, count int NOT NULL, last_at timestamptz NOT NULL, free_at timestamptz NOT NULL)`,
  `CREATE TABLE door.pulse (one boolean PRIMARY KEY DEFAULT true CHECK (one), at timestamptz NOT NULL)`,
  `INSERT INTO door.pulse (at) VALUES (now())`,
];

const functions = [
  // Counts a try before it is judged, so that many at once are many; answers how long to wait, s, where it may not be made.
  `CREATE FUNCTION sign_in_try(keys text[], free int[]) RETURNS int
    LANGUAGE plpgsql SECURITY DEFINER SET search_path = door AS $$
    DECLARE wait int;
    BEGIN
      INSERT INTO tries SELECT k, 0, now(), now() FROM unnest(keys) AS k ORDER BY k ON CONFLICT DO NOTHING;
      PERFORM 1 FROM tries WHERE key = ANY (keys) ORDER BY key FOR UPDATE;
      -- Of two tries at once one waits for the other's row: its own now() is of before that.
      SELECT ceil(max(extract(epoch FROM free_at - clock_timestamp()))) INTO wait FROM tries WHERE key = ANY (keys);
      IF wait > 0 THEN RETURN wait; END IF;
      UPDATE tries SET
        count = after.count, last_at = now(),
        free_at = CASE WHEN after.count < after.free THEN to_timestamp(0)
          ELSE now() + make_interval(secs => least(900, 2 ^ least(20, after.count - after.free))) END
      FROM (SELECT t.key, f.free,
          CASE WHEN t.last_at < now() - interval '1 hour' THEN 1 ELSE t.count + 1 END AS count
        FROM tries t JOIN unnest(keys, free) AS f (key, free) ON f.key = t.key) AS after
      WHERE tries.key = after.key;
      DELETE FROM tries WHERE last_at < now() - interval '1 day';
      RETURN 0;
    END $$`,
  // A try that was right is not counted; what was counted before stays.
  `CREATE FUNCTION sign_in_right(keys text[]) RETURNS void
    LANGUAGE sql SECURITY DEFINER SET search_path = door AS
    $$ UPDATE tries SET count = greatest(0, count - 1) WHERE key = ANY (keys) $$`,
  `CREATE FUNCTION pulse() RETURNS void LANGUAGE sql SECURITY DEFINER SET search_path = door AS
    $$ UPDATE pulse SET at = now() $$`,
  `DROP FUNCTION session_lookup(bytea)`,
  // The token before the last one holds for a minute: requests that were under way when it was renewed.
  `CREATE FUNCTION session_lookup(token bytea)
    RETURNS TABLE (session_id uuid, person_id uuid, workshop_id uuid, kind text, stale boolean)
    LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public AS
    $$ SELECT id, person_id, workshop_id, kind, token_hash = token AND renewed_at < now() - interval '1 day' FROM sessions
       WHERE (token_hash = token OR (previous_hash = token AND renewed_at > now() - interval '1 minute'))
         AND expires_at > now() LIMIT 1 $$`,
];

const granted = ['sign_in_try(text[], int[])', 'sign_in_right(text[])', 'pulse()', 'session_lookup(bytea)'];

/** Owners of workshops, sessions that are renewed, tries that are counted; every key begins with its workshop. */
export class Limits1765900000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    const grants = granted.flatMap((name) => [
      `REVOKE ALL ON FUNCTION ${name} FROM PUBLIC`,
      `GRANT EXECUTE ON FUNCTION ${name} TO ${APP_ROLE}`,
    ]);
    for (const statement of [...columns, ...primaryKeys, ...uniques, ...door, ...functions, ...grants])
      await runner.query(statement);
  }

  /** Keys of several workshops may be alike from here on: there is no way back. */
  down(): Promise<void> {
    return Promise.reject(new Error('This migration cannot be undone: restore a backup of before it.'));
  }
}
