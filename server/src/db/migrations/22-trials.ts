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
  `CREATE TABLE "costings" ("id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "version" integer NOT NULL,
     "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(),
     "body" jsonb NOT NULL, CONSTRAINT "PK_23ff49d237d3fae3774394284a3" PRIMARY KEY ("workshop_id", "id"))`,
  `ALTER TABLE "costings" ADD CONSTRAINT "FK_af8711ea62c3e46ee197a575d9d" FOREIGN KEY ("workshop_id") REFERENCES "workshops"("id") ON DELETE CASCADE ON UPDATE NO ACTION`,
  `ALTER TABLE "costings" ADD CONSTRAINT "FK_23ff49d237d3fae3774394284a3" FOREIGN KEY ("workshop_id", "id") REFERENCES "moulds"("workshop_id", "id") ON DELETE CASCADE ON UPDATE NO ACTION`,
  ...enableRowSecurity('costings'),
];

/** Trials, which copy of a pour gets which way of one, and what the pieces of a mould cost beside what is on record. */
export class Trials1797200000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const statement of up) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE "costings"');
    await runner.query('ALTER TABLE "pours" DROP "trial"');
    await runner.query('DROP TABLE "trials"');
  }
}
