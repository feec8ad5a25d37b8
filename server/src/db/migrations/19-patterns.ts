import type { MigrationInterface, QueryRunner } from 'typeorm';
import { enableRowSecurity } from './frozen-policies.js';

const up = [
  `CREATE TABLE "patterns" ("id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "version" integer NOT NULL,
     "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(),
     "name" text NOT NULL, "body" jsonb NOT NULL, "revision" integer NOT NULL DEFAULT '1',
     CONSTRAINT "PK_f1b8cd5c717e297fc5338fa6f19" PRIMARY KEY ("workshop_id", "id"))`,
  `ALTER TABLE "patterns" ADD CONSTRAINT "FK_0b86b1f2e12c2467b27b7613c50" FOREIGN KEY ("workshop_id") REFERENCES "workshops"("id")
     ON DELETE CASCADE ON UPDATE NO ACTION`,
  `CREATE TABLE "pattern_revisions" ("id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "revision" integer NOT NULL,
     "name" text NOT NULL, "body" jsonb NOT NULL, "made_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(),
     "pattern_id" uuid NOT NULL, CONSTRAINT "PK_76483342577900ef07f76ffbc9c" PRIMARY KEY ("workshop_id", "id"))`,
  `CREATE UNIQUE INDEX "IDX_c10035e7a5b798cc9c622c8b6c" ON "pattern_revisions" ("workshop_id", "pattern_id", "revision")`,
  `ALTER TABLE "pattern_revisions" ADD CONSTRAINT "FK_4daa0fb8d337a1e35efe799d188" FOREIGN KEY ("workshop_id") REFERENCES "workshops"("id")
     ON DELETE CASCADE ON UPDATE NO ACTION`,
  `ALTER TABLE "pattern_revisions" ADD CONSTRAINT "FK_8a88df83825d4e9b67a35751906" FOREIGN KEY ("workshop_id", "pattern_id")
     REFERENCES "patterns"("workshop_id", "id") ON DELETE CASCADE ON UPDATE NO ACTION`,
  ...['patterns', 'pattern_revisions'].flatMap((table) => enableRowSecurity(table)),
];

const down = ['pattern_revisions', 'patterns'].map((table) => `DROP TABLE "${table}"`);

/** Patterns to cut, and their revisions. */
export class Patterns1796900000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const statement of up) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const statement of down) await runner.query(statement);
  }
}
