import type { MigrationInterface, QueryRunner } from 'typeorm';
import { enableRowSecurity } from './frozen-policies.js';

const up = [
  `CREATE TABLE "past_people" ("id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "name" text NOT NULL,
     CONSTRAINT "PK_a995f679ff3e4bf3f939dc49a96" PRIMARY KEY ("workshop_id", "id"))`,
  `ALTER TABLE "past_people" ADD CONSTRAINT "FK_af794e4c5aca536c7b17acb15f0" FOREIGN KEY ("workshop_id") REFERENCES "workshops"("id") ON DELETE CASCADE ON UPDATE NO ACTION`,
  ...enableRowSecurity('past_people'),
  // Whoever left before this is known by name from what they did.
  `INSERT INTO "past_people" ("id", "workshop_id", "name")
     SELECT DISTINCT ON (workshop_id, person_id) person_id, workshop_id, person FROM audit_entries
     WHERE NOT EXISTS (SELECT 1 FROM people WHERE people.workshop_id = audit_entries.workshop_id AND people.id = person_id)
     ORDER BY workshop_id, person_id, at DESC`,
];

/** Names of those who left. */
export class PastPeople1798000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const statement of up) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE "past_people"');
  }
}
