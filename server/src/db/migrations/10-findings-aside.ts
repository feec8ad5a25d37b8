import type { MigrationInterface, QueryRunner } from 'typeorm';
import { enableRowSecurity } from './frozen-policies.js';

const up = [
  `CREATE TABLE "findings_aside" (
     "id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "mould_id" uuid NOT NULL, "mix_id" uuid NOT NULL,
     "finding" text NOT NULL, "reason" text NOT NULL,
     CONSTRAINT "PK_9b23a9f4d9f65cf57b3f9d3a44b" PRIMARY KEY ("workshop_id", "id"))`,
  `CREATE UNIQUE INDEX "IDX_d3e849f106e0b97185458a447a" ON "findings_aside" ("workshop_id", "mould_id", "mix_id", "finding")`,
  ...enableRowSecurity('findings_aside'),
];

/** Findings that a workshop put aside for a mould with a mix; they go with either. */
export class FindingsAside1796000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const statement of up) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DROP TABLE "findings_aside"`);
  }
}
