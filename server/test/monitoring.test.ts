import type { AddressInfo } from 'node:net';
import request from 'supertest';
import { DataSource } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { createServer } from '../src/bootstrap.js';
import { configFrom } from '../src/config.js';
import type { Observer } from '../src/monitoring/answered.js';
import { JsonLines, telling } from '../src/monitoring/lines.js';
import { Replica } from '../src/db/replica.js';
import { Metrics } from '../src/monitoring/metrics.js';
import { newWorkshop, PASSPHRASE, startServer, visitor, type Agent, type Harness } from './harness.js';

let harness: Harness;
let watched: Harness;
let agent: Agent;
let metrics: Metrics;
const lines: Record<string, unknown>[] = [];
beforeAll(async () => {
  harness = await startServer();
  const json = new JsonLines('info', { write: (line) => void lines.push(JSON.parse(line) as Record<string, unknown>) });
  const observers: Observer[] = [json.observe];
  const app = await createServer(harness.config, observers);
  metrics = new Metrics(app.get(DataSource), app.get(Replica));
  observers.push(metrics.observe);
  await app.listen(0, '127.0.0.1');
  watched = { app, config: harness.config, close: () => app.close() };
  agent = await newWorkshop(watched);
});
afterAll(async () => {
  await watched.close();
  await harness.close();
});

/** The line of a request, which is told once its answer is through. */
const lineOf = (answer: { headers: Record<string, string> }) =>
  vi.waitFor(() => {
    const found = lines.find(({ request: id }) => id === answer.headers['x-request-id']);
    expect(found).toBeDefined();
    return found;
  });

describe('the log of requests', () => {
  it('tells each by its number, its route and whose it was, and nothing of what was asked', async () => {
    const { body, headers } = await agent.get('/api/session').expect(200);
    const whose = { workshop: body.workshop.id as string, person: body.person.id as string };
    expect(await lineOf({ headers })).toMatchObject({
      message: 'answered',
      method: 'GET',
      path: '/api/session',
      route: '/api/session',
      status: 200,
      ...whose,
    });
    const id = uuid();
    const missing = await agent.get(`/api/casts/${id}?words=quince`).expect(404);
    expect(await lineOf(missing)).toMatchObject({ path: `/api/casts/${id}`, route: '/api/casts/:id', status: 404 });
    const same = await agent.get('/api/session').set('If-None-Match', headers.etag!).expect(304);
    expect(await lineOf(same)).toMatchObject({ route: '/api/session', status: 304, ...whose });
    const told = JSON.stringify(lines);
    expect(told).not.toContain('quince');
    expect(told).not.toContain(PASSPHRASE);
  });

  it('tells a stranger’s without a person', async () => {
    const refused = await visitor(watched).get('/api/moulds').expect(401);
    const line = await lineOf(refused);
    expect(line).toMatchObject({ status: 401 });
    expect(line).not.toHaveProperty('person');
  });

  it('is text for people, and of the API alone', () => {
    const { logger, observer } = telling('text', true);
    expect(logger).toEqual(['error']);
    const said = vi.spyOn(process.stdout, 'write').mockReturnValue(true);
    try {
      observer({ requestId: 'r', method: 'GET', path: '/assets/a.js', status: 200, ms: 1 });
      expect(said).not.toHaveBeenCalled();
    } finally {
      said.mockRestore();
    }
  });

  it('of errors has their stack', () => {
    const told: string[] = [];
    new JsonLines('error', { write: (line) => void told.push(line) }).error('It broke', 'at line 1', 'Rounds');
    expect(JSON.parse(told[0]!)).toMatchObject({ message: 'It broke', stack: 'at line 1', context: 'Rounds' });
  });
});

describe('the figures of a server', () => {
  it('are served to this machine at their own port', async () => {
    await agent.get(`/api/casts/${uuid()}`).expect(404);
    const server = await metrics.serve(0);
    const { port, address } = server.address() as AddressInfo;
    expect(address).toBe('127.0.0.1');
    await vi.waitFor(async () => {
      const { text } = await request(`http://127.0.0.1:${port}`).get('/metrics').expect(200);
      expect(text).toMatch(/dewpot_request_seconds_count\{method="GET",route="\/api\/casts\/:id",status="404"\} [1-9]/);
      expect(text).toMatch(/dewpot_database_connections\{state="idle"\} \d/);
      expect(text).toContain('nodejs_eventloop_lag_seconds');
    });
    await request(`http://127.0.0.1:${port}`).get('/api/session').expect(404);
    server.close();
  });

  it('are asked for by the environment, which says what it does not understand', () => {
    const from = (more: NodeJS.ProcessEnv) => configFrom({ DATABASE_URL: 'postgres://here', ...more });
    expect(from({ DEWPOT_METRICS_PORT: '9464', DEWPOT_LOG: 'json' })).toMatchObject({ metricsPort: 9464, log: 'json' });
    expect(from({})).not.toHaveProperty('metricsPort');
    expect(() => from({ DEWPOT_METRICS_PORT: '70000' })).toThrow('write a whole number from 1 to 65535');
    expect(() => from({ DEWPOT_LOG: 'xml' })).toThrow('DEWPOT_LOG is “xml”: write text or json.');
  });
});
