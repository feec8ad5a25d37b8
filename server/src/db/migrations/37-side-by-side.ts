import type { MigrationInterface, QueryRunner } from 'typeorm';
import { closeDoors, openDoors } from './frozen-policies.js';

const doors = {
  /** Of which level the schema is, and of which servers have to be at the least. */
  'schema_levels()': `TABLE (level integer, oldest integer) LANGUAGE sql STABLE $$
    SELECT (SELECT count(*)::integer FROM migrations), (SELECT level FROM door.oldest_server) $$`,
};

const up = [
  'CREATE TABLE door.oldest_server (level integer NOT NULL)',
  'INSERT INTO door.oldest_server VALUES (36)',
  ...openDoors(doors),
  // Every request looks up its session by keys. While a table has no figures yet the plan for given keys seems dearer each time than the one for any, and is made anew.
  "ALTER FUNCTION session_lookups(bytea[]) SET plan_cache_mode = 'force_generic_plan'",
];

const down = [
  'ALTER FUNCTION session_lookups(bytea[]) RESET plan_cache_mode',
  ...closeDoors(doors),
  'DROP TABLE door.oldest_server',
];

/** Servers of two versions stand side by side before one database while it is upgraded. */
export class SideBySide1798800000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const statement of up) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const statement of down) await runner.query(statement);
  }
}
