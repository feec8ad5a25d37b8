import type { MigrationInterface, QueryRunner } from 'typeorm';
import { enableRowSecurity } from './frozen-policies.js';

const up = [
  `CREATE TABLE "audit_entries" ("id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "at" bigint NOT NULL, "person_id" uuid NOT NULL,
     "person" text NOT NULL, "thing" text NOT NULL, "deed" text NOT NULL, "record_id" uuid, "record" text,
     CONSTRAINT "PK_86f7bd17f20b6108fb8bba6a2cb" PRIMARY KEY ("workshop_id", "id"))`,
  `CREATE INDEX "IDX_f4467b61b548586dc6896e2c91" ON "audit_entries" ("workshop_id", "at", "id")`,
  `CREATE INDEX "IDX_b1187ccf5c81d567ea00019cd4" ON "audit_entries" ("workshop_id", "record_id")`,
  `ALTER TABLE "audit_entries" ADD CONSTRAINT "FK_b4feacaf9b3673f92df0c0f5ac8" FOREIGN KEY ("workshop_id") REFERENCES "workshops"("id") ON DELETE CASCADE ON UPDATE NO ACTION`,
  ...enableRowSecurity('audit_entries'),
];

/** Who did what, and when. */
export class Audit1797500000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const statement of up) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE "audit_entries"');
  }
}
