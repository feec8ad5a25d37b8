import type { MigrationInterface, QueryRunner } from 'typeorm';
import { APP_ROLE, enableRowSecurity } from './frozen-policies.js';

const renamedTables = [
  ['air_readings', 'ambient_readings'],
  ['air_asides', 'ambient_asides'],
] as const;

/** Statements of a function in which a partition is walled like its table; `part` names it. */
const wallOfPart = enableRowSecurity('%1$I')
  .map((statement) => statement.replaceAll('"', '').replaceAll("'", "''"))
  .map((statement) => `EXECUTE format('${statement}', part);`)
  .join('\n      ');

/** The function that makes the month of a reading, under the names of its tables. */
const monthOf = (name: string, table: string) => [
  `CREATE FUNCTION ${name}(at_ms bigint) RETURNS void LANGUAGE plpgsql SECURITY DEFINER SET search_path = public AS $$
    DECLARE
      first date := date_trunc('month', to_timestamp(at_ms / 1000.0) AT TIME ZONE 'UTC');
      part text := '${table}_' || to_char(first, 'YYYY_MM');
    BEGIN
      IF to_regclass(part) IS NOT NULL THEN RETURN; END IF;
      -- One at a time, whatever the month: whoever makes two waits for nobody who waits for them.
      PERFORM pg_advisory_xact_lock(81370002);
      IF EXISTS (SELECT 1 FROM pg_class WHERE relname = part AND relnamespace = 'public'::regnamespace) THEN RETURN; END IF;
      -- Made beside its table and then attached, so that nobody who reads it has to wait.
      EXECUTE format('CREATE TABLE %I (LIKE ${table} INCLUDING ALL)', part);
      EXECUTE format('ALTER TABLE ${table} ATTACH PARTITION %I FOR VALUES FROM (%s) TO (%s)', part,
        (extract(epoch FROM first) * 1000)::bigint, (extract(epoch FROM first + interval '1 month') * 1000)::bigint);
      ${wallOfPart}
    END $$`,
  `REVOKE ALL ON FUNCTION ${name}(bigint) FROM PUBLIC`,
  `GRANT EXECUTE ON FUNCTION ${name}(bigint) TO ${APP_ROLE}`,
];

/** Renames the months of a table with it, and their policies. */
const renameMonths = (from: string, to: string) => `DO $$
  DECLARE part text;
  BEGIN
    FOR part IN SELECT relname FROM pg_class WHERE relname ~ '^${from}_\\d{4}_\\d{2}$' AND relkind = 'r' LOOP
      EXECUTE format('ALTER POLICY %I ON %I RENAME TO %I', part || '_own', part, replace(part, '${from}', '${to}') || '_own');
      EXECUTE format('ALTER TABLE %I RENAME TO %I', part, replace(part, '${from}', '${to}'));
    END LOOP;
  END $$`;

/** Renames a key in the coats of casts: in their events, and in what those come to. */
const renameKey = (from: string, to: string) => [
  `UPDATE "cast_events" SET "event" = "event" - '${from}' || jsonb_build_object('${to}', "event" -> '${from}') WHERE "event" ? '${from}'`,
  `UPDATE "casts" SET "projection" = jsonb_set("projection", '{life,coats}',
     (SELECT jsonb_agg(CASE WHEN coat ? '${from}' THEN coat - '${from}' || jsonb_build_object('${to}', coat -> '${from}') ELSE coat END ORDER BY place)
      FROM jsonb_array_elements("projection" -> 'life' -> 'coats') WITH ORDINALITY AS one(coat, place)))
   WHERE jsonb_path_exists("projection", '$.life.coats[*].${from}')`,
];

/** Names of a reference and an index that go by the name of their table. */
const renamedNames = [
  ['CONSTRAINT', 'FK_77a75e65bc9be2d2d39dc65ea5b', 'FK_7eb80406c3a4ba457638da7b3d3'],
  ['CONSTRAINT', 'FK_d89eca948b78758d89144d80920', 'FK_fa67bd8d47b10b04ac006c74acf'],
  ['INDEX', 'IDX_77cde4955a6af900e1af19dd64', 'IDX_926bf7998e06dc1fb1facd7cf2'],
] as const;

const renameName = (what: 'CONSTRAINT' | 'INDEX', from: string, to: string) =>
  what === 'INDEX'
    ? `ALTER INDEX "${from}" RENAME TO "${to}"`
    : `ALTER TABLE "ambient_asides" RENAME CONSTRAINT "${from}" TO "${to}"`;

const renameTable = (from: string, to: string) => [
  renameMonths(from, to),
  `ALTER POLICY "${from}_own" ON "${from}" RENAME TO "${to}_own"`,
  `ALTER TABLE "${from}" RENAME TO "${to}"`,
];

const up = [
  `DROP FUNCTION air_month(bigint)`,
  ...renamedTables.flatMap(([from, to]) => renameTable(from, to)),
  ...renamedNames.map(([what, from, to]) => renameName(what, from, to)),
  ...monthOf('ambient_month', 'ambient_readings'),
  ...renameKey('air', 'ambient'),
];

const down = [
  ...renameKey('ambient', 'air'),
  `DROP FUNCTION ambient_month(bigint)`,
  ...renamedNames.map(([what, from, to]) => renameName(what, to, from)),
  ...renamedTables.flatMap(([from, to]) => renameTable(to, from)),
  ...monthOf('air_month', 'air_readings'),
];

/** The weather round a cast is called ambient; air is what is in a mix. */
export class Ambient1796400000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const statement of up) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const statement of down) await runner.query(statement);
  }
}
