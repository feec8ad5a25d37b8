import type { MigrationInterface, QueryRunner } from 'typeorm';
import { APP_ROLE, enableRowSecurity } from './frozen-policies.js';

const edited = `"id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "version" integer NOT NULL, "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now()`;

const tables = [
  `CREATE TABLE "places" (${edited}, "name" text NOT NULL, "body" jsonb NOT NULL, "late" integer NOT NULL DEFAULT '0', CONSTRAINT "PK_1afab86e226b4c3bc9a74465c12" PRIMARY KEY ("id"))`,
  `CREATE INDEX "IDX_f2222023d2dc38725409ed5715" ON "places" ("workshop_id")`,
  `CREATE TABLE "air_readings" ("workshop_id" uuid NOT NULL, "place_id" uuid NOT NULL, "at" bigint NOT NULL, "temperature" real NOT NULL, "humidity" real, "wind" real, CONSTRAINT "PK_7ac553da46e787413c99aca38be" PRIMARY KEY ("place_id", "at")) PARTITION BY RANGE ("at")`,
  `CREATE TABLE "air_asides" ("id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "place_id" uuid NOT NULL, "reading" jsonb NOT NULL, "why" text NOT NULL, CONSTRAINT "PK_7a5f52c52abf09992786922d17a" PRIMARY KEY ("id"))`,
  `CREATE INDEX "IDX_77a75e65bc9be2d2d39dc65ea5" ON "air_asides" ("workshop_id")`,
  `CREATE INDEX "IDX_77cde4955a6af900e1af19dd64" ON "air_asides" ("place_id")`,
  `CREATE TABLE "lift_out_lessons" ("id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "mould_id" uuid NOT NULL, "mix_id" uuid NOT NULL, "ways" jsonb NOT NULL, "records" jsonb NOT NULL, CONSTRAINT "PK_8fa6e2f9c94de2f9aa4e185428b" PRIMARY KEY ("id"))`,
  `CREATE INDEX "IDX_496080df051d823cbe36938a1a" ON "lift_out_lessons" ("workshop_id")`,
  `CREATE UNIQUE INDEX "IDX_e5bdc83c8e6cac5413565a4a36" ON "lift_out_lessons" ("mould_id", "mix_id")`,
  `CREATE TABLE "cast_pictures" ("id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "cast_id" uuid NOT NULL, "event_id" uuid, "width" integer NOT NULL, "height" integer NOT NULL, "image" bytea NOT NULL, "at" bigint NOT NULL, CONSTRAINT "PK_e74a6af08e4633628ac0bab5921" PRIMARY KEY ("id"))`,
  `CREATE INDEX "IDX_f49ed279532b01ac9a42108b35" ON "cast_pictures" ("workshop_id")`,
  `CREATE INDEX "IDX_abe482d105d096618954c3715e" ON "cast_pictures" ("cast_id")`,
  `CREATE TABLE "calendar_keys" ("id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "person_id" uuid NOT NULL, "token_hash" bytea NOT NULL, "made_at" bigint NOT NULL, CONSTRAINT "PK_3a92f538985428dab74601e2f88" PRIMARY KEY ("id"))`,
  `CREATE INDEX "IDX_d547e1b3eb7146c267c85d6ac8" ON "calendar_keys" ("workshop_id")`,
  `CREATE UNIQUE INDEX "IDX_c20b370397dab4fede6ac0462b" ON "calendar_keys" ("person_id")`,
  `CREATE UNIQUE INDEX "IDX_396be322d2e721d80f52f71e1a" ON "calendar_keys" ("token_hash")`,
  `CREATE INDEX "IDX_a2d7e464464d6ef56b57b70e09" ON "casts" ("mould_id")`,
];

const walled = ['places', 'air_readings', 'air_asides', 'lift_out_lessons', 'cast_pictures', 'calendar_keys'];

/** Statements of a function in which a partition is walled like its table; `part` names it. */
const wallOfPart = enableRowSecurity('%1$I')
  .map((statement) => statement.replaceAll('"', '').replaceAll("'", "''"))
  .map((statement) => `EXECUTE format('${statement}', part);`)
  .join('\n      ');

/** The application owns nothing, so the month of a reading is made by a function of the owner; a calendar asks before its workshop is known. */
const functions = [
  `CREATE FUNCTION air_month(at_ms bigint) RETURNS void LANGUAGE plpgsql SECURITY DEFINER SET search_path = public AS $$
    DECLARE
      first date := date_trunc('month', to_timestamp(at_ms / 1000.0) AT TIME ZONE 'UTC');
      part text := 'air_readings_' || to_char(first, 'YYYY_MM');
    BEGIN
      IF to_regclass(part) IS NOT NULL THEN RETURN; END IF;
      -- One at a time, whatever the month: whoever makes two waits for nobody who waits for them.
      PERFORM pg_advisory_xact_lock(81370002);
      IF EXISTS (SELECT 1 FROM pg_class WHERE relname = part AND relnamespace = 'public'::regnamespace) THEN RETURN; END IF;
      -- Made beside its table and then attached, so that nobody who reads it has to wait.
      EXECUTE format('CREATE TABLE %I (LIKE air_readings INCLUDING ALL)', part);
      EXECUTE format('ALTER TABLE air_readings ATTACH PARTITION %I FOR VALUES FROM (%s) TO (%s)', part,
        (extract(epoch FROM first) * 1000)::bigint, (extract(epoch FROM first + interval '1 month') * 1000)::bigint);
      ${wallOfPart}
    END $$`,
  `CREATE FUNCTION calendar_lookup(token bytea) RETURNS TABLE (workshop_id uuid)
    LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public AS
    $$ SELECT workshop_id FROM calendar_keys WHERE token_hash = token $$`,
  `REVOKE ALL ON FUNCTION calendar_lookup(bytea) FROM PUBLIC`,
  `GRANT EXECUTE ON FUNCTION calendar_lookup(bytea) TO ${APP_ROLE}`,
  `REVOKE ALL ON FUNCTION air_month(bigint) FROM PUBLIC`,
  `GRANT EXECUTE ON FUNCTION air_month(bigint) TO ${APP_ROLE}`,
];

/** Workshops that are here already get a shed and a yard; their casts the key of their mix. */
const fill = [
  `INSERT INTO "places" ("id", "workshop_id", "version", "created_at", "name", "body")
    SELECT gen_random_uuid(), w."id", 1, now() + p."later", p."name", p."body" FROM "workshops" w, (VALUES
      ('Shed', interval '0', '{"kind": "shed", "source": "logger", "simulated": true}'::jsonb),
      ('Yard', interval '1 second', '{"kind": "yard", "source": "forecast"}'::jsonb)) AS p ("name", "later", "body")`,
  `UPDATE "casts" SET "snapshot" = "snapshot" || jsonb_build_object('mixId', found."mix_id") FROM (
    SELECT p."id", part ->> 'mixId' AS "mix_id", part ->> 'mixName' AS "mix_name"
      FROM "pours" p, jsonb_array_elements(p."parts") AS part) AS found
    WHERE found."id" = "casts"."pour_id" AND found."mix_name" = "casts"."snapshot" ->> 'mixName'`,
];

/** Places and their air; what lift-outs taught; pictures of casts; secret addresses of calendars. */
export class Climate1764600000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const statement of [...tables, ...walled.flatMap((table) => enableRowSecurity(table)), ...functions, ...fill])
      await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DROP FUNCTION air_month(bigint)`);
    await runner.query(`DROP FUNCTION calendar_lookup(bytea)`);
    await runner.query(`DROP INDEX "IDX_a2d7e464464d6ef56b57b70e09"`);
    for (const table of walled) await runner.query(`DROP TABLE "${table}"`);
  }
}
