import { Client } from 'pg';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, expect, it, vi } from 'vitest';
import { configFrom } from '../src/config.js';
import { Replica, type ReplicaReads } from '../src/db/replica.js';
import { OwnClusters, type Cluster } from './clusters.js';
import {
  newWorkshop,
  potInput,
  pouredPots,
  routesOf,
  signedIn,
  startServer,
  type Agent,
  type Harness,
} from './harness.js';

const HOUR = 3_600_000;
const EMAIL = 'ada@example.org';

const clusters = new OwnClusters();
let [leader, follower]: Cluster[] = [];
/** A server that reads the replica, and one that does not. */
let [reader, plain]: Harness[] = [];
let agent: Agent;
let casts: string[];
let moulds = 1;
let standby: Client;

beforeAll(async () => {
  leader = await clusters.start();
  follower = await clusters.start(leader);
  const ownerUrl = leader.url('postgres');
  reader = await startServer({ ownerUrl, replica: `127.0.0.1:${follower.port}` });
  plain = await startServer({ ownerUrl });
  agent = await newWorkshop(reader, 'Quince Yard', EMAIL);
  ({ casts } = await pouredPots(agent, Date.now() - 20 * HOUR));
  standby = new Client({ connectionString: follower.url('postgres') });
  // It ends with the replica.
  standby.on('error', () => undefined);
  await standby.connect();
});
afterAll(async () => {
  await reader?.close();
  await plain?.close();
  await standby.end();
  await clusters.remove();
});

/** Which reads there were meanwhile. */
async function readsOf(work: () => Promise<unknown>): Promise<ReplicaReads> {
  const replica = reader!.app.get(Replica);
  const before = { ...replica.reads };
  await work();
  const { answered, behind, away } = replica.reads;
  return { answered: answered - before.answered, behind: behind - before.behind, away: away - before.away };
}

/** Waits until the replica has all that was written. */
async function caughtUp(): Promise<void> {
  const client = new Client({ connectionString: leader!.url('postgres') });
  await client.connect();
  const { rows } = await client.query<{ lsn: string }>('select pg_current_wal_insert_lsn()::text as lsn');
  await client.end();
  await vi.waitFor(
    async () => {
      const { rows: there } = await standby.query<{ has: boolean }>('select pg_last_wal_replay_lsn() >= $1::pg_lsn as has', [rows[0]!.lsn]); // prettier-ignore
      expect(there[0]!.has).toBe(true);
    },
    { timeout: 30_000, interval: 50 },
  );
}

/** Puts a mould more there; answers how many there are now. */
async function write(): Promise<number> {
  await agent.put(`/api/moulds/${uuid()}`).send(potInput()).expect(200);
  return ++moulds;
}
const count = async () => ((await agent.get('/api/moulds').expect(200)).body as { count: number }).count;

it('answers lists where it has what was written, as the database that leads does', async () => {
  await caughtUp();
  const other = await signedIn(plain!, EMAIL);
  const paths = (await routesOf(reader!)).filter(
    ({ method, path }) => method === 'get' && !/stream$|backup|archive/.test(path),
  );
  const differing: string[] = [];
  // An answer tells how old things are.
  const now = vi.spyOn(Date, 'now').mockReturnValue(Date.now());
  const reads = await readsOf(async () => {
    for (const { path } of paths) {
      const asked = path.replace('{id}', casts[0]!);
      const [by, without] = [await agent.get(asked), await other.get(asked)];
      if (by.headers['cache-control'] !== 'private, no-cache') continue;
      if (by.status !== without.status || by.text !== without.text) differing.push(asked);
    }
  });
  now.mockRestore();
  expect(differing).toEqual([]);
  expect(reads.answered).toBeGreaterThan(12);
  expect(reads.away).toBe(0);
});

it('is not asked for what it does not have yet: nobody misses what they wrote', async () => {
  await caughtUp();
  await standby.query('select pg_wal_replay_pause()');
  try {
    const written = await write();
    const reads = await readsOf(async () => expect(await count()).toBe(written));
    expect(reads).toEqual({ answered: 0, behind: 1, away: 0 });
    // What was not changed is there as it is.
    expect((await readsOf(() => agent.get('/api/mixes?q=nobody-asked-this').expect(200))).answered).toBe(1);
  } finally {
    await standby.query('select pg_wal_replay_resume()');
  }
  const written = await write();
  await caughtUp();
  const reads = await readsOf(async () => expect(await count()).toBe(written));
  expect(reads).toEqual({ answered: 1, behind: 0, away: 0 });
});

it('is left alone for a while where it does not answer, and taken up again', async () => {
  await follower!.stop();
  const reads = await readsOf(async () => {
    for (let i = 0; i < 3; i++) {
      const written = await write();
      expect(await count()).toBe(written);
    }
  });
  expect(reads).toEqual({ answered: 0, behind: 0, away: 1 });
  await follower!.revive();
  await vi.waitFor(
    async () => {
      await write();
      await new Promise((done) => setTimeout(done, 300));
      expect((await readsOf(count)).answered).toBe(1);
    },
    { timeout: 40_000, interval: 500 },
  );
});

it('is named by host and port', () => {
  const from = (DEWPOT_REPLICA: string) => configFrom({ DATABASE_URL: 'postgres://here', DEWPOT_REPLICA });
  expect(from('10.0.0.3:5433')).toMatchObject({ replica: '10.0.0.3:5433' });
  expect(() => from('10.0.0.3')).toThrow(
    'DEWPOT_REPLICA is “10.0.0.3”: write a host and a port, such as 127.0.0.1:5433.',
  );
});
