import type { MigrationInterface, QueryRunner } from 'typeorm';
import { closeDoors, openDoors } from './frozen-policies.js';

const doors = {
  /** The revisions of the workshop at hand, as they are where it is asked: a replica says by them how far it is. */
  'workshop_revisions()': `jsonb LANGUAGE sql STABLE $$
    SELECT areas FROM door.revisions WHERE workshop_id = nullif(current_setting('app.workshop', true), '')::uuid $$`,
};

/** A replica says of which revisions its rows are. */
export class Replica1799000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const statement of openDoors(doors)) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const statement of closeDoors(doors)) await runner.query(statement);
  }
}
