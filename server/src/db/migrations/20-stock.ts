import type { MigrationInterface, QueryRunner } from 'typeorm';
import { enableRowSecurity } from './frozen-policies.js';

const up = [
  `CREATE TABLE "stock" ("id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "version" integer NOT NULL,
     "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(),
     "name" text NOT NULL, "body" jsonb NOT NULL, CONSTRAINT "PK_35396e2861dcb2635c696ba177c" PRIMARY KEY ("workshop_id", "id"))`,
  `ALTER TABLE "stock" ADD CONSTRAINT "FK_249a8560ae3d9e651a99def6522" FOREIGN KEY ("workshop_id") REFERENCES "workshops"("id")
     ON DELETE CASCADE ON UPDATE NO ACTION`,
  ...enableRowSecurity('stock'),
];

/** Sticks, boards and sheets that parts are cut from. */
export class Stock1797000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const statement of up) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE "stock"');
  }
}
