import { act } from '@testing-library/react';
import type { QueryClient } from '@tanstack/react-query';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { fakeServer, Refusal, renderScreen } from '../../test/fake-server';
import { session } from '../../test/stand-ins';
import './fetch-stations';
import { StationAnswers } from './station-answers';

beforeEach(() => vi.useFakeTimers());
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

/** A device with such a pointer, a quarter of a minute after it was opened. */
async function opened(coarse: boolean, kept?: unknown): Promise<QueryClient> {
  vi.stubGlobal('matchMedia', () => ({ matches: coarse, addEventListener: vi.fn(), removeEventListener: vi.fn() }));
  fakeServer({ patterns: new Refusal({ status: 503, title: 'Busy', detail: 'Busy', errors: [] }) });
  let client: QueryClient | undefined;
  renderScreen(<StationAnswers />, '/here', '/here', session, (made) => {
    client = made;
    if (kept) made.setQueryData(['mixes', 'page', {}], kept);
  });
  await act(() => vi.advanceTimersByTimeAsync(15_000));
  return client!;
}

it('a device that is carried about has what the stations show, and asks for no young answer again; one that is away holds up no other', async () => {
  const kept = { rows: [], count: 0 };
  const client = await opened(true, kept);
  expect(client.getQueryData(['moulds', 'page', {}])).toMatchObject({ rows: [{ name: 'Nested pot' }] });
  expect(client.getQueryData(['mixes', 'page', {}])).toBe(kept);
  expect(client.getQueryState(['casts', 'shelf'])?.fetchStatus).toBe('idle');
  expect(client.getQueryData(['store', 'all'])).toBeDefined();
});

it('a desk asks for nothing that is not looked at', async () => {
  const client = await opened(false);
  expect(client.getQueryData(['moulds', 'page', {}])).toBeUndefined();
});
