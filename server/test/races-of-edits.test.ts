import { v7 as uuid } from 'uuid';
import { beforeAll, describe, expect, it } from 'vitest';
import type { NewInvitation } from '@dewpot/contract';
import { WorkshopContext } from '../src/index.js';
import { mixInput, newAddress, PASSPHRASE, potInput, visitor, type Agent } from './harness.js';
import { both, ROUNDS, rounds, sound, rivals } from './racing.js';

const servers = rivals();
let here: Agent;
let there: Agent;
beforeAll(() => {
  ({ here, there } = servers);
});

describe('two edits of one version: one is kept, the other is told', () => {
  it('of the settings', async () => {
    await rounds(async (round) => {
      const { workshop } = (await here.get('/api/session')).body as { workshop: Record<string, unknown> };
      const { id: _, demo: __, ...settings } = workshop;
      const answers = await both(
        here.put('/api/workshop').send({ ...settings, name: `Here ${round}` }),
        there.put('/api/workshop').send({ ...settings, name: `There ${round}` }),
      );
      expect(answers.map(({ status }) => status).sort()).toEqual([200, 409]);
    });
  });

  /** Routes that save an edit, with a body that differs by its name. */
  const edited: readonly (readonly [string, (name: string, version: number) => object])[] = [
    ['moulds', (name, version) => ({ ...potInput(version), copies: [], name })],
    ['tubs', (name, version) => ({ name, inside: { kind: 'round-frustum', bottomDiameter: 90, topDiameter: 99, height: 80 }, wall: 2, version })],
    ['scoops', (name, version) => ({ name, volume: 400, version })],
    ['places', (name, version) => ({ name, kind: 'shed', source: 'unknown', version })],
  ]; // prettier-ignore

  it.each(edited)('of %s, and two new ones with one key', async (path, body) => {
    await rounds(async (round) => {
      const key = uuid();
      const made = await both(
        here.put(`/api/${path}/${key}`).send(body(`Here ${round}`, 0)),
        there.put(`/api/${path}/${key}`).send(body(`There ${round}`, 0)),
      );
      expect(made.map(({ status }) => status).sort()).toEqual([200, 409]);
      const version = made.find(({ status }) => status === 200)!.body.version as number;
      const changed = await both(
        here.put(`/api/${path}/${key}`).send(body(`Here again ${round}`, version)),
        there.put(`/api/${path}/${key}`).send(body(`There again ${round}`, version)),
      );
      expect(changed.map(({ status }) => status).sort()).toEqual([200, 409]);
      const same = body(`Here once more ${round}`, version + 1);
      const twice = await both(here.put(`/api/${path}/${key}`).send(same), there.put(`/api/${path}/${key}`).send(same));
      expect(twice.map(({ status }) => status)).toEqual([200, 200]);
      await both(here.delete(`/api/${path}/${key}`), there.delete(`/api/${path}/${key}`));
    }, ROUNDS);
  });

  it('of a mix', async () => {
    const { materials } = (await here.get('/api/store')).body as { materials: { id: string; name: string }[] };
    const id = (name: string) => materials.find((material) => material.name === name)!.id;
    const given = { ...mixInput({ cement: id('Grey Portland cement'), sand: id('Sharp sand') }) };
    await rounds(async (round) => {
      const key = uuid();
      const first = await here.put(`/api/mixes/${key}`).send(given).expect(200);
      const { version } = first.body as { version: number };
      const answers = await both(
        here.put(`/api/mixes/${key}`).send({ ...given, version, name: `Here ${round}` }),
        there.put(`/api/mixes/${key}`).send({ ...given, version, name: `There ${round}` }),
      );
      expect(answers.map(({ status }) => status).sort()).toEqual([200, 409]);
    }, ROUNDS);
  });
});

/** Things of the store and of colour, whose bodies name others. */

describe('two edits at once of what hangs on something else', () => {
  let cement: string;
  let figures: object;
  beforeAll(async () => {
    const { materials } = (await here.get('/api/store')).body as { materials: { id: string; name: string; version: number }[] };
    const { id, version: _, ...rest } = materials.find(({ name }) => name === 'Grey Portland cement')!;
    [cement, figures] = [id, rest];
  });

  it.each([
    ['materials', (round: number, version: number) => ({ ...figures, name: `Cement ${round} ${Math.random()}`, version })],
    ['lots', (round: number, version: number) => ({ materialId: cement, bought: 25_000, left: 20_000, price: round + Math.random(), boughtAt: 1, version })],
    ['tints', (round: number, version: number) => ({ name: `Tint ${round} ${Math.random()}`, base: { binderId: cement }, doses: [], version })],
    ['swatches', (round: number, version: number) => ({ name: `Chip ${round} ${Math.random()}`, base: { binderId: cement }, doses: [], version })],
  ])('%s', async (path, body) => {
    await rounds(async (round) => {
      const address = `/api/${path}/${uuid()}`;
      const made = await both(here.put(address).send(body(round, 0)), there.put(address).send(body(round, 0)));
      expect(made.map(({ status }) => status).sort(), JSON.stringify(made[0].body)).toEqual([200, 409]);
      const version = made.find(({ status }) => status === 200)!.body.version as number;
      const changed = await both(here.put(address).send(body(round, version)), there.put(address).send(body(round, version)));
      expect(changed.map(({ status }) => status).sort()).toEqual([200, 409]);
      const gone = await both(here.delete(address), there.delete(address));
      expect(sound(gone)).toBe(true);
    });
  });
}); // prettier-ignore

it('one address of a calendar holds, of two that are made at once', async () => {
  await rounds(async () => {
    const made = await both(here.post('/api/calendar/address'), there.post('/api/calendar/address'));
    expect(made.map(({ status }) => status)).toEqual([200, 200]);
    const read = await Promise.all(made.map(({ body }) => here.get(String(body.path))));
    expect(read.map(({ status }) => status).sort()).toEqual([200, 404]);
  }, ROUNDS);
});

it('one of two who take up one invitation, or come in with one address, at once', async () => {
  const invited = async () => ((await here.post('/api/invitations').send({ role: 'helper', days: 1 }).expect(201)).body as NewInvitation).token; // prettier-ignore
  const take = (token: string, email: string) => visitor(servers.one).post('/api/invitations/take').send({ token, name: 'Tobias', email, passphrase: PASSPHRASE }); // prettier-ignore
  await rounds(
    async () => {
      const [token, email] = [await invited(), newAddress()];
      for (const answers of [
        await both(take(token, newAddress()), take(token, newAddress())),
        await both(take(await invited(), email), take(await invited(), email)),
      ])
        expect(answers.map(({ status }) => status).sort()).toEqual([204, 409]);
      for (const { id } of (await here.get('/api/invitations')).body as NewInvitation[]) await here.delete(`/api/invitations/${id}`).expect(204); // prettier-ignore
    },
    Math.ceil(ROUNDS / 4),
  );
});

it('what is poured on a scale from two sides is all on it', async () => {
  await rounds(async (round) => {
    const answers = await both(
      here.post('/api/scale').send({ load: round }),
      there.post('/api/scale').send({ tare: true }),
    );
    expect(answers.map(({ status }) => status)).toEqual([200, 200]);
    expect((await here.get('/api/scale')).body).toMatchObject({ load: round });
  }, ROUNDS);
});

it('every unique key of a table begins with its workshop, but for those by which a workshop is found', async () => {
  const found = (await servers.one.app.get(WorkshopContext).inWorkshop(uuid(), () =>
    servers.one.app.get(WorkshopContext).manager.query(`
      SELECT t.relname AS table, string_agg(a.attname, ',' ORDER BY k.n) AS columns
      FROM pg_index i JOIN pg_class t ON t.oid = i.indrelid JOIN pg_namespace s ON s.oid = t.relnamespace
      CROSS JOIN LATERAL unnest(i.indkey) WITH ORDINALITY AS k (attnum, n)
      JOIN pg_attribute a ON a.attrelid = t.oid AND a.attnum = k.attnum
      WHERE i.indisunique AND s.nspname = 'public' AND t.relname NOT IN ('migrations', 'workshops')
      GROUP BY i.indexrelid, t.relname ORDER BY 1, 2`),
  )) as { table: string; columns: string }[];
  const elsewhere = found.filter(({ columns }) => !columns.startsWith('workshop_id'));
  expect(elsewhere.map(({ table, columns }) => `${table} ${columns}`)).toEqual([
    'calendar_keys token_hash',
    'invitations token_hash',
    'sessions token_hash',
  ]);
  expect(found.length).toBeGreaterThan(25);
});

it('a file that is brought in at two servers at once makes each of its mixes once', async () => {
  const row = {
    name: 'Brought sand',
    kind: 'aggregate',
    bulk: 1.5,
    particle: 2.65,
    absorption: 0.01,
    demand: 0.03,
    largestGrain: 2,
    bulking: 'sharp',
  };
  await rounds(
    async (round) => {
      const name = `Brought sand ${round}`;
      const file = { format: 'dew-pot-mixes', version: 2, materials: [{ ...row, name }], mixes: [] };
      const answers = await both(
        here.post('/api/mixes/import').send({ file, dry: false }),
        there.post('/api/mixes/import').send({ file, dry: false }),
      );
      expect(
        answers.map(({ status }) => status),
        JSON.stringify(answers[0].body),
      ).toEqual([200, 200]);
      const { materials } = (await here.get('/api/store')).body as { materials: { name: string }[] };
      expect(materials.filter((one) => one.name === name)).toHaveLength(1);
    },
    Math.ceil(ROUNDS / 4),
  );
});

it('a material that is removed while a mix takes it stays, or the mix is refused', async () => {
  const { materials } = (await here.get('/api/store')).body as { materials: { id: string; name: string }[] };
  const { id: _, version: __, ...sand } = materials.find(({ name }) => name === 'Sharp sand') as unknown as { id: string; version: number };
  const cement = materials.find(({ name }) => name === 'Grey Portland cement')!.id;
  await rounds(async (round) => {
    const [material, mix] = [uuid(), uuid()];
    await here.put(`/api/materials/${material}`).send({ ...sand, name: `Sand ${round}`, version: 0 }).expect(200);
    const answers = await both(
      here.put(`/api/mixes/${mix}`).send(mixInput({ cement, sand: material })),
      there.delete(`/api/materials/${material}`),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual(answers[0].status === 200 ? [200, 409] : [204, 404]);
  });
}); // prettier-ignore
