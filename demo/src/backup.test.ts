import { chmodSync, cpSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
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
  readonly backUpNightly: (
    nights: { folder: string; keep: number; at: string },
    backUp: (file: string) => Promise<void>,
    tell: (text: string) => void,
    now: () => Date,
  ) => { look: () => Promise<void>; stop: () => void };
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
  scripts = {
    ...(await script('postgres')),
    ...(await script('backups')),
    ...(await script('nightly-backups')),
  } as Scripts;
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

describe('backups of each night', () => {
  const nights = (folder: string, now: () => Date, backUp = (file: string) => scripts.backUp(second, file).then(() => undefined)) => {
    const told: string[] = [];
    const { look, stop } = scripts.backUpNightly({ folder, keep: 2, at: '03:00' }, backUp, (text) => told.push(text), now);
    stop();
    return { look, told, files: () => readdirSync(folder).sort() };
  };
  const night = (day: number, hour: number, minute = 0) => new Date(2026, 11, day, hour, minute);

  it('are made once a day from their hour on, proven, and the oldest goes; what else lies there stays', async () => {
    let now = night(1, 2, 59);
    const folder = join(parent, 'nights');
    mkdirSync(folder);
    writeFileSync(join(folder, 'letter.txt'), 'mine');
    const { look, told, files } = nights(folder, () => now);
    await look();
    expect(files()).toEqual(['letter.txt']);
    for (const day of [1, 2, 3]) {
      now = night(day, 3);
      await Promise.all([look(), look()]);
      await look();
    }
    expect(files()).toEqual(['dew-pot-2026-12-02.backup', 'dew-pot-2026-12-03.backup', 'letter.txt']);
    expect(told).toEqual([]);
    await scripts.restore(second, join(folder, 'dew-pot-2026-12-03.backup'), { overwrite: true });
  });

  it('that fail or come out damaged are said, tried in an hour, and cost no older one', async () => {
    let now = night(4, 3);
    const folder = join(parent, 'bad-nights');
    mkdirSync(folder);
    const kept = ['dew-pot-2026-12-01.backup', 'dew-pot-2026-12-02.backup'];
    for (const name of kept) writeFileSync(join(folder, name), 'older');
    let tries = 0;
    const { look, told, files } = nights(folder, () => now, async (file) => {
      tries += 1;
      if (tries === 1) throw new Error('No room is left.');
      writeFileSync(file, 'half of a backup');
    });
    await look();
    await look();
    expect(tries).toBe(1);
    now = night(4, 4);
    await look();
    expect(tries).toBe(2);
    expect(told).toEqual([expect.stringContaining('No room is left.'), expect.stringContaining('no backup of Dew Pot')]);
    expect(files()).toEqual(kept);
  });
}); // prettier-ignore

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
