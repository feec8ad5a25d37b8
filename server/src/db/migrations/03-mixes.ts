import type { MigrationInterface, QueryRunner } from 'typeorm';
import { enableRowSecurity } from './frozen-policies.js';

const up = [
  `ALTER TABLE "lots" ADD "opened_at" bigint`,
  `ALTER TABLE "lots" ADD "bags" integer NOT NULL DEFAULT '1'`,
  `ALTER TABLE "lots" ADD "lumpy" boolean NOT NULL DEFAULT false`,
  `ALTER TABLE "scoops" ADD "heaped" double precision`,
  `ALTER TABLE "mixes" ADD "edition" integer NOT NULL DEFAULT '1'`,
  `CREATE TABLE "mix_editions" ("id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "mix_id" uuid NOT NULL, "edition" integer NOT NULL, "name" text NOT NULL, "body" jsonb NOT NULL, "made_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), CONSTRAINT "PK_04f4d16f3bf778e2d4d59513272" PRIMARY KEY ("id"))`,
  `CREATE INDEX "IDX_76abb7132578beacce93e820b1" ON "mix_editions" ("workshop_id")`,
  `CREATE UNIQUE INDEX "IDX_ec9492d19e4136db7a55f6269e" ON "mix_editions" ("mix_id", "edition")`,
  `INSERT INTO "mix_editions" ("id", "workshop_id", "mix_id", "edition", "name", "body", "made_at") SELECT gen_random_uuid(), "workshop_id", "id", 1, "name", "body", "updated_at" FROM "mixes"`,
  `ALTER TABLE "pours" ADD "mix_id" uuid`,
  `UPDATE "pours" SET "mix_id" = ("input" ->> 'mixId')::uuid`,
  `ALTER TABLE "pours" ALTER COLUMN "mix_id" SET NOT NULL`,
  `ALTER TABLE "pours" ADD "mix_edition" integer NOT NULL DEFAULT '1'`,
  `ALTER TABLE "pours" ADD "taken" jsonb`,
  `CREATE INDEX "IDX_2f49fb0e40f0d4d3561e477613" ON "pours" ("mix_id")`,
];

const added: readonly (readonly [table: string, column: string])[] = [
  ['lots', 'opened_at'],
  ['lots', 'bags'],
  ['lots', 'lumpy'],
  ['scoops', 'heaped'],
  ['mixes', 'edition'],
  ['pours', 'mix_id'],
  ['pours', 'mix_edition'],
  ['pours', 'taken'],
];

/** Versions of mixes, lots by bag and age, and what a pour took from which lot. */
export class Mixes1764200000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const statement of [...up, ...enableRowSecurity('mix_editions')]) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DROP TABLE "mix_editions"`);
    for (const [table, column] of added) await runner.query(`ALTER TABLE "${table}" DROP COLUMN "${column}"`);
  }
}
