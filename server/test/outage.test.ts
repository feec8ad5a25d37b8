import { once } from 'node:events';
import express from 'express';
import { bodyInTime } from '../src/http/body-time.js';
import { readdirSync, readFileSync } from 'node:fs';
import { get } from 'node:http';
import { connect, type AddressInfo } from 'node:net';
import { join } from 'node:path';
import { Client } from 'pg';
import type { PourView } from '@dewpot/contract';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { outageOf, wasInTheWay } from '../src/db/outage.js';
import { DatabaseHealth } from '../src/health/database-health.js';
import { stopGracefully } from '../src/http/graceful-stop.js';
import { OwnClusters, type Cluster } from './clusters.js';
import { newWorkshop, pouredPots, startServer, visitor, type Agent, type Harness } from './harness.js';

const clusters = new OwnClusters();
let cluster: Cluster;
let harness: Harness;
let agent: Agent;
beforeAll(async () => {
  cluster = await clusters.start();
  harness = await startServer({ ownerUrl: cluster.url('postgres') });
  agent = await newWorkshop(harness);
});
afterAll(async () => {
  await harness.close();
  await clusters.remove();
});

const parentOf = (pid: string) => Number(/^PPid:\s+(\d+)/m.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1]);

/** Sends a signal to the postmaster, which then begins no process, and to each of its processes. */
function signalAll(signal: 'SIGSTOP' | 'SIGCONT'): void {
  const postmaster = Number(readFileSync(join(cluster.directory, 'postmaster.pid'), 'utf8').split('\n')[0]);
  process.kill(postmaster, signal);
  for (const pid of readdirSync('/proc').filter((name) => /^\d+$/.test(name)))
    try {
      if (parentOf(pid) === postmaster) process.kill(Number(pid), signal);
    } catch (error) {
      // A process may end while we look.
      if (!['ENOENT', 'ESRCH'].includes((error as NodeJS.ErrnoException).code ?? '')) throw error;
    }
}

interface Answer {
  readonly status: number;
  readonly body: Record<string, unknown>;
}

/** Asks until it is answered so. */
async function until(status: number, ask: () => PromiseLike<Answer>): Promise<Answer> {
  const deadline = Date.now() + 30_000;
  while (Date.now() < deadline) {
    const answer = await ask();
    if (answer.status === status) return answer;
    await new Promise((done) => setImmediate(done));
  }
  throw new Error(`It was never answered with ${status}.`);
}

/** What a stream says from here on, message by message. */
function listening(path: string, cookie: string) {
  const { port } = harness.app.getHttpServer().address() as AddressInfo;
  const said: string[] = [];
  let over = false;
  const waiting: { readonly wanted: RegExp; readonly done: (text: string) => void }[] = [];
  const asked = get({ port, path, headers: { cookie } }, (answer) => {
    answer.on('end', () => (over = true));
    answer.setEncoding('utf8').on('data', (text: string) => {
      said.push(text);
      for (const { wanted, done } of waiting.splice(0)) {
        if (wanted.test(text)) done(text);
        else waiting.push({ wanted, done });
      }
    });
  });
  asked.on('error', () => undefined);
  return {
    hears: (wanted: RegExp) => new Promise<string>((done) => waiting.push({ wanted, done })),
    isOver: () => over,
    close: () => asked.destroy(),
  };
}

describe('while the database is away', () => {
  it('requests are told to come back, health says which part it is, a stream waits; then all goes on', async () => {
    const { cookies } = (await agent.get('/api/session')).request as unknown as { cookies: string };
    const stream = listening('/api/scale/stream', cookies);
    await stream.hears(/^data: /m);
    const away = stream.hears(/event: away/);
    await cluster.stop();
    await away;
    await until(503, () => agent.get('/api/moulds/all'));
    const { body, headers } = await agent.get('/api/moulds/all').expect(503);
    expect(Number(headers['retry-after'])).toBeGreaterThan(0);
    expect(body).toMatchObject({ title: 'Not available just now', status: 503 });
    await until(503, () => visitor(harness).get('/api/health'));
    expect((await visitor(harness).get('/api/health')).body).toEqual({ status: 'not ready', database: 'away' });
    await visitor(harness).get('/api/health/live').expect(200);
    const back = stream.hears(/^data: \{/m);
    await cluster.revive();
    await until(200, () => visitor(harness).get('/api/health'));
    await agent.get('/api/moulds/all').expect(200);
    await back;
    stream.close();
  });

  it('a line for news that breaks alone ends no stream', async () => {
    const { cookies } = (await agent.get('/api/session')).request as unknown as { cookies: string };
    const stream = listening('/api/scale/stream', cookies);
    await stream.hears(/^data: /m);
    const client = new Client({ connectionString: cluster.url('postgres') });
    await client.connect();
    const lines = async () =>
      (await client.query<{ pid: number }>(`select pid from pg_stat_activity where query = 'LISTEN dewpot_news'`)).rows.map(({ pid }) => pid);
    const [before] = await lines();
    await client.query('select pg_terminate_backend($1)', [before]);
    await expect.poll(async () => (await lines()).some((pid) => pid !== before), { timeout: 20_000 }).toBe(true);
    // By then it was told that news may have been missed.
    await new Promise((done) => setTimeout(done, 500));
    expect(stream.isOver()).toBe(false);
    stream.close();
    await client.end();
  }); // prettier-ignore

  it('a database that holds its breath is told as away by whoever asks next, and all goes on when it breathes', async () => {
    try {
      signalAll('SIGSTOP');
      await until(503, () => visitor(harness).get('/api/health'));
      const { body } = await agent.get('/api/moulds/all').expect(503);
      expect(body.detail).toContain('does not answer');
      await visitor(harness).get('/api/health/live').expect(200);
    } finally {
      signalAll('SIGCONT');
    }
    await until(200, () => visitor(harness).get('/api/health'));
    await until(200, () => agent.get('/api/moulds/all'));
  });

  it('a full disk that a request found makes the server unready until there is room again', async () => {
    const owner = new Client({ connectionString: cluster.url('postgres') });
    await owner.connect();
    await owner.query(`CREATE FUNCTION no_room() RETURNS event_trigger LANGUAGE plpgsql AS
      $$ BEGIN RAISE EXCEPTION 'no space left' USING ERRCODE = '53100'; END $$`);
    await owner.query(`CREATE EVENT TRIGGER no_room ON ddl_command_start WHEN TAG IN ('CREATE TABLE AS') EXECUTE FUNCTION no_room()`); // prettier-ignore
    try {
      harness.app.get(DatabaseHealth).heard({ driverError: { code: '53100' } });
      const { body } = await until(503, () => visitor(harness).get('/api/health'));
      expect(body).toEqual({ status: 'not ready', database: 'full' });
      await visitor(harness).get('/api/health/live').expect(200);
    } finally {
      await owner.query('DROP EVENT TRIGGER no_room');
      await owner.query('DROP FUNCTION no_room()');
    }
    await until(200, () => visitor(harness).get('/api/health'));
    await owner.end();
  });

  it('a database that can only be read makes the server unready, and a write is told so', async () => {
    const owner = new Client({ connectionString: cluster.url('postgres') });
    await owner.connect();
    const readOnly = async (state: 'on' | 'off') => {
      await owner.query(`ALTER SYSTEM SET default_transaction_read_only = ${state}`);
      await owner.query('select pg_reload_conf()');
    };
    try {
      await readOnly('on');
      await until(503, () => visitor(harness).get('/api/health'));
      // Each connection hears of it in its own time.
      const refused = await until(503, () => agent.post('/api/scale').send({ load: 5 }));
      expect(refused.body.detail).toContain('not written to');
    } finally {
      await owner.query('SET default_transaction_read_only = off');
      await readOnly('off');
    }
    await until(200, () => visitor(harness).get('/api/health'));
    await until(200, () => agent.post('/api/scale').send({ load: 5 }));
    await owner.end();
  });
});

it('what PostgreSQL and the socket say is told apart', () => {
  expect(outageOf({ driverError: { code: '53100' } })).toBe('full');
  expect(outageOf({ code: '25006' })).toBe('read-only');
  expect(outageOf(new Error('timeout exceeded when trying to connect'))).toBe('busy');
  expect(outageOf({ errors: [{ code: 'ECONNREFUSED' }] })).toBe('away');
  expect(outageOf(new Error('Connection terminated unexpectedly'))).toBe('away');
  expect(outageOf(new Error('Query runner already released. Cannot run queries anymore.'))).toBe('away');
  expect(outageOf(new Error('Query read timeout'))).toBe('away');
  expect(outageOf(new Error('anything else'))).toBeUndefined();
  expect(wasInTheWay({ driverError: { code: '40P01' } })).toBe(true);
});

describe('a slow client', () => {
  it('that never finishes its headers or its body is answered 408 and let go', async () => {
    const server = harness.app.getHttpServer() as { headersTimeout: number; requestTimeout: number } & ReturnType<
      typeof harness.app.getHttpServer
    >;
    expect([server.headersTimeout, server.requestTimeout]).toEqual([15_000, 1_800_000]);
    server.headersTimeout = 50;
    server.requestTimeout = 50;
    const { port } = server.address() as AddressInfo;
    const heard = await new Promise<string>((done) => {
      const socket = connect(port, '127.0.0.1', () => socket.write('GET /api/health HTTP/1.1\r\nHost: localhost\r\n'));
      let text = '';
      socket.on('data', (data) => (text += String(data))).once('close', () => done(text));
    });
    expect(heard).toContain('408');
    server.headersTimeout = 15_000;
    server.requestTimeout = 1_800_000;
  });

  it('that sends its body too slowly is let go, but for an archive, which may be large', async () => {
    const little = express().use(bodyInTime(60), (request, response) => void request.resume().on('end', () => response.end('all')));
    const server = little.listen(0, '127.0.0.1');
    await once(server, 'listening');
    const { port } = server.address() as AddressInfo;
    const slowly = (path: string) =>
      new Promise<string>((done) => {
        const socket = connect(port, '127.0.0.1', () => socket.write(`POST ${path} HTTP/1.1\r\nHost: localhost\r\nContent-Length: 2\r\nConnection: close\r\n\r\na`));
        setTimeout(() => socket.write('b'), 150);
        let text = '';
        socket.on('error', () => undefined).on('data', (data) => (text += String(data))).once('close', () => done(text));
      });
    expect(await slowly('/api/moulds')).toMatch(/^HTTP\/1.1 408/);
    expect(await slowly('/api/archive/import')).toMatch(/^HTTP\/1.1 200 OK[^]*all/);
    server.close();
  }); // prettier-ignore

  it('ten slow uploads take no connection of the database from anybody else', async () => {
    const { cookies } = (await agent.get('/api/session')).request as unknown as { cookies: string };
    const { port } = harness.app.getHttpServer().address() as AddressInfo;
    const sockets = Array.from({ length: 12 }, () => {
      const socket = connect(port, '127.0.0.1');
      socket.on('error', () => undefined);
      socket.write(
        `POST /api/moulds/00000000-0000-7000-8000-000000000000/pictures HTTP/1.1\r\nHost: localhost\r\nCookie: ${cookies}\r\nSec-Fetch-Site: same-origin\r\nContent-Type: multipart/form-data; boundary=x\r\nContent-Length: 9000\r\n\r\n--x\r\n`,
      );
      return socket;
    });
    for (let i = 0; i < 12; i++) await agent.get('/api/moulds/all').expect(200);
    sockets.forEach((socket) => socket.destroy());
  });
});

it('a server that stops ends its streams with a hint to come back, and itself', async () => {
  const other = await startServer({ ownerUrl: cluster.url('postgres') });
  const { cookies } = (await agent.get('/api/session')).request as unknown as { cookies: string };
  const { port } = other.app.getHttpServer().address() as AddressInfo;
  const said = new Promise<string>((done) => {
    get({ port, path: '/api/places/stream', headers: { cookie: cookies } }, (answer) => {
      let text = '';
      answer.setEncoding('utf8').on('data', (more: string) => {
        if (text === '') void stopGracefully(other.app);
        text += more;
      });
      answer.once('end', () => done(text));
    });
  });
  expect(await said).toMatch(/event: bye[\s\S]*retry: 3000|retry: 3000[\s\S]*event: bye|bye/);
});

it('a stream that is taken up where it was tells only what came since', async () => {
  const { cookies: cookie } = (await agent.get('/api/session')).request as unknown as { cookies: string };
  const { port } = harness.app.getHttpServer().address() as AddressInfo;
  const { pour } = await pouredPots(agent, Date.now() - 3_600_000);
  const { body } = await agent.get(`/api/pours/${pour}`).expect(200);
  const another = uuid();
  await agent
    .put(`/api/pours/${another}`)
    .send({ ...(body as PourView).input, version: 0 })
    .expect(200);
  await agent.post(`/api/pours/${another}/start`).expect(200);
  /** The first message of the run's stream, from one on, and what is done once it is open. */
  const first = (lastId?: string, opened: () => unknown = () => undefined) =>
    new Promise<{ id: string; data: string }>((done) => {
      const headers = { cookie, ...(lastId && { 'last-event-id': lastId }) };
      const asked = get({ port, path: `/api/pours/${another}/run/stream`, headers }, (answer) => {
        let text = '';
        answer.once('data', opened);
        answer.setEncoding('utf8').on('data', (more: string) => {
          text += more;
          const id = [...text.matchAll(/^id: (.*)$/gm)].at(-1)?.[1];
          const [, data] = /^data: (.*)$/m.exec(text) ?? [];
          if (id === undefined || data === undefined) return;
          asked.destroy();
          done({ id, data });
        });
      });
    });
  const before = await first();
  expect(JSON.parse(before.data)).toEqual({ events: [] });
  const event = { id: uuid(), at: Date.now(), kind: 'done', step: 'lay-out' };
  const after = await first(before.id, () =>
    agent
      .post(`/api/pours/${another}/run`)
      .send({ events: [event] })
      .then(),
  );
  expect((JSON.parse(after.data) as { events: { id: string }[] }).events.map(({ id }) => id)).toEqual([event.id]);
});
