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
      PERFORM set_config('lock_timeout', '3s', true);
      -- Places first, as whoever takes readings in holds them: what was calculated from these is then calculated again.
      EXECUTE format('UPDATE places SET late = late + 1 WHERE (workshop_id, id) IN (SELECT workshop_id, place_id FROM %I)', part);
      -- Whoever reads this month waits until it is packed.
      EXECUTE format('LOCK TABLE %I IN ACCESS EXCLUSIVE MODE', part);
      EXECUTE format('CREATE TEMPORARY TABLE packed_readings ON COMMIT DROP AS ${means}', part);
      EXECUTE format('TRUNCATE %I', part);
      EXECUTE format('INSERT INTO %I (workshop_id, place_id, at, temperature, humidity, wind) SELECT * FROM pg_temp.packed_readings', part);
      EXECUTE format('COMMENT ON TABLE %I IS ''packed''', part);
      RETURN part;
    END $$`,

  /** Says of each place whose readings a statement put in when it was read last. That its row changes tells of it. */
  'readings_came()': `trigger LANGUAGE plpgsql $$ BEGIN
      UPDATE places SET latest_reading = greatest(latest_reading, newest)
        FROM (SELECT workshop_id, place_id, max(at) AS newest FROM came GROUP BY 1, 2) AS each
        WHERE places.workshop_id = each.workshop_id AND places.id = each.place_id;
      RETURN NULL;
    END $$`,

  'readings_went()': `trigger LANGUAGE plpgsql $$ BEGIN
      UPDATE places SET latest_reading = (SELECT max(at) FROM ambient_readings WHERE workshop_id = each.workshop_id AND place_id = each.place_id)
        FROM (SELECT DISTINCT workshop_id, place_id FROM went) AS each
        WHERE places.workshop_id = each.workshop_id AND places.id = each.place_id;
      RETURN NULL;
    END $$`,
};

/** One look at each statement, in place of one at each of 5,000 rows. */
const triggers = [
  'CREATE TRIGGER "readings_came" AFTER INSERT ON "ambient_readings" REFERENCING NEW TABLE AS came FOR EACH STATEMENT EXECUTE FUNCTION readings_came()',
  'CREATE TRIGGER "readings_went" AFTER DELETE ON "ambient_readings" REFERENCING OLD TABLE AS went FOR EACH STATEMENT EXECUTE FUNCTION readings_went()',
];

const eachRow = `CREATE CONSTRAINT TRIGGER "workshop_changed" AFTER INSERT OR UPDATE OR DELETE ON "ambient_readings"
  DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION workshop_changed('ambient')`;

const fill = `UPDATE places SET latest_reading =
  (SELECT max(at) FROM ambient_readings WHERE workshop_id = places.workshop_id AND place_id = places.id)`;

const up = [
  'ALTER TABLE "places" ADD "latest_reading" bigint',
  fill,
  // What the change of rows has to tell is told before their tables change again.
  'SET CONSTRAINTS ALL IMMEDIATE',
  ...openDoors(doors),
  'DROP TRIGGER "workshop_changed" ON "ambient_readings"',
  ...triggers,
];

const down = [
  'DROP TRIGGER "readings_went" ON "ambient_readings"',
  'DROP TRIGGER "readings_came" ON "ambient_readings"',
  eachRow,
  ...closeDoors(doors),
  'ALTER TABLE "places" DROP "latest_reading"',
];

/** A place knows when it was read last; months that are long past keep the mean of each hour. */
export class Readings1798700000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const statement of up) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const statement of down) await runner.query(statement);
  }
}
