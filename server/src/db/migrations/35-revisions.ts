import type { MigrationInterface, QueryRunner } from 'typeorm';
import { closeDoors, openDoors } from './frozen-policies.js';

/** Tables by what is told apart of a workshop. Sessions are no part of it: no answer that is asked for again is made of them. */
const areas = {
  workshop: ['workshops', 'people', 'past_people'],
  moulds: ['moulds', 'mould_copies', 'mould_pictures', 'tubs', 'patterns', 'pattern_revisions'],
  materials: ['materials', 'lots', 'scoops', 'stock'],
  recipes: ['mixes', 'mix_revisions', 'tints', 'tint_revisions', 'swatches', 'trial_tiles'],
  ambient: ['places', 'ambient_readings', 'ambient_asides'],
  pours: ['pours', 'run_events'],
  casts: ['casts', 'cast_events', 'cast_pictures'],
  lessons: ['demould_lessons', 'seal_lessons', 'forgotten_lessons', 'findings_aside', 'kept_ways'],
  rest: [
    ...['audit_entries', 'bench_scales', 'calendar_keys', 'calendar_plans', 'caster_weeks', 'costings', 'invitations'],
    ...['mails', 'orders', 'photos', 'trials', 'webhook_deliveries', 'webhooks'],
  ],
} as const;

const pairs = Object.entries(areas).flatMap(([area, tables]) => tables.map((table) => [area, table] as const));

const trigger = 'workshop_changed';

/** Fires when the transaction is through, so that writers of a workshop wait for one another no longer than that. */
const fires = ([area, table]: readonly [string, string]) =>
  `CREATE CONSTRAINT TRIGGER "${trigger}" AFTER INSERT OR UPDATE OR DELETE ON "${table}"
     DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION workshop_changed('${area}')`;

const kept = `CREATE TABLE door.revisions (workshop_id uuid PRIMARY KEY REFERENCES workshops (id) ON DELETE CASCADE, areas jsonb NOT NULL)
  WITH (fillfactor = 50)`;

/** The first change of an area in a transaction gives it a new revision: one that no other state had, be it of a backup. */
const changes: Readonly<Record<string, string>> = {
  'workshop_changed()': `trigger
    LANGUAGE plpgsql $$ DECLARE changed uuid; mark text := 'revised.' || TG_ARGV[0]; BEGIN
      IF TG_TABLE_NAME = 'workshops' THEN changed := coalesce(NEW.id, OLD.id);
      ELSE changed := coalesce(NEW.workshop_id, OLD.workshop_id); END IF;
      IF current_setting(mark, true) IS DISTINCT FROM changed::text THEN
        INSERT INTO door.revisions SELECT id, jsonb_build_object(TG_ARGV[0], gen_random_uuid()) FROM workshops WHERE id = changed
          ON CONFLICT (workshop_id) DO UPDATE SET areas = revisions.areas || EXCLUDED.areas;
        PERFORM set_config(mark, changed::text, true);
      END IF;
      RETURN NULL;
    END $$`,
};

const lesser = `(ARRAY['guest', 'helper', 'caster', 'owner'])[least(
           array_position(ARRAY['guest', 'helper', 'caster', 'owner'], people.role),
           array_position(ARRAY['guest', 'helper', 'caster', 'owner'], sessions.role))]`;

/** Sessions of several tokens with the revisions of their workshops. Each request asks for one: unlike that of an SQL function, the plan is kept. */
const lookup: Readonly<Record<string, string>> = {
  'session_lookups(tokens bytea[])': `TABLE (token bytea, session_id uuid, person_id uuid, workshop_id uuid, kind text, stale boolean, language text, units text, currency text,
      role text, person text, removed_at bigint, areas jsonb)
    LANGUAGE plpgsql STABLE $$ #variable_conflict use_column
    BEGIN RETURN QUERY SELECT asked.token, sessions.id, sessions.person_id, sessions.workshop_id, sessions.kind,
        token_hash = asked.token AND renewed_at < now() - interval '1 day', people.language,
        workshops.settings ->> 'units', workshops.settings ->> 'currency', ${lesser}, people.name, workshops.removed_at, revisions.areas
      FROM unnest(tokens) AS asked (token)
        JOIN sessions ON token_hash = asked.token OR (previous_hash = asked.token AND renewed_at > now() - interval '1 minute')
        JOIN people ON people.workshop_id = sessions.workshop_id AND people.id = sessions.person_id
        JOIN workshops ON workshops.id = sessions.workshop_id
        LEFT JOIN door.revisions ON revisions.workshop_id = sessions.workshop_id
      WHERE expires_at > now(); END $$`,
};

/** Each area of a workshop has a revision that every change of its rows renews: what was answered at one is so as long as it stands. */
export class Revisions1798600000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    const up = [
      kept,
      // The lookup of one session stays for servers of the version before.
      ...openDoors({ ...changes, ...lookup }),
      ...pairs.map(fires),
    ];
    for (const statement of up) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    const down = [
      ...pairs.map(([, table]) => `DROP TRIGGER "${trigger}" ON "${table}"`),
      ...closeDoors({ ...changes, ...lookup }),
      'DROP TABLE door.revisions',
    ];
    for (const statement of down) await runner.query(statement);
  }
}
