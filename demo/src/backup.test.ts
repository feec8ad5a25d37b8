import { chmodSync, cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { spawnSync } from 'node:child_process';
import { Client } from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { prepareDatabase } from '@dewpot/server';
import { startServer, visitor, type Agent, type Harness } from '../../server/test/harness.js';
import { demoDatabase, FILLING } from './testing/demo-database.js';

interface Cluster {
  readonly directory: string;
  readonly url: (database: string) => string;
  readonly stop: () => Promise<void>;
}
interface Scripts {
  readonly startCluster: (options: { directory: string; throwaway: boolean }) => Promise<Cluster>;
  readonly backUp: (url: string, file: string, options?: { overwrite?: boolean }) => Promise<{ bytes: number }>;
  readonly restore: (url: string, file: string, options?: { overwrite?: boolean }) => Promise<object>;
}

let scripts: Scripts;
let parent: string;
/** Owners' addresses of the workshop that is backed up, and of a cluster that it is restored in. */
let first: string;
let second: string;
let other: Cluster;
beforeAll(async () => {
  // The scripts of the start are plain JavaScript.
  const script = async (name: string) =>
    (await import(new URL(`../../scripts/lib/${name}.mjs`, import.meta.url).href)) as Partial<Scripts>;
  scripts = { ...(await script('postgres')), ...(await script('backups')) } as Scripts;
  parent = mkdtempSync(join(tmpdir(), 'dewpot-backup-test-'));
  chmodSync(parent, 0o755);
  other = await scripts.startCluster({ directory: join(parent, 'other'), throwaway: true });
  second = other.url('postgres');
  first = await demoDatabase();
}, FILLING);
afterAll(async () => {
  await other.stop();
  rmSync(parent, { recursive: true, force: true });
});

/** Every row of every table, as text. */
async function everything(url: string): Promise<Record<string, string[]>> {
  const client = new Client({ connectionString: url });
  await client.connect();
  const { rows: tables } = await client.query<{ name: string }>(
    `select format('%I.%I', schemaname, tablename) as name from pg_tables where schemaname in ('public', 'door') order by 1`,
  );
  const all: Record<string, string[]> = {};
  for (const { name } of tables)
    all[name] = (await client.query<{ row: string }>(`select t::text as row from ${name} t order by 1`)).rows.map(
      ({ row }) => row,
    );
  await client.end();
  return all;
}

/** Someone in the demo workshop. */
async function inDemo(harness: Harness): Promise<Agent> {
  const agent = visitor(harness);
  await agent.post('/api/session/demo').expect(204);
  return agent;
}

const questions = [
  'session',
  'people',
  'moulds/all',
  'mixes/all',
  'store',
  'pours/past',
  'casts',
  'tints/all',
  'tubs',
  'tiles',
];
async function answers(agent: Agent): Promise<unknown[]> {
  const told: unknown[] = [];
  for (const path of questions) told.push((await agent.get(`/api/${path}`).expect(200)).body);
  // What is due goes by the clock; all else stays as it is.
  return JSON.parse(
    JSON.stringify(told, (key, value: unknown) =>
      ['dues', 'opensAt', 'opensLow', 'opensHigh'].includes(key) ? undefined : value,
    ),
  ) as unknown[];
}

describe('a backup', () => {
  it('restores into a fresh cluster: every table, and ten answers', async () => {
    const file = join(parent, 'yard.backup');
    expect((await scripts.backUp(first, file)).bytes).toBeGreaterThan(10_000);
    await prepareDatabase(second);
    await scripts.restore(second, file);
    await prepareDatabase(second);
    expect(await everything(second)).toEqual(await everything(first));
    const [one, two] = await Promise.all([first, second].map((ownerUrl) => startServer({ ownerUrl })));
    expect(await answers(await inDemo(two!))).toEqual(await answers(await inDemo(one!)));
    await Promise.all([one!.close(), two!.close()]);
  });

  it('replaces neither a file nor workshops unless it is told to', async () => {
    const file = join(parent, 'again.backup');
    await scripts.backUp(second, file);
    await expect(scripts.backUp(second, file)).rejects.toThrow('--overwrite');
    await expect(scripts.restore(second, file)).rejects.toThrow('holds workshops already');
    const before = await everything(second);
    await scripts.restore(second, file, { overwrite: true });
    expect(await everything(second)).toEqual(before);
  });

  it('that is damaged, of another version, or none at all is refused, and nothing is changed', async () => {
    const file = join(parent, 'whole.backup');
    await scripts.backUp(second, file);
    const bytes = readFileSync(file);
    const damaged = Buffer.from(bytes);
    damaged[bytes.length - 40]! ^= 0xff;
    writeFileSync(join(parent, 'damaged.backup'), damaged);
    writeFileSync(join(parent, 'newer.backup'), bytes.toString('latin1').replace('"version":1', '"version":9'), 'latin1');
    writeFileSync(join(parent, 'none.backup'), 'not a backup');
    const before = await everything(second);
    for (const [name, why] of [['damaged', 'damaged'], ['newer', 'version 9'], ['none', 'no backup'], ['missing', 'no file']])
      await expect(scripts.restore(second, join(parent, `${name}.backup`), { overwrite: true })).rejects.toThrow(why);
    expect(await everything(second)).toEqual(before);
  }); // prettier-ignore
});

it('a copy of a stopped data folder starts, and holds what the first one held', async () => {
  const before = await everything(second);
  await other.stop();
  const copy = join(parent, 'copy');
  cpSync(other.directory, copy, { recursive: true });
  if (process.getuid?.() === 0) spawnSync('chown', ['-R', 'postgres:', copy]);
  const third = await scripts.startCluster({ directory: copy, throwaway: true });
  expect(await everything(third.url('postgres'))).toEqual(before);
  await third.stop();
});
