import 'reflect-metadata';
import { randomBytes } from 'node:crypto';
import { get } from 'node:http';
import { fileURLToPath } from 'node:url';
import type { AddressInfo } from 'node:net';
import { Client } from 'pg';
import type { InvitationInput, InvitationTaken, NewInvitation, SessionView } from '@dewpot/contract';
import type { NestExpressApplication } from '@nestjs/platform-express';
import request from 'supertest';
import { DataSource } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { expect, it } from 'vitest';
import type { Rates } from '../src/config.js';
import { ownerOptions } from '../src/db/connection.js';
import { materialExamples } from '../src/http/examples/materials.js';
import { pieceExamples } from '../src/http/examples/pieces.js';
import { createServer, prepareDatabase, type ServerConfig } from '../src/index.js';

export const SIGN_IN_LIMIT = 30;
const rates: Rates = { requests: 1e5, calendars: 1e5, accounts: SIGN_IN_LIMIT, freeTries: SIGN_IN_LIMIT };
/** For tests in which one address stands for many people. */
export const wideRates: Rates = { requests: 1e6, calendars: 1e6, accounts: 1e4, freeTries: 1e4 };

/** Where the programs are built that calculate on threads of their own. */
const PROGRAMS = fileURLToPath(new URL('../dist/app', import.meta.url));

export interface Harness {
  readonly app: NestExpressApplication;
  readonly config: ServerConfig;
  close(): Promise<void>;
}

/** Makes a database of its own in the cluster of this run, a copy of `from` or empty; answers its owner's address. */
export async function newDatabase(from = 'template1'): Promise<string> {
  const cluster = process.env.DEWPOT_TEST_CLUSTER!;
  const name = `test_${randomBytes(6).toString('hex')}`;
  const client = new Client({ connectionString: cluster });
  await client.connect();
  await client.query(`CREATE DATABASE ${name} TEMPLATE ${from}`);
  await client.end();
  const url = new URL(cluster);
  url.pathname = `/${name}`;
  return url.toString();
}

/** A database as it was before a migration, and its owner's connection to it. */
export async function databaseBefore(migration: new () => object): Promise<{ ownerUrl: string; owner: DataSource }> {
  // The role that the migrations grant to is of the whole cluster.
  await (await startServer()).close();
  const ownerUrl = await newDatabase();
  const options = ownerOptions(ownerUrl);
  const all = options.migrations as object[];
  const migrations = all.slice(0, all.indexOf(migration)) as never;
  const owner = await new DataSource({ ...options, migrations }).initialize();
  await owner.runMigrations();
  return { ownerUrl, owner };
}

/** Starts a server on a database of its own, or on the one that is given. */
export async function startServer(more: Partial<ServerConfig> = {}): Promise<Harness> {
  const config: ServerConfig = {
    ownerUrl: more.ownerUrl ?? (await newDatabase(process.env.DEWPOT_TEST_PREPARED)),
    host: '127.0.0.1',
    port: 0,
    loopback: true,
    programs: PROGRAMS,
    rates,
    // A third of a second of work each, twice for every workshop that a test makes, tells nothing of the server.
    hashing: { memoryCost: 1024, timeCost: 2, parallelism: 1 },
    ...more,
  };
  await prepareDatabase(config.ownerUrl);
  const app = await createServer(config);
  await app.listen(0, '127.0.0.1');
  return { app, config, close: () => app.close() };
}

export type Agent = ReturnType<typeof request.agent>;

export const PASSPHRASE = 'a long passphrase';

/** Someone at a browser, who has not signed in. */
export const visitor = ({ app }: Harness): Agent =>
  request.agent(app.getHttpServer()).set('Sec-Fetch-Site', 'same-origin') as unknown as Agent;

/** Signs in; answers the agent that has the session. */
export async function signedIn(harness: Harness, email: string, passphrase = PASSPHRASE): Promise<Agent> {
  const agent = visitor(harness);
  await agent.post('/api/session').send({ email, passphrase }).expect(204);
  return agent;
}

/** Registers a workshop of its own with one scoop, and answers its signed-in agent. */
export async function newWorkshop(harness: Harness, name = 'Quince Yard', email = newAddress()): Promise<Agent> {
  const registration = { workshop: name, name: 'Ada', email, passphrase: PASSPHRASE };
  await visitor(harness).post('/api/workshops').send(registration).expect(204);
  const agent = await signedIn(harness, email);
  await agent.put(`/api/scoops/${uuid()}`).send({ name: 'A 1-litre jug', volume: 1000, version: 0 }).expect(200);
  return agent;
}

/** Invites somebody, who comes in; answers their signed-in agent. */
export async function letIn(harness: Harness, owner: Agent, { role = 'caster', email = newAddress(), passphrase = PASSPHRASE, name = 'Tobias' }: Partial<InvitationTaken & InvitationInput> = {}): Promise<Agent> {
  const { body } = await owner.post('/api/invitations').send({ role, days: 7 }).expect(201);
  const agent = visitor(harness);
  await agent.post('/api/invitations/take').send({ token: (body as NewInvitation).token, name, email, passphrase }).expect(204);
  return agent;
} // prettier-ignore

/** A route of the API. */
export interface Route {
  readonly method: 'get' | 'put' | 'post' | 'delete';
  readonly path: string;
}

/** Every route of the API, as its own document tells. */
export async function routesOf(harness: Harness): Promise<Route[]> {
  const { body } = await visitor(harness).get('/api/openapi.json').expect(200);
  const paths = (body as { paths: Record<string, Record<string, unknown>> }).paths;
  return Object.entries(paths).flatMap(([path, methods]) =>
    Object.keys(methods).map((method) => ({ method: method as Route['method'], path })),
  );
}

// A calendar is read at an address that is itself the secret.
const secretly = '/api/calendar/{key}/round.ics';
const open = [
  '/api/door',
  '/api/session',
  '/api/session/demo',
  '/api/session/passkey',
  '/api/session/passkey/options',
  '/api/session/recover',
  '/api/workshops',
  '/api/invitations/offer',
  '/api/invitations/take',
  '/api/invitations/renew',
  '/api/health',
  '/api/health/live',
  '/api/health/ready',
  secretly,
];
/** Whether a route needs no session. */
export const isOpen = ({ method, path }: Route) =>
  path.startsWith('/api/calculate/') || (open.includes(path) && !(path === '/api/session' && method !== 'post'));

/** Who an agent is. */
export const me = async (agent: Agent): Promise<SessionView['person']> =>
  ((await agent.get('/api/session').expect(200)).body as SessionView).person;

/** An address that nobody has. */
export const newAddress = (): string => `${randomBytes(5).toString('hex')}@example.org`;

export const potShape = pieceExamples.MouldInput.shape;

/** The example's pot, with two copies. */
export const potInput = (version = 0) => ({
  ...pieceExamples.MouldInput,
  copies: [
    { id: uuid(), mark: 'A' },
    { id: uuid(), mark: 'B' },
  ],
  version,
});

interface Store {
  materials: { id: string; name: string }[];
  lots: { id: string; left: number }[];
  scoops: { id: string }[];
}

/** The example's mix: one of cement to so much of sharp sand. */
export const mixInput = ({ cement, sand }: { cement: string; sand: string }, parts = 2.5) => ({
  ...materialExamples.MixInput,
  lines: [
    { materialId: cement, parts: 1 },
    { materialId: sand, parts },
  ],
});

/** Puts a mould, a mix, a lot and a finished pour of three pots into a workshop; answers their keys. */
export async function pouredPots(agent: Agent, pouredAt: number, count = 3) {
  const store = (await agent.get('/api/store').expect(200)).body as Store;
  const material = (name: string) => store.materials.find((one) => one.name === name)!.id;
  const keys = {
    mould: uuid(),
    mix: uuid(),
    lot: uuid(),
    pour: uuid(),
    casts: Array.from({ length: count }, () => uuid()),
    cement: material('Grey Portland cement'),
    sand: material('Sharp sand'),
    scoop: store.scoops[0]!.id,
  };
  await agent.put(`/api/moulds/${keys.mould}`).send(potInput()).expect(200);
  await agent
    .put(`/api/lots/${keys.lot}`)
    .send({ materialId: keys.cement, bought: 25000, left: 20000, price: 9.5, boughtAt: 1, version: 0 })
    .expect(200);
  await agent.put(`/api/mixes/${keys.mix}`).send(mixInput(keys)).expect(200);
  const input = {
    items: [{ mouldId: keys.mould, count }],
    mixId: keys.mix,
    grade: 5,
    spare: 0.05,
    moisture: {},
    scoopId: keys.scoop,
    step: 0.25,
    temperature: 18,
    release: 'paste wax',
    version: 0,
  };
  await agent.put(`/api/pours/${keys.pour}`).send(input).expect(200);
  await agent.post(`/api/pours/${keys.pour}/start`).expect(200);
  const finish = {
    logs: [
      {
        used: { [keys.cement]: (3100 * count) / 3, [keys.sand]: (9500 * count) / 3 },
        tap: 500 * count,
        grade: 5,
        temperature: 17,
      },
    ],
    casts: keys.casts.map((id) => ({ id, item: 0 })),
    pouredAt,
  };
  await agent.post(`/api/pours/${keys.pour}/finish`).send(finish).expect(200);
  return { ...keys, finish, input };
}

/** Every question of a stage is answered by its own example, and shows it in the API's document. */
export function answersItsExamples(stage: string, examples: object, harness: () => Harness): void {
  it.each(Object.entries(examples))(
    '%s: its example is answered, and shown in the document',
    async (path, example: object) => {
      const server = harness().app.getHttpServer();
      const answer = await request(server).post(`/api/calculate/${stage}/${path}`).send(example).expect(200);
      expect(Object.keys(answer.body as object).length).toBeGreaterThan(0);
      const { body } = await request(server).get('/api/openapi.json').expect(200);
      const { content } = body.paths[`/api/calculate/${stage}/${path}`].post.requestBody;
      expect(content['application/json'].examples.example.value).toEqual(example);
    },
  );
}

/** So many messages of a stream, with this agent's own session; `first` is done once one was heard. */
export async function hears<T>(
  { app }: Harness,
  agent: Agent,
  path: string,
  count: number,
  first: () => unknown = () => undefined,
): Promise<T[]> {
  const { port } = app.getHttpServer().address() as AddressInfo;
  const cookie = ((await agent.get('/api/session')).request as unknown as { cookies: string }).cookies;
  return new Promise((resolve, reject) => {
    const found: T[] = [];
    let rest = '';
    const asked = get({ port, path, headers: { cookie } }, (answer) => {
      expect(answer.headers['content-type']).toContain('text/event-stream');
      answer.setEncoding('utf8').on('data', (text: string) => {
        const messages = (rest + text).split('\n\n');
        rest = messages.pop()!;
        for (const message of messages) {
          // A message that has a name of its own tells of the stream itself.
          const data = message.startsWith('event: ') ? undefined : /^data: (.*)$/m.exec(message)?.[1];
          if (data === undefined) continue;
          found.push(JSON.parse(data) as T);
          if (found.length === 1) first();
        }
        if (found.length < count) return;
        asked.destroy();
        resolve(found);
      });
    });
    asked.on('error', (error) => (found.length >= count ? undefined : reject(error)));
  });
}
