import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What a cast stood under and what was found wrong with it, gathered from its record; null where that is to be gathered again. */
export class Findings1797100000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE "casts" ADD COLUMN "finding" jsonb');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE "casts" DROP COLUMN "finding"');
  }
}
