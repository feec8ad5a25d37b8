import type { MigrationInterface, QueryRunner } from 'typeorm';
import { enableRowSecurity } from './frozen-policies.js';

const up = [
  `CREATE TABLE "run_events" ("id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "pour_id" uuid NOT NULL, "person_id" uuid, "event" jsonb NOT NULL, "recorded_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT clock_timestamp(), CONSTRAINT "PK_6a60304b2cec8281b713a19fa7b" PRIMARY KEY ("id"))`,
  `CREATE INDEX "IDX_9b5c9737f39af338d5d7456545" ON "run_events" ("workshop_id")`,
  `CREATE INDEX "IDX_b5a9de3f1bbb39e3abdee8f860" ON "run_events" ("pour_id")`,
  `CREATE TABLE "bench_scales" ("id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "state" jsonb NOT NULL, CONSTRAINT "PK_7fcd2f70305d7599e5050f2b462" PRIMARY KEY ("id"))`,
  `CREATE INDEX "IDX_bba4dc9a80a65d864f2df706ee" ON "bench_scales" ("workshop_id")`,
  `ALTER TABLE "pours" ADD "finished_by" uuid`,
  `ALTER TABLE "pours" ADD "lessons" jsonb`,
];

const walled = ['run_events', 'bench_scales'];

/** What happens at the bench, event by event; the scale on it; what a run taught. */
export class Bench1764500000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const statement of [...up, ...walled.flatMap((table) => enableRowSecurity(table))])
      await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of walled) await runner.query(`DROP TABLE "${table}"`);
    await runner.query(`ALTER TABLE "pours" DROP COLUMN "finished_by", DROP COLUMN "lessons"`);
  }
}
