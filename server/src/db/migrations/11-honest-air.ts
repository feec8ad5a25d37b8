import type { MigrationInterface, QueryRunner } from 'typeorm';

const simulated = `(p."body" ->> 'source' = 'forecast' OR p."body" ? 'simulated')
  AND p."workshop_id" IN (SELECT "id" FROM "workshops" WHERE NOT "demo")`;

const up = [
  `DELETE FROM "air_readings" r USING "places" p WHERE r."workshop_id" = p."workshop_id" AND r."place_id" = p."id" AND p."body" ? 'simulated'
     AND ${simulated}`,
  `UPDATE "places" p SET "version" = "version" + 1,
     "body" = p."body" - 'simulated' || '{"source": "unknown"}'::jsonb WHERE ${simulated}`,
];

/** The simulated weather belongs to the demo: elsewhere such places have an air that nobody has told yet. */
export class HonestAir1796100000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const statement of up) await runner.query(statement);
  }

  /** What was simulated can be simulated again. */
  down(): Promise<void> {
    return Promise.resolve();
  }
}
