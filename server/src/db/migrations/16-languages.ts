import type { MigrationInterface, QueryRunner } from 'typeorm';
import { APP_ROLE } from './frozen-policies.js';

/** Signs of money that were typed, as the currencies that they are most often of. */
const codes = {
  '€': 'EUR',
  '£': 'GBP',
  $: 'USD',
  '¥': 'JPY',
  zł: 'PLN',
  kr: 'SEK',
  Kč: 'CZK',
  Fr: 'CHF',
  'Fr.': 'CHF',
};

const lookup = (returned: string, found: string, from: string) => [
  'DROP FUNCTION session_lookup(bytea)',
  // The token before the last one holds for a minute: requests that were under way when it was renewed.
  `CREATE FUNCTION session_lookup(token bytea)
    RETURNS TABLE (session_id uuid, person_id uuid, workshop_id uuid, kind text, stale boolean${returned})
    LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public AS
    $$ SELECT sessions.id, sessions.person_id, sessions.workshop_id, sessions.kind,
         token_hash = token AND renewed_at < now() - interval '1 day'${found} FROM sessions${from}
       WHERE (token_hash = token OR (previous_hash = token AND renewed_at > now() - interval '1 minute'))
         AND expires_at > now() LIMIT 1 $$`,
  'REVOKE ALL ON FUNCTION session_lookup(bytea) FROM PUBLIC',
  `GRANT EXECUTE ON FUNCTION session_lookup(bytea) TO ${APP_ROLE}`,
];

/** A text that was kept, as a message that says just it. */
const asMessage = (text: string) =>
  `jsonb_build_object('key', 'units.plain', 'values', jsonb_build_object('value', ${text}))`;

/** Sentences that were kept as text are messages now. */
const messages = [
  `ALTER TABLE "ambient_asides" ALTER COLUMN "why" TYPE jsonb USING ${asMessage('"why"')}`,
  `UPDATE "casts" SET "projection" = jsonb_set("projection", '{life,filmTest,told}', ${asMessage(`"projection" #>> '{life,filmTest,told}'`)})
   WHERE jsonb_typeof("projection" #> '{life,filmTest,told}') = 'string'`,
  `UPDATE "casts" SET "projection" = jsonb_set("projection", '{dry,missing}',
     (SELECT coalesce(jsonb_agg(${asMessage('one')}), '[]') FROM jsonb_array_elements_text("projection" #> '{dry,missing}') AS one))
   WHERE jsonb_typeof("projection" #> '{dry,missing,0}') = 'string'`,
];

/** People read in a language of their own; money is of a currency and no longer of a sign. */
export class Languages1796600000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE "people" ADD "language" text');
    for (const statement of messages) await runner.query(statement);
    await runner.query(
      `UPDATE "workshops" SET "settings" = jsonb_set("settings", '{currency}', to_jsonb(
         CASE WHEN "settings" ->> 'currency' ~ '^[A-Z]{3}$' THEN "settings" ->> 'currency'
         ELSE coalesce($1::jsonb ->> trim("settings" ->> 'currency'), 'EUR') END))`,
      [codes],
    );
    const settings = `, workshops.settings ->> 'units', workshops.settings ->> 'currency'`;
    const joins = ` JOIN people ON people.workshop_id = sessions.workshop_id AND people.id = sessions.person_id
         JOIN workshops ON workshops.id = sessions.workshop_id`;
    const wider = lookup(', language text, units text, currency text', `, people.language${settings}`, joins);
    for (const statement of wider) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const statement of lookup('', '', '')) await runner.query(statement);
    await runner.query(
      `ALTER TABLE "ambient_asides" ALTER COLUMN "why" TYPE text USING coalesce("why" #>> '{values,value}', "why" ->> 'key')`,
    );
    await runner.query('ALTER TABLE "people" DROP COLUMN "language"');
  }
}
