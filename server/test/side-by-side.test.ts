import type { CastDetail } from '@dewpot/contract';
import { DataSource, type MigrationInterface, type QueryRunner } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { ownerOptions } from '../src/db/connection.js';
import { migrations } from '../src/db/migrations/index.js';
import { SideBySide1798800000000 } from '../src/db/migrations/37-side-by-side.js';
import { runMigrations, SCHEMA_LEVEL, whyNotServed, type Narrowing } from '../src/db/schema-level.js';
import { prepareDatabase } from '../src/index.js';
import { signedInAt } from './built-server.js';
import { newAddress, newDatabase, newWorkshop, pouredPots, routesOf, signedIn, startServer, type Agent, type Harness } from './harness.js'; // prettier-ignore
import { narrowing, statementsOf } from './narrowing-statements.js';
import { PreviousVersion, revisionBefore } from './previous-version.js';

const HOUR = 3_600_000;

const revision = revisionBefore();

describe.skipIf(!revision)(
  'a server of the version before the newest migration (skipped where the history is not at hand)',
  () => {
    const email = newAddress();
    let before: PreviousVersion;
    let ownerUrl: string;
    let harness: Harness;
    let [old, fresh]: Agent[] = [];

    beforeAll(async () => {
      before = PreviousVersion.build(revision!);
      ownerUrl = await newDatabase();
      expect(await before.prepare(ownerUrl)).toEqual({ empty: true });
      const url = await before.serve(ownerUrl);
      // While it serves, the database is brought up to date for the next.
      harness = await startServer({ ownerUrl });
      fresh = await newWorkshop(harness, 'Quince Yard', email);
      old = await signedInAt(url, email);
    });
    afterAll(async () => {
      await before.remove();
      await harness.close();
    });

    it('goes on before the newer schema, beside a server of this version: each goes on with what the other began', async () => {
      const pouredAt = Date.now() - 40 * HOUR;
      for (const [begins, goesOn] of [
        [old!, fresh!],
        [fresh!, old!],
      ] as const) {
        // prettier-ignore
        const { casts } = await pouredPots(begins, pouredAt);
        await goesOn
          .post(`/api/casts/${casts[0]}/events`)
          .send({ id: uuid(), at: Date.now() - HOUR, type: 'demoulded', damage: [], force: 'tapped' })
          .expect(200);
        const details = await Promise.all(
          [begins, goesOn].map(
            async (agent) => (await agent.get(`/api/casts/${casts[0]}`).expect(200)).body as CastDetail,
          ),
        );
        expect(details[0]!.events.map(({ type }) => type)).toEqual(['poured', 'demoulded']);
        expect(details[1]!.life).toEqual(details[0]!.life);
      }
    });

    it('answers everything that can be asked, as one of this version does', async () => {
      // A stream goes on and on.
      const paths = (await routesOf(harness!)).filter(
        ({ method, path }) => method === 'get' && !/\{|stream$/.test(path),
      );
      expect(paths.length).toBeGreaterThan(40);
      const differing: string[] = [];
      for (const { path } of paths) {
        const [of, by] = [await old!.get(path), await fresh!.get(path)];
        // What is new to it is not there.
        if (of.status !== by.status && of.status !== 404)
          differing.push(`${path}: ${of.status} where now ${by.status}`);
      }
      expect(differing).toEqual([]);
    });

    it('can be started again', async () => {
      await before.end();
      expect(await before.prepare(ownerUrl)).toEqual({ empty: false });
      old = await signedInAt(await before.serve(ownerUrl), email);
      await old.get('/api/casts/shelf').expect(200);
    });
  },
);

/** What the versions after this one might do: the first adds, the second takes away. */
class Adding1900000000000 implements MigrationInterface {
  async up(runner: QueryRunner) {
    await runner.query('ALTER TABLE moulds ADD glaze text');
  }
  async down(runner: QueryRunner) {
    await runner.query('ALTER TABLE moulds DROP glaze');
  }
}
class Narrowing1900000000001 implements Narrowing {
  readonly oldest = SCHEMA_LEVEL + 1;
  async up(runner: QueryRunner) {
    await runner.query('ALTER TABLE scoops DROP volume');
  }
  async down(runner: QueryRunner) {
    await runner.query('ALTER TABLE scoops ADD volume double precision');
  }
}

/** Brings a database up to date as a later version would. */
async function upgrade(ownerUrl: string, ...more: (new () => MigrationInterface)[]): Promise<void> {
  const owner = await new DataSource({ ...ownerOptions(ownerUrl), migrations: [...migrations, ...more] }).initialize();
  const runner = owner.createQueryRunner();
  try {
    await runMigrations(owner, runner);
  } finally {
    await runner.release();
    await owner.destroy();
  }
}

describe('a schema of a later version', () => {
  it('serves this one until it is narrowed, which waits until no server of this one runs, and keeps it out from then on', async () => {
    const harness = await startServer();
    const { ownerUrl } = harness.config;
    const email = newAddress();
    const agent = await newWorkshop(harness, 'Quince Yard', email);
    await upgrade(ownerUrl, Adding1900000000000);
    await pouredPots(agent, Date.now() - HOUR);
    await expect(upgrade(ownerUrl, Adding1900000000000, Narrowing1900000000001)).rejects.toThrow(
      `Servers of before level ${SCHEMA_LEVEL + 1} run still, and this version takes away what they need. Upgrade or end them, then do this again`,
    );
    const source = harness.app.get(DataSource);
    expect(await whyNotServed(source)).toBeUndefined();
    await (await signedIn(harness, email)).put(`/api/scoops/${uuid()}`).send({ name: 'A ladle', volume: 90, version: 0 }).expect(200); // prettier-ignore
    await harness.close();
    await upgrade(ownerUrl, Adding1900000000000, Narrowing1900000000001);
    const refusal = `The database serves servers of level ${SCHEMA_LEVEL + 1} and later, and this one is of level ${SCHEMA_LEVEL}. Start a newer version`;
    await expect(prepareDatabase(ownerUrl)).rejects.toThrow(refusal);
    const owner = await new DataSource(ownerOptions(ownerUrl)).initialize();
    expect(await whyNotServed(owner)).toBe(refusal);
    await owner.destroy();
  });

  it('is narrowed at once where no server ran yet', async () => {
    const ownerUrl = await newDatabase();
    await upgrade(ownerUrl, Adding1900000000000, Narrowing1900000000001);
    await expect(prepareDatabase(ownerUrl)).rejects.toThrow('Start a newer version');
  });

  it('of an earlier version is brought up to date first', async () => {
    const owner = await new DataSource(ownerOptions(await newDatabase())).initialize();
    expect(await whyNotServed(owner)).toMatch(
      /^The database is of level 0, and this server wants level \d+\. Bring it/,
    );
    await owner.destroy();
  });
});

describe('a migration', () => {
  const since = migrations.indexOf(SideBySide1798800000000);

  it.each(migrations.slice(since).map((migration) => [migration.name, migration] as const))(
    '%s takes nothing away from servers of before it, or says so',
    async (_, Migration) => {
      const migration: MigrationInterface & Partial<Narrowing> = new Migration();
      const found = narrowing(await statementsOf(migration));
      expect(migration.oldest === undefined ? found : []).toEqual([]);
    },
  );

  it.each([
    'ALTER TABLE "moulds" DROP COLUMN "name"',
    'ALTER TABLE "moulds" RENAME COLUMN "name" TO "title"',
    'ALTER TABLE moulds RENAME TO forms',
    'ALTER TABLE "moulds" ALTER COLUMN "name" SET NOT NULL',
    'ALTER TABLE "moulds" ALTER "name" TYPE integer USING 1',
    'ALTER TABLE "moulds" ADD "glaze" text NOT NULL',
    'ALTER TABLE "moulds" ADD CONSTRAINT "x" CHECK (number > 0)',
    'DROP TABLE "moulds"',
    'DROP FUNCTION session_lookup(bytea)',
    'drop index "IDX_1"',
    'CREATE UNIQUE INDEX "x" ON "moulds" (workshop_id, number)',
    'REVOKE SELECT ON "moulds" FROM dewpot_app',
    'TRUNCATE moulds',
  ])('that says “%s” narrows', (statement) => {
    expect(narrowing([statement])).toEqual([statement]);
  });

  it.each([
    'ALTER TABLE "moulds" ADD "glaze" text',
    `ALTER TABLE "moulds" ADD "glaze" text NOT NULL DEFAULT ''`,
    'CREATE INDEX "x" ON "moulds" (workshop_id, number)',
    'DROP TRIGGER "workshop_changed" ON "ambient_readings"',
    'REVOKE ALL ON FUNCTION pulse() FROM PUBLIC',
    `UPDATE moulds SET body = body || '{"drop": 1}'`,
  ])('that says “%s” adds', (statement) => {
    expect(narrowing([statement])).toEqual([]);
  });

  it('may do what it likes with a table of its own', () => {
    expect(narrowing(['CREATE TABLE "glazes" (id uuid)', 'CREATE UNIQUE INDEX "x" ON "glazes" (id)'])).toEqual([]);
  });
});
