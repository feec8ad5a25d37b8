import type { MigrationInterface, QueryRunner } from 'typeorm';
import { enableRowSecurity } from './frozen-policies.js';

const up = [
  `CREATE TABLE "trials" ("id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "version" integer NOT NULL,
     "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(),
     "name" text NOT NULL, "body" jsonb NOT NULL, "closed_at" bigint, "keep" text,
     CONSTRAINT "PK_1d13ba17e7db8fdbf99785efbdd" PRIMARY KEY ("workshop_id", "id"))`,
  `ALTER TABLE "trials" ADD CONSTRAINT "FK_f768572c22dcca68351cfdaa664" FOREIGN KEY ("workshop_id") REFERENCES "workshops"("id") ON DELETE CASCADE ON UPDATE NO ACTION`,
  ...enableRowSecurity('trials'),
  `ALTER TABLE "pours" ADD "trial" jsonb`,
];

/** Trials, and which copy of a pour gets which way of one. */
export class Trials1797200000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const statement of up) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE "pours" DROP "trial"');
    await runner.query('DROP TABLE "trials"');
  }
}
