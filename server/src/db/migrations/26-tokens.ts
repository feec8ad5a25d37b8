import type { MigrationInterface, QueryRunner } from 'typeorm';
import { APP_ROLE } from './frozen-policies.js';

const lesser = `(ARRAY['guest', 'helper', 'caster', 'owner'])[least(
           array_position(ARRAY['guest', 'helper', 'caster', 'owner'], people.role),
           array_position(ARRAY['guest', 'helper', 'caster', 'owner'], sessions.role))]`;

const session = (returned: string, found: string) => [
  'DROP FUNCTION session_lookup(bytea)',
  `CREATE FUNCTION session_lookup(token bytea)
    RETURNS TABLE (session_id uuid, person_id uuid, workshop_id uuid, kind text, stale boolean, language text, units text, currency text${returned})
    LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public AS
    $$ SELECT sessions.id, sessions.person_id, sessions.workshop_id, sessions.kind,
         token_hash = token AND renewed_at < now() - interval '1 day', people.language,
         workshops.settings ->> 'units', workshops.settings ->> 'currency'${found}
       FROM sessions JOIN people ON people.workshop_id = sessions.workshop_id AND people.id = sessions.person_id
         JOIN workshops ON workshops.id = sessions.workshop_id
       WHERE (token_hash = token OR (previous_hash = token AND renewed_at > now() - interval '1 minute'))
         AND expires_at > now() LIMIT 1 $$`,
  'REVOKE ALL ON FUNCTION session_lookup(bytea) FROM PUBLIC',
  `GRANT EXECUTE ON FUNCTION session_lookup(bytea) TO ${APP_ROLE}`,
];

/** A token of a script may do less than its owner, and ends by a day. Whoever is known by a session is known by role and name too. */
export class Tokens1797600000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE "sessions" ADD "role" text, ADD "ends_at" TIMESTAMP WITH TIME ZONE');
    for (const statement of session(', role text, person text', `, ${lesser}, people.name`))
      await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const statement of session('', '')) await runner.query(statement);
    await runner.query('ALTER TABLE "sessions" DROP COLUMN "role", DROP COLUMN "ends_at"');
  }
}
