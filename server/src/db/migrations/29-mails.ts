import type { MigrationInterface, QueryRunner } from 'typeorm';
import { enableRowSecurity } from './frozen-policies.js';

const up = [
  `CREATE TABLE "mails" ("id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "to" text NOT NULL, "subject" text NOT NULL, "text" text,
     "kept" boolean NOT NULL, "made_at" bigint NOT NULL, "sent_at" bigint, "error" text,
     CONSTRAINT "PK_5e2683f596bd1db8594928a818a" PRIMARY KEY ("workshop_id", "id"))`,
  `CREATE INDEX "IDX_14f785ff9c099a69e63de207ea" ON "mails" ("workshop_id", "made_at", "id")`,
  `ALTER TABLE "mails" ADD CONSTRAINT "FK_129908db74e0b738a6116e09b81" FOREIGN KEY ("workshop_id") REFERENCES "workshops"("id") ON DELETE CASCADE ON UPDATE NO ACTION`,
  ...enableRowSecurity('mails'),
];

/** Mails of workshops. */
export class Mails1797900000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const statement of up) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE "mails"');
  }
}
