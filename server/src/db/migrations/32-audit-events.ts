import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Which event was added to a cast. */
export class AuditEvents1798200000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE "audit_entries" ADD "event" text');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE "audit_entries" DROP COLUMN "event"');
  }
}
