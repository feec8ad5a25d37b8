import type { MigrationInterface, QueryRunner } from 'typeorm';

const up = [
  `ALTER TABLE "pours" ADD "parts" jsonb`,
  `UPDATE "pours" SET "parts" = jsonb_build_array(jsonb_strip_nulls(jsonb_build_object(
     'mixId', "mix_id", 'mixName', "mix_name", 'mixEdition', "mix_edition", 'colour', "colour", 'log', "log"))
     || jsonb_build_object('plan', "plan", 'items',
       (SELECT jsonb_agg(i) FROM generate_series(0, jsonb_array_length("plan" -> 'items') - 1) AS i)))`,
  `ALTER TABLE "pours" ALTER COLUMN "parts" SET NOT NULL`,
  ...['mix_name', 'mix_id', 'mix_edition', 'colour', 'plan', 'log'].map(
    (column) => `ALTER TABLE "pours" DROP COLUMN "${column}"`,
  ),
];

const down = [
  `ALTER TABLE "pours" ADD "mix_name" text, ADD "mix_id" uuid, ADD "mix_edition" integer NOT NULL DEFAULT '1',
     ADD "colour" text, ADD "plan" jsonb, ADD "log" jsonb`,
  `UPDATE "pours" SET "mix_name" = "parts" -> 0 ->> 'mixName', "mix_id" = ("parts" -> 0 ->> 'mixId')::uuid,
     "mix_edition" = ("parts" -> 0 ->> 'mixEdition')::integer, "colour" = "parts" -> 0 ->> 'colour',
     "plan" = "parts" -> 0 -> 'plan', "log" = "parts" -> 0 -> 'log'`,
  ...['mix_name', 'mix_id', 'colour', 'plan'].map(
    (column) => `ALTER TABLE "pours" ALTER COLUMN "${column}" SET NOT NULL`,
  ),
  `CREATE INDEX "IDX_2f49fb0e40f0d4d3561e477613" ON "pours" ("mix_id")`,
  `ALTER TABLE "pours" DROP COLUMN "parts"`,
];

/** A pour is made of one mix or of several. */
export class Parts1764400000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const statement of up) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const statement of down) await runner.query(statement);
  }
}
