import { readFileSync } from 'node:fs';
import { request } from 'node:http';
import { fileURLToPath } from 'node:url';
import { DataSource } from 'typeorm';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import type { ArchiveReport, CastView, Page } from '@dewpot/contract';
import { letIn, me, newWorkshop, pouredPots, startServer, visitor, type Agent, type Harness } from './harness.js';
import { photoOf } from './pictures.js';
import { manifestOf, rewritten, takenFrom, unzipped, zipped, type Files } from './zips.js';

let harness: Harness;
let owner: Agent;
let archive: Buffer;
let casts: string[];
let pour: string;

const send = (agent: Agent, file: Buffer, way = 'import') =>
  agent.post(`/api/archive/${way}`).set('Content-Type', 'application/zip').send(file);
const report = async (agent: Agent, file: Buffer, way?: string) =>
  (await send(agent, file, way).expect(201)).body as ArchiveReport;
const rowsOf = ({ tables }: ArchiveReport, table: string) => tables.find((one) => one.table === table);
/** Checksums of all that is read in, by path. */
const sums = (files: Files) =>
  Object.fromEntries(manifestOf(files).files.filter(({ path }) => /^(records|pictures)/.test(path)).map(({ path, sha256 }) => [path, sha256])); // prettier-ignore

beforeAll(async () => {
  harness = await startServer();
  owner = await newWorkshop(harness);
  ({ casts, pour } = await pouredPots(owner, Date.now() - 30 * 3_600_000));
  const photo = await photoOf('#a83', 60, 40);
  for (const cast of casts.slice(0, 2)) await owner.post(`/api/casts/${cast}/pictures`).attach('picture', photo, 'a.png').expect(201); // prettier-ignore
  const [place] = (await owner.get('/api/places').expect(200)).body as { id: string }[];
  const at = Date.now() - 40 * 86_400_000;
  const readings = Array.from({ length: 3000 }, (_, i) => ({
    at: at + i * 600_000,
    temperature: 17.25,
    humidity: 0.6,
  }));
  await owner
    .put(`/api/places/${place!.id}`)
    .send({ name: 'Shed', kind: 'shed', source: 'logger', version: 1 })
    .expect(200);
  await owner.post(`/api/places/${place!.id}/readings`).send({ readings }).expect(200);
  archive = await takenFrom(owner);
}, 60_000);
afterAll(() => harness.close());

describe('an archive', () => {
  it('holds every table as records and as a table, each photo once, a schema and a text', async () => {
    const files = await unzipped(archive);
    expect(files['README.md']!.toString()).toContain('# Quince Yard');
    expect(files['records/casts.jsonl']!.toString().trim().split('\n').map((line) => (JSON.parse(line) as { id: string }).id).sort()).toEqual([...casts].sort()); // prettier-ignore
    expect(files['tables/casts.csv']!.toString().split('\n')[0]).toContain('pourId');
    expect(files['tables/audit.csv']!.toString()).toContain('Ada');
    expect(Object.keys(files).filter((path) => path.startsWith('pictures/'))).toHaveLength(1);
    expect(manifestOf(files).files.find(({ path }) => path === 'records/ambientReadings.jsonl')?.rows).toBe(3000);
    expect(Object.values(files).join()).not.toMatch(/passphrase_hash|token_hash/);
  });

  it('comes out again as it went in, also by way of a third workshop', async () => {
    const second = await newWorkshop(harness, 'Elsewhere');
    const said = await report(second, archive, 'check');
    expect(said).toMatchObject({ done: false, into: 'empty', workshop: 'Quince Yard', shift: 0 });
    expect(((await second.get('/api/casts').expect(200)).body as Page<CastView>).count).toBe(0);
    const done = await report(second, archive);
    expect(done).toEqual({ ...said, done: true });
    expect(rowsOf(done, 'casts')).toEqual({ table: 'casts', rows: 3, added: 3, there: 0 });
    const again = await takenFrom(second);
    const third = await newWorkshop(harness, 'Third');
    await report(third, again);
    const [first, next, last] = await Promise.all([archive, again, await takenFrom(third)].map(unzipped));
    expect(sums(next!)).toEqual(sums(first!));
    expect(sums(last!)).toEqual(sums(first!));
  }, 60_000);

  it('makes what it brings work: casts, photos, names of those who were there', async () => {
    const second = await newWorkshop(harness, 'Elsewhere');
    await report(second, archive);
    expect((await second.get('/api/session')).body).toMatchObject({ workshop: { name: 'Quince Yard' } });
    const { body } = await second.get(`/api/casts/${casts[0]}`).expect(200);
    const [picture] = (body as { pictures: { id: string }[] }).pictures;
    await second.get(`/api/cast-pictures/${picture!.id}`).expect(200).expect('Content-Type', /webp/);
    await second.post(`/api/pours/${pour}/finish`).send({ logs: [], casts: [] }).expect(422);
    await second.get('/api/casts/shelf').expect(200);
  });

  it('is added to a workshop with things of its own: numbers go on, what is alike stays one, and twice is once', async () => {
    const second = await newWorkshop(harness, 'Elsewhere');
    const own = await pouredPots(second, Date.now() - 20 * 3_600_000);
    const done = await report(second, archive);
    expect(done).toMatchObject({ into: 'filled', shift: 1, workshop: 'Quince Yard' });
    expect(rowsOf(done, 'workshop')).toMatchObject({ added: 0 });
    const materials = rowsOf(done, 'materials')!;
    expect(materials).toMatchObject({ added: 0, there: materials.rows });
    const { rows } = (await second.get('/api/casts').expect(200)).body as Page<CastView>;
    expect(rows.map(({ code }) => code).sort()).toEqual(['1a', '1b', '1c', '2a', '2b', '2c']);
    expect(rows.find(({ id }) => id === own.casts[0])?.code).toBe('1a');
    expect((await second.get('/api/session')).body).toMatchObject({ workshop: { name: 'Elsewhere' } });
    const twice = await report(second, archive);
    expect(twice.tables.every(({ added }) => added === 0)).toBe(true);
    expect(((await second.get('/api/casts').expect(200)).body as Page<CastView>).count).toBe(6);
  });

  it('brings back into its own workshop what was lost there, and leaves what was changed since', async () => {
    const second = await newWorkshop(harness, 'Elsewhere');
    await report(second, archive);
    const taken = await takenFrom(second);
    await second.post(`/api/casts/${casts[2]}/events`).send({ id: crypto.randomUUID(), at: Date.now(), type: 'broken' }).expect(200); // prettier-ignore
    await second.delete(`/api/cast-pictures/${(await second.get(`/api/casts/${casts[0]}`)).body.pictures[0].id as string}`).expect(204); // prettier-ignore
    const back = await report(second, taken);
    expect(back).toMatchObject({ into: 'filled', shift: 0 });
    expect(back.tables.filter(({ added }) => added > 0).map(({ table, added }) => [table, added])).toEqual([['castPictures', 1]]); // prettier-ignore
    expect(((await second.get(`/api/casts/${casts[2]}`)).body as CastView).stage).toBe('broken');
  });

  it('keeps the names of those who left', async () => {
    const one = await newWorkshop(harness, 'Elsewhere');
    const tobias = await letIn(harness, one, { name: 'Tobias' });
    await pouredPots(tobias, Date.now() - 30 * 3_600_000);
    await one.delete(`/api/people/${(await me(tobias)).id}`).expect(204);
    const people = async (agent: Agent) => (await unzipped(await takenFrom(agent)))['records/people.jsonl']!.toString();
    const told = await people(one);
    expect(told).toContain('Tobias');
    const two = await newWorkshop(harness, 'Third');
    await report(two, await takenFrom(one));
    expect(await people(two)).toBe(told);
  });

  it('that is stopped on its way leaves no connection behind', async () => {
    const address = (await harness.app.getUrl()).replace('[::1]', '127.0.0.1');
    const { cookies: cookie } = (await owner.get('/api/session')).request as unknown as { cookies: string };
    await new Promise<void>((stopped) => {
      const asked = request(`${address}/api/archive`, { headers: { cookie } }, (response) => {
        response.once('data', () => asked.destroy()).once('close', () => stopped());
      });
      asked.on('error', () => undefined).end();
    });
    const source = harness.app.get(DataSource);
    const open = async () =>
      (
        await source.query<object[]>(
          `select 1 from pg_stat_activity where application_name = 'dewpot long' and datname = current_database()`,
        )
      ).length;
    await vi.waitFor(async () => expect(await open()).toBe(0), 5_000);
    expect(sums(await unzipped(await takenFrom(owner)))).toEqual(sums(await unzipped(archive)));
  });
});

describe('an archive that cannot be', () => {
  const refused = async (file: Buffer, says: RegExp, field?: string) => {
    const agent = await newWorkshop(harness, 'Elsewhere');
    const before = sums(await unzipped(await takenFrom(agent)));
    const { body } = await send(agent, file).expect(422);
    const { detail, errors } = body as { detail: string; errors: { field: string; remedy: string }[] };
    expect(detail).toMatch(says);
    if (field) expect(errors[0]?.field).toBe(field);
    expect(errors[0]?.remedy).toMatch(/again|Update/);
    expect(sums(await unzipped(await takenFrom(agent)))).toEqual(before);
  };
  const lines = (files: Files, path: string, change: (line: string) => string) => {
    files[path] = Buffer.from(files[path]!.toString().trim().split('\n').map(change).join('\n'));
  };
  const altered = (path: string, change: (line: string) => string) =>
    rewritten(archive, (files) => lines(files, path, change));

  it.each([
    ['is cut short', () => archive.subarray(0, archive.length - 3000), /cannot be read as an archive/],
    ['is no ZIP file', () => Buffer.from('%PDF-1.7 something else'), /cannot be read as an archive/],
    ['is another ZIP file', () => zipped({ 'a.txt': Buffer.from('a') }), /no manifest/],
    ['is of a later version', () => rewritten(archive, (files) => (files['manifest.json'] = Buffer.from(files['manifest.json']!.toString().replace('"version": 1', '"version": 7')))), /version 7.*version 1/], // prettier-ignore
    ['lacks a file', () => rewritten(archive, (files) => delete files['records/casts.jsonl']), /records\/casts.jsonl is missing/],
    ['holds a line that is no JSON', () => altered('records/moulds.jsonl', () => '{"id":'), /Line 1 of moulds is no JSON/],
    ['holds a record that is none', () => altered('records/casts.jsonl', (line) => line.replace(/"code" : "[^"]*"/, '"code" : 7')), /Line 1 of casts does not fit the schema: \/code must be string/],
    ['holds a text without end', () => altered('records/moulds.jsonl', (line) => line.replace('Nested pot', 'x'.repeat(30_000))), /text or a list that is too long/],
    ['holds what the database does not take', () => altered('records/casts.jsonl', (line) => line.replace(/"id" : "[^"]*"/, '"id" : "7"')), /does not take a record of casts/],
    ['holds a cast of no pour', () => altered('records/pours.jsonl', () => ''), /Line 1 of pours|does not take a record/],
    ['holds readings to come', () => altered('records/ambientReadings.jsonl', (line) => line.replace(/"at" : \d+/, '"at" : 4102444800000')), /before 2000 or to come/],
    ['holds a picture that is none', () => rewritten(archive, (files) => Object.keys(files).filter((path) => path.startsWith('pictures/')).forEach((path) => (files[path] = Buffer.from('<svg/>')))), /no picture/],
  ])('%s: nothing is changed, and it is told why', async (_, file, says) => {
    await refused(await file(), says);
  }, 20_000); // prettier-ignore

  it('was changed since it was made', async () => {
    const files = await unzipped(archive);
    lines(files, 'records/moulds.jsonl', (line) => line.replace('Nested pot', 'Nested pat'));
    await refused(await zipped(files), /moulds.jsonl is not what it was/, 'records/moulds.jsonl');
  });

  it('has a path that climbs', async () => {
    const zip = await zipped({ ...(await unzipped(archive)), 'aaaaaaaaaaa/passwd': Buffer.from('root') });
    const climbing = Buffer.from(zip.toString('latin1').replaceAll('aaaaaaaaaaa/passwd', '../../../etc/passwd'.slice(0, 18)), 'latin1'); // prettier-ignore
    await refused(climbing, /cannot be read as an archive: invalid relative path/);
  });

  it('is too large, or sent as something else', async () => {
    const address = (await harness.app.getUrl()).replace('[::1]', '127.0.0.1');
    const { cookies: cookie } = (await owner.get('/api/session')).request as unknown as { cookies: string };
    const headers = {
      cookie,
      'content-type': 'application/zip',
      'content-length': 5e9,
      'sec-fetch-site': 'same-origin',
    };
    const status = await new Promise((answered) => {
      const asked = request(`${address}/api/archive/import`, { method: 'POST', headers }, (response) => {
        answered(response.statusCode);
        asked.destroy();
      });
      asked.on('error', () => undefined).flushHeaders();
    });
    expect(status).toBe(413);
    await owner.post('/api/archive/import').send({}).expect(415);
    await send(visitor(harness), archive).expect(401);
  });
});

it('has a schema that is made from the rows as they are', async () => {
  const root = new URL('../../', import.meta.url);
  const script = new URL('scripts/lib/archive-schema.mjs', root).href;
  const { archiveSchema } = (await import(script)) as { archiveSchema: (root: string) => string };
  const kept = readFileSync(new URL('server/src/archive/schema.json', root), 'utf8');
  const made = archiveSchema(fileURLToPath(root).replace(/\/$/, ''));
  expect(kept, 'Run “node scripts/archive-schema.mjs”. What an older archive holds must still fit.').toBe(made);
}, 60_000);
