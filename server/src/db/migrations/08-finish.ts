import { sealers } from './frozen-handbook.js';
import type { MigrationInterface, QueryRunner } from 'typeorm';
import { enableRowSecurity } from './frozen-policies.js';

const tables = [
  `CREATE TABLE "trial_tiles" ("id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "mix_id" uuid NOT NULL, "body" jsonb NOT NULL, CONSTRAINT "PK_291d82c940426bc160e0732414a" PRIMARY KEY ("id"))`,
  `CREATE INDEX "IDX_ee1bd91aa46508f6895ed9791d" ON "trial_tiles" ("workshop_id")`,
  `CREATE INDEX "IDX_652eaaf3ec6f982b67e47a5ea3" ON "trial_tiles" ("mix_id")`,
  `CREATE TABLE "seal_lessons" ("id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "records" jsonb NOT NULL, CONSTRAINT "PK_7f09705bb5f3e663b660dc99cc3" PRIMARY KEY ("id"))`,
  `CREATE INDEX "IDX_6130bf85a07313408902d0996c" ON "seal_lessons" ("workshop_id")`,
  `ALTER TABLE "casts" ADD "wakes_at" bigint`,
  `CREATE INDEX "IDX_e041a08561c96faee93864897b" ON "casts" ("wakes_at")`,
];

const walled = ['trial_tiles', 'seal_lessons'];

/** Casts that are here already were judged without these. */
const DRY = `{"film": false, "heldDays": 0, "heldWithin": 1, "strays": []}`;

/** Trial tiles, what overruled gates taught; the handbook's sealers for workshops that are here already. */
export class Finish1765200000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const statement of [...tables, ...walled.flatMap((table) => enableRowSecurity(table))])
      await runner.query(statement);
    await runner.query(
      `UPDATE "casts" SET "projection" = jsonb_set("projection", '{dry}', $1::jsonb || ("projection" -> 'dry'))`,
      [DRY],
    );
    for (const { name, ...body } of sealers)
      await runner.query(
        `INSERT INTO "materials" ("id", "workshop_id", "version", "name", "body") SELECT gen_random_uuid(), "id", 1, $1, $2::jsonb FROM "workshops"`,
        [name, JSON.stringify(body)],
      );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "casts" DROP COLUMN "wakes_at"`);
    for (const table of walled) await runner.query(`DROP TABLE "${table}"`);
    await runner.query(`DELETE FROM "materials" WHERE "body" ->> 'kind' = 'sealer'`);
  }
}
