import type { MigrationInterface, QueryRunner } from 'typeorm';
import { enableRowSecurity } from './frozen-policies.js';

const up = [
  `CREATE TABLE "forgotten_lessons" ("id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "lesson_group" text NOT NULL,
     "learned_of" text NOT NULL, "counts_from" bigint NOT NULL,
     CONSTRAINT "PK_dd3be34428a208e5328bf3dd131" PRIMARY KEY ("workshop_id", "id"))`,
  `CREATE UNIQUE INDEX "IDX_60b40bec067ff3a50a37b2a4c7" ON "forgotten_lessons" ("workshop_id", "lesson_group", "learned_of")`,
  `ALTER TABLE "forgotten_lessons" ADD CONSTRAINT "FK_cf894049942b5145a9b8fcaa1eb" FOREIGN KEY ("workshop_id") REFERENCES "workshops"("id") ON DELETE CASCADE ON UPDATE NO ACTION`,
  ...enableRowSecurity('forgotten_lessons'),
  `CREATE TABLE "kept_ways" ("id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "revision" integer NOT NULL,
     "casts" integer NOT NULL, "seen" integer NOT NULL, "body" jsonb, CONSTRAINT "PK_6189d5fbe1a6d8514b983e41dcd" PRIMARY KEY ("workshop_id", "id"))`,
  `ALTER TABLE "kept_ways" ADD CONSTRAINT "FK_ca94c3903181c0c430ee625ec02" FOREIGN KEY ("workshop_id") REFERENCES "workshops"("id") ON DELETE CASCADE ON UPDATE NO ACTION`,
  ...enableRowSecurity('kept_ways'),
];

/** From when on the records that teach a figure count, and the ways as they were compared last. */
export class Forgotten1797300000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const statement of up) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE "kept_ways"');
    await runner.query('DROP TABLE "forgotten_lessons"');
  }
}
