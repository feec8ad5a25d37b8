import type { MigrationInterface, QueryRunner } from 'typeorm';
import { closeDoors, openDoors } from './frozen-policies.js';

const HOUR = 3_600_000;

/** A reading is a spike where it lies so far from the middle one of its hour, °C. */
const SPIKE = 12;

/** The mean of each hour of a month, in the middle of it. Of two readings that disagree nobody knows which is wrong: both are in it. */
const means = `
  WITH hours AS (SELECT workshop_id, place_id, at / ${HOUR} AS hour, count(*) AS readings,
                   percentile_cont(0.5) WITHIN GROUP (ORDER BY temperature) AS middle FROM %1$I GROUP BY 1, 2, 3)
  SELECT workshop_id, place_id, hour * ${HOUR} + ${HOUR / 2} AS at, avg(temperature)::real AS temperature, avg(humidity)::real AS humidity, avg(wind)::real AS wind
  FROM hours JOIN %1$I USING (workshop_id, place_id)
  WHERE at / ${HOUR} = hour AND (readings < 3 OR abs(temperature - middle) <= ${SPIKE})
  GROUP BY workshop_id, place_id, hour ORDER BY 1, 2, 3`;

const doors = {
  /** Packs the oldest month before that of a time that is not packed yet, and answers its name; null where there is none, or another server is at it. */
  'pack_readings(before_ms bigint)': `text LANGUAGE plpgsql $$
    DECLARE
      latest text := 'ambient_readings_' || to_char(to_timestamp(before_ms / 1000.0) AT TIME ZONE 'UTC', 'YYYY_MM');
      part text;
    BEGIN
      IF NOT pg_try_advisory_xact_lock(81370003) THEN RETURN NULL; END IF;
      SELECT relname INTO part FROM pg_class
        WHERE relname ~ '^ambient_readings_\\d{4}_\\d{2}$' AND relname < latest AND relkind = 'r' AND relnamespace = 'public'::regnamespace
          AND obj_description(oid, 'pg_class') IS DISTINCT FROM 'packed'
        ORDER BY relname LIMIT 1;
      IF part IS NULL THEN RETURN NULL; END IF;
      -- Whoever reads this month waits until it is packed. The lock is taken at once: a lesser one, raised later, could wait for a writer that waits for it.
      PERFORM set_config('lock_timeout', '3s', true);
      EXECUTE format('LOCK TABLE %I IN ACCESS EXCLUSIVE MODE', part);
      EXECUTE format('CREATE TEMPORARY TABLE packed_readings ON COMMIT DROP AS ${means}', part);
      EXECUTE format('TRUNCATE %I', part);
      EXECUTE format('INSERT INTO %I (workshop_id, place_id, at, temperature, humidity, wind) SELECT * FROM pg_temp.packed_readings', part);
      EXECUTE format('COMMENT ON TABLE %I IS ''packed''', part);
      RETURN part;
    END $$`,
};

/** Months that are long past keep the mean of each hour. */
export class ReadingMonths1798700000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const statement of openDoors(doors)) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const statement of closeDoors(doors)) await runner.query(statement);
  }
}
