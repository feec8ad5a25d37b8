import type { MigrationInterface, QueryRunner } from 'typeorm';
import { APP_ROLE, enableRowSecurity } from './frozen-policies.js';

const up = [
  `ALTER TABLE "people" ADD "role" text NOT NULL DEFAULT 'caster'`,
  `UPDATE "people" SET "role" = 'owner' WHERE "owner"`,
  'ALTER TABLE "people" DROP COLUMN "owner"',
  `CREATE TABLE "invitations" ("id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "role" text NOT NULL,
     "person_id" uuid, "token_hash" bytea NOT NULL, "invited_by" text NOT NULL, "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(),
     "expires_at" TIMESTAMP WITH TIME ZONE NOT NULL, "used_at" TIMESTAMP WITH TIME ZONE,
     CONSTRAINT "PK_a0be4d87a8e55179f7bec2105a0" PRIMARY KEY ("workshop_id", "id"))`,
  `CREATE UNIQUE INDEX "IDX_872ac94a64b3d44fc4b554780c" ON "invitations" ("token_hash")`,
  `ALTER TABLE "invitations" ADD CONSTRAINT "FK_2e1835b96e6fcf8601db558336c" FOREIGN KEY ("workshop_id") REFERENCES "workshops"("id") ON DELETE CASCADE ON UPDATE NO ACTION`,
  `ALTER TABLE "invitations" ADD CONSTRAINT "FK_61a34003fe413adb7dbdd84eeb6" FOREIGN KEY ("workshop_id", "person_id") REFERENCES "people"("workshop_id","id") ON DELETE CASCADE ON UPDATE NO ACTION`,
  ...enableRowSecurity('invitations'),
  `CREATE FUNCTION invitation_lookup(token bytea) RETURNS TABLE (id uuid, workshop_id uuid)
    LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public AS
    $$ SELECT id, workshop_id FROM invitations WHERE token_hash = token LIMIT 1 $$`,
  'REVOKE ALL ON FUNCTION invitation_lookup(bytea) FROM PUBLIC',
  `GRANT EXECUTE ON FUNCTION invitation_lookup(bytea) TO ${APP_ROLE}`,
];

/** What people may do in a workshop, and how they are invited to it. */
export class Roles1797400000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const statement of up) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP FUNCTION invitation_lookup(bytea)');
    await runner.query('DROP TABLE "invitations"');
    await runner.query('ALTER TABLE "people" ADD "owner" boolean NOT NULL DEFAULT false');
    await runner.query(`UPDATE "people" SET "owner" = "role" = 'owner'`);
    await runner.query('ALTER TABLE "people" DROP COLUMN "role"');
  }
}
