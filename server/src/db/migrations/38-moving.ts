import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What fires at the end of a transaction that changed a workshop; `closed` is what else it does. */
const changed = (where: string, otherwise: string) => `CREATE OR REPLACE FUNCTION workshop_changed() RETURNS trigger
    LANGUAGE plpgsql SECURITY DEFINER SET search_path = public AS $$ DECLARE changed uuid; mark text := 'revised.' || TG_ARGV[0]; BEGIN
      IF TG_TABLE_NAME = 'workshops' THEN changed := coalesce(NEW.id, OLD.id);
      ELSE changed := coalesce(NEW.workshop_id, OLD.workshop_id); END IF;
      IF current_setting(mark, true) IS DISTINCT FROM changed::text THEN
        INSERT INTO door.revisions SELECT id, jsonb_build_object(TG_ARGV[0], gen_random_uuid()) FROM workshops WHERE id = changed
          ON CONFLICT (workshop_id) DO UPDATE SET areas = revisions.areas || EXCLUDED.areas${where};${otherwise}
        PERFORM set_config(mark, changed::text, true);
      END IF;
      RETURN NULL;
    END $$`;

// The row is held until the end of the transaction: whoever closes the workshop waits for those that changed it, and those that come later find it closed.
const refusing = changed(
  ' WHERE NOT revisions.closed',
  `
        IF NOT FOUND AND EXISTS (SELECT 1 FROM door.revisions WHERE workshop_id = changed AND closed) THEN
          RAISE EXCEPTION 'The workshop is being moved.' USING ERRCODE = 'read_only_sql_transaction';
        END IF;`,
);

/** A workshop that is being moved to another cluster can be read alone. */
export class Moving1798900000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE door.revisions ADD closed boolean NOT NULL DEFAULT false');
    await runner.query(refusing);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(changed('', ''));
    await runner.query('ALTER TABLE door.revisions DROP closed');
  }
}
