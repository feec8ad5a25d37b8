import type { MigrationInterface, QueryRunner } from 'typeorm';
import { closeDoors, openDoors } from './frozen-policies.js';

const tables = [
  `CREATE TABLE door.passkeys (id uuid PRIMARY KEY, account_id uuid NOT NULL REFERENCES door.accounts (id) ON DELETE CASCADE,
     credential text NOT NULL UNIQUE, site text NOT NULL, public_key bytea NOT NULL, counter bigint NOT NULL, transports text[] NOT NULL,
     label text NOT NULL, made_at timestamptz NOT NULL DEFAULT now(), used_at timestamptz)`,
  'CREATE INDEX passkeys_of_account ON door.passkeys (account_id)',
  'CREATE TABLE door.challenges (challenge text PRIMARY KEY, account_id uuid, ends_at timestamptz NOT NULL)',
];

/** What the application may ask and change of them. */
const doors: Readonly<Record<string, string>> = {
  'challenge_make(made text, account uuid)': `void
    LANGUAGE sql $$ DELETE FROM door.challenges WHERE ends_at < now();
      INSERT INTO door.challenges VALUES (made, account, now() + interval '5 minutes') $$`,
  'challenge_take(given text, account uuid)': `boolean
    LANGUAGE plpgsql $$ BEGIN
      DELETE FROM door.challenges WHERE challenge = given AND account_id IS NOT DISTINCT FROM account AND ends_at > now();
      RETURN FOUND;
    END $$`,
  'passkeys_of(account uuid)': `TABLE (id uuid, credential text, site text, transports text[], label text, made_at timestamptz, used_at timestamptz)
    LANGUAGE sql STABLE $$ SELECT id, credential, site, transports, label, made_at, used_at
      FROM door.passkeys WHERE account_id = account ORDER BY id $$`,
  'passkey_find(given text)': `TABLE (id uuid, account_id uuid, person_id uuid, workshop_id uuid, passphrase_hash text, site text,
      public_key bytea, counter bigint)
    LANGUAGE sql STABLE $$ SELECT k.id, l.account_id, l.person_id, l.workshop_id, l.passphrase_hash, k.site, k.public_key, k.counter
      FROM door.passkeys k JOIN door.accounts a ON a.id = k.account_id, LATERAL sign_in_lookup(a.email) l WHERE k.credential = given $$`,
  'passkey_add(key uuid, account uuid, given text, name text, public bytea, count bigint, ways text[], called text)': `boolean
    LANGUAGE plpgsql $$ BEGIN
      INSERT INTO door.passkeys (id, account_id, credential, site, public_key, counter, transports, label)
        VALUES (key, account, given, name, public, count, ways, called) ON CONFLICT DO NOTHING;
      RETURN FOUND;
    END $$`,
  'passkey_used(key uuid, count bigint)': `void
    LANGUAGE sql $$ UPDATE door.passkeys SET counter = greatest(counter, count), used_at = now() WHERE id = key $$`,
  'passkey_remove(account uuid, key uuid)': `boolean
    LANGUAGE plpgsql $$ BEGIN
      DELETE FROM door.passkeys WHERE account_id = account AND id = key;
      RETURN FOUND;
    END $$`,
};

const down = [...closeDoors(doors), 'DROP TABLE door.challenges, door.passkeys'];

/** Passkeys of accounts, and the challenges that they answer, each once. */
export class Passkeys1797800000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const statement of [...tables, ...openDoors(doors)]) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const statement of down) await runner.query(statement);
  }
}
