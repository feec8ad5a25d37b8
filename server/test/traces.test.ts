import { createServer as createCollector } from 'node:http';
import type { AddressInfo } from 'node:net';
import { DataSource } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { configFrom } from '../src/config.js';
import type { BoundedAdapter } from '../src/http/bounded-adapter.js';
import { Traces } from '../src/monitoring/traces.js';
import { newWorkshop, startServer, type Agent, type Harness } from './harness.js';

interface Span {
  readonly name: string;
  readonly traceId: string;
  readonly spanId: string;
  readonly parentSpanId?: string;
  readonly status: { readonly code?: number };
  readonly attributes: readonly { readonly key: string; readonly value: Readonly<Record<string, unknown>> }[];
}
interface Told {
  readonly resourceSpans: readonly { readonly scopeSpans: readonly { readonly spans: readonly Span[] }[] }[];
}

const spans: Span[] = [];
/** A stand-in for a collector of OpenTelemetry. */
const collector = createCollector((request, response) => {
  let body = '';
  request.on('data', (part) => (body += String(part)));
  request.on('end', () => {
    const { resourceSpans } = JSON.parse(body) as Told;
    spans.push(...resourceSpans.flatMap(({ scopeSpans }) => scopeSpans.flatMap((scope) => scope.spans)));
    response.writeHead(200, { 'content-type': 'application/json' }).end('{}');
  });
});

let harness: Harness;
let agent: Agent;
let traces: Traces;
beforeAll(async () => {
  await new Promise<void>((listening) => collector.listen(0, '127.0.0.1', listening));
  const { port } = collector.address() as AddressInfo;
  // What is told is told at once, rather than every five seconds.
  vi.stubEnv('OTEL_BSP_SCHEDULE_DELAY', '50');
  harness = await startServer();
  traces = new Traces(`http://127.0.0.1:${port}/v1/traces`, harness.app.get(DataSource));
  (harness.app.getHttpAdapter() as BoundedAdapter).within = traces.within;
  agent = await newWorkshop(harness);
});
afterAll(async () => {
  await traces.stop();
  await harness.close();
  vi.unstubAllEnvs();
  collector.closeAllConnections();
  await new Promise((closed) => collector.close(closed));
});

/** The spans of a trace, once that of its request is told, which ends last. */
const toldOf = (trace: string) =>
  vi.waitFor(
    () => {
      const found = spans.filter(({ traceId }) => traceId === trace);
      const request = found.find(({ name }) => name.includes('/api/'));
      expect(request).toBeDefined();
      return { request: request!, statements: found.filter((span) => span !== request) };
    },
    { timeout: 10_000 },
  );
const attribute = ({ attributes }: Span, name: string) => {
  const value = attributes.find(({ key }) => key === name)?.value;
  return value && Object.values(value)[0];
};
const newTrace = () => uuid().replaceAll('-', '');

describe('traces', () => {
  it('tell a request within the trace of who asked, and the statements that it waited for', async () => {
    const trace = newTrace();
    const parent = `00-${trace}-00f067aa0ba902b7-01`;
    const { body, headers } = await agent.get('/api/casts/shelf').set('traceparent', parent).expect(200);
    const { workshop } = (await agent.get('/api/session').expect(200)).body as { workshop: { id: string } };
    expect(body).toEqual([]);
    const { request, statements } = await toldOf(trace);
    expect(request).toMatchObject({ name: 'GET /api/casts/shelf', parentSpanId: '00f067aa0ba902b7' });
    expect(attribute(request, 'http.response.status_code')).toBe(200);
    expect(attribute(request, 'dewpot.request')).toBe(headers['x-request-id']);
    expect(attribute(request, 'dewpot.workshop')).toBe(workshop.id);
    expect(statements.length).toBeGreaterThan(2);
    for (const span of statements) expect(span.parentSpanId).toBe(request.spanId);
    expect(statements.some((span) => String(attribute(span, 'db.query.text')).includes('"casts"'))).toBe(true);
  });

  it('tell nothing of what was asked or written', async () => {
    const trace = newTrace();
    await agent.put(`/api/scoops/${uuid()}?why=quince`).set('traceparent', `00-${trace}-00f067aa0ba902b7-01`)
      .send({ name: 'Aunt’s ladle', volume: 300, version: 0 }).expect(200); // prettier-ignore
    const { request, statements } = await toldOf(trace);
    expect(request.name).toBe('PUT /api/scoops/:id');
    expect(statements.map(({ name }) => name)).toContain('INSERT');
    expect(JSON.stringify([request, statements])).not.toMatch(/ladle|quince/);
  });

  it('go to an address, and nowhere where none is set', () => {
    const from = (env: NodeJS.ProcessEnv) => configFrom({ DATABASE_URL: 'postgres://x', ...env });
    expect(from({}).traces).toBeUndefined();
    const traced = 'http://127.0.0.1:4318/v1/traces';
    expect(from({ DEWPOT_TRACES: traced }).traces).toBe(traced);
    expect(() => from({ DEWPOT_TRACES: 'the shed' })).toThrow('DEWPOT_TRACES is “the shed”: write an address such as');
  });
});
