import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { dice, Fuzzer, type ApiDocument } from './fuzz/requests.js';
import { runFuzz } from './fuzz/run-fuzz.js';
import { newWorkshop, pouredPots, startServer, visitor, type Harness } from './harness.js';

/** By default a short run; `npm run fuzz -- --requests 100000` for a longer one. */
const REQUESTS = Number(process.env.DEWPOT_FUZZ_REQUESTS ?? 3_000);
const SEED = Number(process.env.DEWPOT_FUZZ_SEED ?? 20_261);

let harness: Harness;
beforeAll(async () => {
  harness = await startServer();
});
afterAll(() => harness.close());

it(`no request of ${REQUESTS} is answered with a fault of the server’s own, and none by itself takes two seconds`, { timeout: 120_000 + REQUESTS * 60 }, async () => {
  const agent = await newWorkshop(harness);
  const keys = await pouredPots(agent, Date.now() - 3_600_000);
  const { cookies: cookie } = (await agent.get('/api/session')).request as unknown as { cookies: string };
  const document = (await visitor(harness).get('/api/openapi.json').expect(200)).body as ApiDocument;
  const places = (await agent.get('/api/places')).body as { id: string }[];
  const known = [keys.mould, keys.mix, keys.lot, keys.pour, keys.cement, keys.scoop, ...keys.casts, ...places.map(({ id }) => id)];
  const fuzzer = new Fuzzer(document, dice(SEED), known);
  const { port } = harness.app.getHttpServer().address() as AddressInfo;
  const report = await runFuzz(port, { cookie, 'sec-fetch-site': 'same-origin' }, () => fuzzer.next(), REQUESTS);
  expect(report.findings.map(({ sent, status, ms, text }) => ({ ...sent, status, ms, text: text.slice(0, 300) }))).toEqual([]);
  // It reaches past the first check: some are right, some are refused by their fields.
  expect(report.statuses[200] ?? 0).toBeGreaterThan(REQUESTS / 50);
  expect(report.statuses[422] ?? 0).toBeGreaterThan(REQUESTS / 10);
}); // prettier-ignore
