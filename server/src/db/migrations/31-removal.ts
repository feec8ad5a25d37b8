import type { MigrationInterface, QueryRunner } from 'typeorm';
import { closeDoors, openDoors } from './frozen-policies.js';

const lesser = `(ARRAY['guest', 'helper', 'caster', 'owner'])[least(
           array_position(ARRAY['guest', 'helper', 'caster', 'owner'], people.role),
           array_position(ARRAY['guest', 'helper', 'caster', 'owner'], sessions.role))]`;

/** A session, and with `removed` when its workshop was deleted. */
const sessionLookup = (removed: boolean) => ({
  'session_lookup(token bytea)': `TABLE (session_id uuid, person_id uuid, workshop_id uuid, kind text, stale boolean, language text, units text, currency text,
      role text, person text${removed ? ', removed_at bigint' : ''})
    LANGUAGE sql STABLE $$ SELECT sessions.id, sessions.person_id, sessions.workshop_id, sessions.kind,
         token_hash = token AND renewed_at < now() - interval '1 day', people.language,
         workshops.settings ->> 'units', workshops.settings ->> 'currency', ${lesser}, people.name${removed ? ', workshops.removed_at' : ''}
       FROM sessions JOIN people ON people.workshop_id = sessions.workshop_id AND people.id = sessions.person_id
         JOIN workshops ON workshops.id = sessions.workshop_id
       WHERE (token_hash = token OR (previous_hash = token AND renewed_at > now() - interval '1 minute'))
         AND expires_at > now() LIMIT 1 $$`,
});

const accountWorkshops = (removed: boolean) => ({
  'account_workshops(account uuid)': `TABLE (workshop_id uuid, person_id uuid, name text, role text${removed ? ', removed_at bigint' : ''})
    LANGUAGE sql STABLE $$ SELECT p.workshop_id, p.id, w.settings ->> 'name', p.role${removed ? ', w.removed_at' : ''}
      FROM people p JOIN workshops w ON w.id = p.workshop_id WHERE p.account_id = account ORDER BY p.id $$`,
});

/** Ways in from outside; with `shut` those of a deleted workshop lead nowhere. */
const waysIn = (shut: boolean) => {
  const here = (table: string) =>
    shut ? `AND EXISTS (SELECT 1 FROM workshops w WHERE w.id = ${table}.workshop_id AND w.removed_at IS NULL)` : '';
  return {
    'calendar_lookup(token bytea)': `TABLE (workshop_id uuid)
      LANGUAGE sql STABLE $$ SELECT workshop_id FROM calendar_keys WHERE token_hash = token ${here('calendar_keys')} $$`,
    'invitation_lookup(token bytea)': `TABLE (id uuid, workshop_id uuid)
      LANGUAGE sql STABLE $$ SELECT id, workshop_id FROM invitations WHERE token_hash = token ${here('invitations')} LIMIT 1 $$`,
  };
};

const over: Readonly<Record<string, string>> = {
  'workshops_over(until bigint)': `TABLE (workshop_id uuid)
    LANGUAGE sql STABLE $$ SELECT id FROM workshops WHERE removed_at < until ORDER BY removed_at LIMIT 20 $$`,
};

const doors = (now: boolean) => ({ ...sessionLookup(now), ...accountWorkshops(now), ...waysIn(now) });

/** A workshop can be deleted, and brought back for a while. */
export class Removal1798100000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    const up = [
      'ALTER TABLE "workshops" ADD "removed_at" bigint',
      'CREATE INDEX "IDX_a67e1ab05a6570f9f3f7388552" ON "workshops" ("removed_at")',
      ...closeDoors(doors(false)),
      ...openDoors({ ...doors(true), ...over }),
    ];
    for (const statement of up) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    const down = [
      ...closeDoors({ ...doors(true), ...over }),
      ...openDoors(doors(false)),
      'DROP INDEX "IDX_a67e1ab05a6570f9f3f7388552"',
      'ALTER TABLE "workshops" DROP COLUMN "removed_at"',
    ];
    for (const statement of down) await runner.query(statement);
  }
}
