import type { MigrationInterface, QueryRunner } from 'typeorm';
import { APP_ROLE, enableRowSecurity } from './frozen-policies.js';

const schema = [
  `CREATE TABLE "workshops" ("id" uuid NOT NULL, "version" integer NOT NULL, "settings" jsonb NOT NULL, "demo" boolean NOT NULL DEFAULT false, "pours_counted" integer NOT NULL DEFAULT '0', CONSTRAINT "PK_6d0e82a124f5b53df91c8989848" PRIMARY KEY ("id"))`,
  `CREATE TABLE "people" ("id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "name" text NOT NULL, "email" text NOT NULL, "passphrase_hash" text, CONSTRAINT "PK_aa866e71353ee94c6cc51059c5b" PRIMARY KEY ("id"))`,
  `CREATE INDEX "IDX_dd967e471da8b1ec6e3869b520" ON "people" ("workshop_id")`,
  `CREATE UNIQUE INDEX "IDX_c77e8752faa45901af2b245dff" ON "people" ("email")`,
  `CREATE TABLE "sessions" ("id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "person_id" uuid NOT NULL, "token_hash" bytea NOT NULL, "expires_at" TIMESTAMP WITH TIME ZONE NOT NULL, CONSTRAINT "PK_3238ef96f18b355b671619111bc" PRIMARY KEY ("id"))`,
  `CREATE INDEX "IDX_98e19fc1b0f859ea689ac45444" ON "sessions" ("workshop_id")`,
  `CREATE UNIQUE INDEX "IDX_abaa9e068cdd390bc5210f7988" ON "sessions" ("token_hash")`,
  `CREATE TABLE "moulds" ("id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "version" integer NOT NULL, "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "name" text NOT NULL, "body" jsonb NOT NULL, CONSTRAINT "PK_4d22e23b1b0c45de52555a7dfb0" PRIMARY KEY ("id"))`,
  `CREATE INDEX "IDX_5d40867c7fa97ce2bc651051ca" ON "moulds" ("workshop_id")`,
  `CREATE TABLE "mould_copies" ("id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "mould_id" uuid NOT NULL, "mark" text NOT NULL, "cycles" integer NOT NULL DEFAULT '0', CONSTRAINT "PK_feef2432150db0919c5c3e21e65" PRIMARY KEY ("id"))`,
  `CREATE INDEX "IDX_6a40a81fb8692ba3405d31c12a" ON "mould_copies" ("workshop_id")`,
  `CREATE INDEX "IDX_420d000cb7a04cf687bb12e4c8" ON "mould_copies" ("mould_id")`,
  `CREATE TABLE "materials" ("id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "version" integer NOT NULL, "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "name" text NOT NULL, "body" jsonb NOT NULL, CONSTRAINT "PK_2fd1a93ecb222a28bef28663fa0" PRIMARY KEY ("id"))`,
  `CREATE INDEX "IDX_75979d2d3ab81d5ddd6652cfcd" ON "materials" ("workshop_id")`,
  `CREATE TABLE "lots" ("id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "version" integer NOT NULL, "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "material_id" uuid NOT NULL, "bought" double precision NOT NULL, "left" double precision NOT NULL, "price" double precision NOT NULL, "bought_at" bigint NOT NULL, CONSTRAINT "PK_2bb990a4015865cb1daa1d22fd9" PRIMARY KEY ("id"))`,
  `CREATE INDEX "IDX_84097fee57973a231c4b95f919" ON "lots" ("workshop_id")`,
  `CREATE INDEX "IDX_ffa9522265644880a4b1961e80" ON "lots" ("material_id")`,
  `CREATE TABLE "scoops" ("id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "version" integer NOT NULL, "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "name" text NOT NULL, "volume" double precision NOT NULL, CONSTRAINT "PK_625b7a1ed3b225a5797d32e7bbf" PRIMARY KEY ("id"))`,
  `CREATE INDEX "IDX_84d2b0d90488294b668a2fe9a6" ON "scoops" ("workshop_id")`,
  `CREATE TABLE "mixes" ("id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "version" integer NOT NULL, "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "name" text NOT NULL, "body" jsonb NOT NULL, CONSTRAINT "PK_aaa4f7cbcbb0429a47f7c8a8993" PRIMARY KEY ("id"))`,
  `CREATE INDEX "IDX_160839e13d6d78f6faf9a0dc68" ON "mixes" ("workshop_id")`,
  `CREATE TABLE "pours" ("id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "version" integer NOT NULL, "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "number" integer NOT NULL, "status" text NOT NULL, "mix_name" text NOT NULL, "colour" text NOT NULL, "input" jsonb NOT NULL, "plan" jsonb NOT NULL, "log" jsonb, "started_at" bigint, "poured_at" bigint, CONSTRAINT "PK_ac4d760796ab4aad27fd12098be" PRIMARY KEY ("id"))`,
  `CREATE INDEX "IDX_4bd497ef521f09a5d3bd765d5d" ON "pours" ("workshop_id")`,
  `CREATE TABLE "casts" ("id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "pour_id" uuid NOT NULL, "mould_id" uuid NOT NULL, "code" text NOT NULL, "stage" text NOT NULL, "snapshot" jsonb NOT NULL, "expected" jsonb NOT NULL, "projection" jsonb NOT NULL, CONSTRAINT "PK_a7f4a967c0ef1bed2585ff061b7" PRIMARY KEY ("id"))`,
  `CREATE INDEX "IDX_770f6a0710e67f41c7859b8c94" ON "casts" ("workshop_id")`,
  `CREATE INDEX "IDX_2b974cc8aa2f45e32d4a989056" ON "casts" ("pour_id")`,
  `CREATE INDEX "IDX_e45daed31a30440822c4404e98" ON "casts" ("stage")`,
  `CREATE TABLE "cast_events" ("id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "cast_id" uuid NOT NULL, "person_id" uuid, "event" jsonb NOT NULL, "recorded_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), CONSTRAINT "PK_36f6b4c08473a51c8efad124c97" PRIMARY KEY ("id"))`,
  `CREATE INDEX "IDX_a7d84ba905abff518dc51f6091" ON "cast_events" ("workshop_id")`,
  `CREATE INDEX "IDX_bcd92be0287a2dd9ee85900878" ON "cast_events" ("cast_id")`,
];

/**
 * Look-ups that come before a workshop is known. They run as the owner, answer one row at most,
 * and are all that the application may see across workshops.
 */
const doors = [
  `CREATE FUNCTION session_lookup(token bytea) RETURNS TABLE (session_id uuid, person_id uuid, workshop_id uuid)
    LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public AS
    $$ SELECT id, person_id, workshop_id FROM sessions WHERE token_hash = token AND expires_at > now() $$`,
  `CREATE FUNCTION sign_in_lookup(address text) RETURNS TABLE (person_id uuid, workshop_id uuid, passphrase_hash text)
    LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public AS
    $$ SELECT id, workshop_id, passphrase_hash FROM people WHERE email = address $$`,
  `CREATE FUNCTION demo_lookup() RETURNS TABLE (person_id uuid, workshop_id uuid, passphrase_hash text)
    LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public AS
    $$ SELECT p.id, p.workshop_id, p.passphrase_hash FROM people p JOIN workshops w ON w.id = p.workshop_id
       WHERE w.demo ORDER BY p.id LIMIT 1 $$`,
];

const doorNames = ['session_lookup(bytea)', 'sign_in_lookup(text)', 'demo_lookup()'];

const walled = [
  'people',
  'sessions',
  'moulds',
  'mould_copies',
  'materials',
  'lots',
  'scoops',
  'mixes',
  'pours',
  'casts',
  'cast_events',
];

/** The first tables, each walled off by workshop, and the doors to them. */
export class Initial1764000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    const grants = doorNames.flatMap((name) => [
      `REVOKE ALL ON FUNCTION ${name} FROM PUBLIC`,
      `GRANT EXECUTE ON FUNCTION ${name} TO ${APP_ROLE}`,
    ]);
    const walls = [...enableRowSecurity('workshops', 'id'), ...walled.flatMap((table) => enableRowSecurity(table))];
    for (const statement of [...schema, ...walls, ...doors, ...grants]) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const name of doorNames) await runner.query(`DROP FUNCTION ${name}`);
    for (const table of [...walled, 'workshops']) await runner.query(`DROP TABLE "${table}"`);
  }
}
