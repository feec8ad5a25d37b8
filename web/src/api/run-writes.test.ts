import type { RunEvent } from '@dewpot/core/bench';
import { dehydrate, hydrate, QueryClient, type DehydratedState } from '@tanstack/react-query';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { persistOptions, resumeWaiting } from './query-client';
import { forgetRefused, nameRunWrites, runQuery, sendSteps } from './run-writes';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

const clientOfToday = () => {
  const client = new QueryClient();
  nameRunWrites(client);
  return client;
};
const step = (id: string): RunEvent => ({ id, at: 1, kind: 'begin', step: id });

/** Stands in for the server: keeps what arrives, and is away until it is switched on. */
function server() {
  const had: RunEvent[] = [];
  let here = false;
  vi.stubGlobal('fetch', (_: string, { body }: { body: string }) => {
    if (!here) return Promise.reject(new TypeError('no network'));
    had.push(...(JSON.parse(body) as { events: RunEvent[] }).events);
    return Promise.resolve(Response.json({ events: [...had] }));
  });
  return { had, on: () => (here = true) };
}

it('steps that wait outlive the page, and are sent in order', async () => {
  const { had, on } = server();
  const before = clientOfToday();
  for (const id of ['1', '2', '3']) sendSteps(before, { pourId: 'p', events: [step(id)] });
  await vi.waitFor(() => expect(before.getMutationCache().getAll()[0]!.state.failureCount).toBeGreaterThan(0));
  const kept = JSON.parse(JSON.stringify(dehydrate(before, persistOptions.dehydrateOptions))) as DehydratedState;
  before.clear();
  // With its page go its timers: what it tried again would arrive in another test.
  vi.clearAllTimers();
  const after = clientOfToday();
  hydrate(after, kept);
  on();
  await resumeWaiting(after);
  expect(had.map(({ id }) => id)).toEqual(['1', '2', '3']);
  expect(after.getQueryData(runQuery('p').queryKey)?.events).toHaveLength(3);
});

it('steps that the server refused stand until they are deleted, and hold up no others', async () => {
  const client = clientOfToday();
  const problem = { title: 'No', status: 409, detail: 'Finished.', errors: [] };
  vi.stubGlobal('fetch', () =>
    Promise.resolve(Response.json(problem, { status: 409, headers: { 'Content-Type': 'application/problem+json' } })),
  );
  sendSteps(client, { pourId: 'p', events: [step('1')] });
  const cache = client.getMutationCache();
  await vi.waitFor(() => expect(cache.findAll({ status: 'error' })).toHaveLength(1));
  const { had, on } = server();
  on();
  sendSteps(client, { pourId: 'p', events: [step('2')] });
  await vi.waitFor(() => expect(had.map(({ id }) => id)).toEqual(['2']));
  forgetRefused(client, 'p');
  expect(cache.findAll({ status: 'error' })).toEqual([]);
});
