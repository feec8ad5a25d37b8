import { colours } from './frozen-handbook.js';
import type { MigrationInterface, QueryRunner } from 'typeorm';
import { enableRowSecurity } from './frozen-policies.js';

const up = [
  `CREATE TABLE "tints" ("id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "version" integer NOT NULL, "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "name" text NOT NULL, "body" jsonb NOT NULL, "edition" integer NOT NULL DEFAULT '1', CONSTRAINT "PK_bdf961b58aa3ab6d3a51341260f" PRIMARY KEY ("id"))`,
  `CREATE TABLE "swatches" ("id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "version" integer NOT NULL, "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "name" text NOT NULL, "body" jsonb NOT NULL, CONSTRAINT "PK_2514a2fb6ac21565f4161de7a04" PRIMARY KEY ("id"))`,
  `CREATE TABLE "tint_editions" ("id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "tint_id" uuid NOT NULL, "edition" integer NOT NULL, "name" text NOT NULL, "body" jsonb NOT NULL, "made_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), CONSTRAINT "PK_fbf01cb52013fb4c1313c94684f" PRIMARY KEY ("id"))`,
  `CREATE INDEX "IDX_05501645d6d278cb902ed74021" ON "tints" ("workshop_id")`,
  `CREATE INDEX "IDX_01a75fbb03fc9db2a4b26d0b66" ON "swatches" ("workshop_id")`,
  `CREATE INDEX "IDX_b0444dc307cb3cc4139e0b2643" ON "tint_editions" ("workshop_id")`,
  `CREATE UNIQUE INDEX "IDX_01c7783bb0e46870205afb3836" ON "tint_editions" ("tint_id", "edition")`,
];

const walled = ['tints', 'swatches', 'tint_editions'];

/** Tints, their versions and the chips that teach them; materials of the handbook get their colours. */
export class Tints1764300000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const statement of [...up, ...walled.flatMap((table) => enableRowSecurity(table))])
      await runner.query(statement);
    for (const { name, colour, tinting } of colours)
      await runner.query(
        `UPDATE "materials" SET "body" = "body" || $2::jsonb WHERE "name" = $1 AND NOT "body" ? 'colour'`,
        [name, JSON.stringify({ colour, tinting })],
      );
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of walled) await runner.query(`DROP TABLE "${table}"`);
    await runner.query(`UPDATE "materials" SET "body" = "body" - 'colour' - 'tinting'`);
  }
}
