import type { MigrationInterface, QueryRunner } from 'typeorm';
import { enableRowSecurity } from './frozen-policies.js';

const up = [
  `ALTER TABLE "moulds" ADD "cycles" integer NOT NULL DEFAULT '0'`,
  `UPDATE "moulds" SET "cycles" = (SELECT coalesce(sum("cycles"), 0) FROM "mould_copies" WHERE "mould_id" = "moulds"."id")`,
  `ALTER TABLE "mould_copies" ADD "condition" text NOT NULL DEFAULT 'good'`,
  `ALTER TABLE "mould_copies" ADD "note" text NOT NULL DEFAULT ''`,
  `ALTER TABLE "mould_copies" ADD "retired" boolean NOT NULL DEFAULT false`,
  `ALTER TABLE "mould_copies" ADD "last_colour" text`,
  `ALTER TABLE "mould_copies" ADD "washed_at" bigint`,
  `CREATE TABLE "mould_pictures" ("id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "mould_id" uuid NOT NULL, "caption" text NOT NULL, "width" integer NOT NULL, "height" integer NOT NULL, "image" bytea NOT NULL, CONSTRAINT "PK_2a4635f8beb8117338e388f9c24" PRIMARY KEY ("id"))`,
  `CREATE TABLE "tubs" ("id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "version" integer NOT NULL, "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "name" text NOT NULL, "body" jsonb NOT NULL, CONSTRAINT "PK_8a9413ee9bd4aec704f959f8383" PRIMARY KEY ("id"))`,
  `CREATE INDEX "IDX_1bcfd24c898e87471362dee477" ON "mould_pictures" ("workshop_id")`,
  `CREATE INDEX "IDX_d941044c7398fbec150b609d8c" ON "mould_pictures" ("mould_id")`,
  `CREATE INDEX "IDX_c7810b8ddde106811640edd816" ON "tubs" ("workshop_id")`,
];

const walled = ['mould_pictures', 'tubs'];

/** Copies with their wear, pictures of moulds, and the tubs that a caster owns. */
export class Moulds1764100000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const statement of [...up, ...walled.flatMap((table) => enableRowSecurity(table))])
      await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of walled) await runner.query(`DROP TABLE "${table}"`);
    for (const column of ['condition', 'note', 'retired', 'last_colour', 'washed_at'])
      await runner.query(`ALTER TABLE "mould_copies" DROP COLUMN "${column}"`);
    await runner.query(`ALTER TABLE "moulds" DROP COLUMN "cycles"`);
  }
}
