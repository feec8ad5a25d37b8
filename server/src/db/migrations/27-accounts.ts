import type { MigrationInterface, QueryRunner } from 'typeorm';
import { APP_ROLE, closeDoors, openDoors } from './frozen-policies.js';

const tables = [
  'CREATE TABLE door.accounts (id uuid PRIMARY KEY, email text NOT NULL UNIQUE, passphrase_hash text)',
  `CREATE TABLE door.recovery_codes (account_id uuid NOT NULL REFERENCES door.accounts (id) ON DELETE CASCADE,
     code_hash bytea NOT NULL, used_at timestamptz, PRIMARY KEY (account_id, code_hash))`,
  'INSERT INTO door.accounts SELECT id, email, passphrase_hash FROM people',
  'ALTER TABLE "people" ADD "account_id" uuid',
  'UPDATE "people" SET "account_id" = "id"',
  'ALTER TABLE "people" ALTER "account_id" SET NOT NULL, DROP COLUMN "passphrase_hash"',
  'DROP INDEX "IDX_c77e8752faa45901af2b245dff"',
  'CREATE UNIQUE INDEX "IDX_c5c30cc684373e5a0085d54cee" ON "people" ("workshop_id", "account_id")',
  'CREATE INDEX "IDX_3b02373ca22a7c9d1adcbb8b0f" ON "people" ("account_id")',
];

/** An account goes with the last workshop that it was in. Whoever joins holds the account meanwhile. */
const forgetting = [
  `CREATE FUNCTION forget_account() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER SET search_path = public AS $$
   BEGIN
     PERFORM 1 FROM door.accounts WHERE id = OLD.account_id FOR UPDATE;
     DELETE FROM door.accounts WHERE id = OLD.account_id
       AND NOT EXISTS (SELECT 1 FROM people WHERE account_id = OLD.account_id);
     RETURN NULL;
   END $$`,
  'CREATE TRIGGER forget_account AFTER DELETE ON "people" FOR EACH ROW EXECUTE FUNCTION forget_account()',
];

/** The person of an account who was at work last. */
const person = `SELECT a.id, p.id, p.workshop_id, a.passphrase_hash
  FROM door.accounts a JOIN people p ON p.account_id = a.id
  WHERE a.email = address
  ORDER BY (SELECT max(s.renewed_at) FROM sessions s WHERE s.workshop_id = p.workshop_id AND s.person_id = p.id) DESC NULLS LAST, p.id
  LIMIT 1`;

/** What the application may ask and change across workshops. */
const doors: Readonly<Record<string, string>> = {
  'sign_in_lookup(address text)': `TABLE (account_id uuid, person_id uuid, workshop_id uuid, passphrase_hash text)
    LANGUAGE sql STABLE $$ ${person} $$`,
  'demo_lookup()': `TABLE (account_id uuid, person_id uuid, workshop_id uuid, passphrase_hash text)
    LANGUAGE sql STABLE $$ SELECT a.id, p.id, p.workshop_id, a.passphrase_hash
      FROM people p JOIN workshops w ON w.id = p.workshop_id JOIN door.accounts a ON a.id = p.account_id
      WHERE w.demo ORDER BY p.id LIMIT 1 $$`,
  'account_workshops(account uuid)': `TABLE (workshop_id uuid, person_id uuid, name text, role text)
    LANGUAGE sql STABLE $$ SELECT p.workshop_id, p.id, w.settings ->> 'name', p.role
      FROM people p JOIN workshops w ON w.id = p.workshop_id WHERE p.account_id = account ORDER BY p.id $$`,
  'account_held(account uuid)': `TABLE (passphrase_hash text)
    LANGUAGE sql $$ SELECT a.passphrase_hash FROM door.accounts a WHERE a.id = account FOR NO KEY UPDATE $$`,
  'account_make(account uuid, address text, hash text)': `boolean
    LANGUAGE plpgsql $$ BEGIN
      INSERT INTO door.accounts VALUES (account, address, hash) ON CONFLICT DO NOTHING;
      RETURN FOUND;
    END $$`,
  'account_renew(account uuid, hash text, spared uuid)': `TABLE (session_id uuid)
    LANGUAGE sql $$ UPDATE door.accounts SET passphrase_hash = hash WHERE id = account;
      DELETE FROM sessions s USING people p
        WHERE p.account_id = account AND s.workshop_id = p.workshop_id AND s.person_id = p.id AND s.id IS DISTINCT FROM spared
        RETURNING s.id $$`,
  'recovery_codes_make(account uuid, hashes bytea[])': `void
    LANGUAGE sql $$ DELETE FROM door.recovery_codes WHERE account_id = account;
      INSERT INTO door.recovery_codes (account_id, code_hash) SELECT account, unnest(hashes) $$`,
  'recovery_codes_left(account uuid)': `bigint
    LANGUAGE sql STABLE $$ SELECT count(*) FROM door.recovery_codes WHERE account_id = account AND used_at IS NULL $$`,
  'recovery_code_use(account uuid, hash bytea)': `boolean
    LANGUAGE plpgsql $$ BEGIN
      UPDATE door.recovery_codes SET used_at = now() WHERE account_id = account AND code_hash = hash AND used_at IS NULL;
      RETURN FOUND;
    END $$`,
};

const dropped = ['DROP FUNCTION sign_in_lookup(text)', 'DROP FUNCTION demo_lookup()'];

const down = [
  ...closeDoors(doors),
  'DROP TRIGGER forget_account ON "people"',
  'DROP FUNCTION forget_account()',
  'ALTER TABLE "people" ADD "passphrase_hash" text',
  'UPDATE people SET passphrase_hash = a.passphrase_hash FROM door.accounts a WHERE a.id = people.account_id',
  'DROP INDEX "IDX_3b02373ca22a7c9d1adcbb8b0f"',
  'DROP INDEX "IDX_c5c30cc684373e5a0085d54cee"',
  'ALTER TABLE "people" DROP COLUMN "account_id"',
  'CREATE UNIQUE INDEX "IDX_c77e8752faa45901af2b245dff" ON "people" ("email")',
  'DROP TABLE door.recovery_codes, door.accounts',
  `CREATE FUNCTION sign_in_lookup(address text) RETURNS TABLE (person_id uuid, workshop_id uuid, passphrase_hash text)
    LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public AS
    $$ SELECT id, workshop_id, passphrase_hash FROM people WHERE email = address $$`,
  `CREATE FUNCTION demo_lookup() RETURNS TABLE (person_id uuid, workshop_id uuid, passphrase_hash text)
    LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public AS
    $$ SELECT p.id, p.workshop_id, p.passphrase_hash FROM people p JOIN workshops w ON w.id = p.workshop_id
       WHERE w.demo ORDER BY p.id LIMIT 1 $$`,
  ...['sign_in_lookup(text)', 'demo_lookup()'].flatMap((name) => [
    `REVOKE ALL ON FUNCTION ${name} FROM PUBLIC`,
    `GRANT EXECUTE ON FUNCTION ${name} TO ${APP_ROLE}`,
  ]),
];

/** A passphrase belongs to an account, and an account to any number of workshops: in each it is a person. Recovery codes of accounts. */
export class Accounts1797700000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const statement of [...tables, ...forgetting, ...dropped, ...openDoors(doors)]) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const statement of down) await runner.query(statement);
  }
}
