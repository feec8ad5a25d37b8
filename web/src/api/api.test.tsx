import { renderHook, waitFor } from '@testing-library/react';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { describe, expect, it, vi } from 'vitest';
import { cast } from '../../test/stand-ins';
import { nameCastWrites, useCastEvent } from './cast-writes';
import { ask, ProblemFailure, Unreachable } from './client';
import { persistOptions, queryClient } from './query-client';

const answer = (body: unknown, status = 200, type = 'application/json') =>
  vi.stubGlobal('fetch', () =>
    Promise.resolve(new Response(JSON.stringify(body), { status, headers: { 'Content-Type': type } })),
  );

describe('asking the server', () => {
  it('answers what it sends, and nothing where there is nothing', async () => {
    answer({ a: 1 });
    expect(await ask('GET', 'x')).toEqual({ a: 1 });
    vi.stubGlobal('fetch', () => Promise.resolve(new Response(null, { status: 204 })));
    expect(await ask('DELETE', 'x')).toBeUndefined();
  });
  it('throws its refusal with the fields', async () => {
    answer(
      { title: 'No', status: 422, detail: 'Not so.', errors: [{ field: 'mass' }] },
      422,
      'application/problem+json',
    );
    const failure = await ask('POST', 'x', {}).catch((error: unknown) => error);
    expect(failure).toBeInstanceOf(ProblemFailure);
    expect((failure as ProblemFailure).problem.errors).toEqual([{ field: 'mass' }]);
  });
  it('knows a server that is away, be it silent or behind a gateway’s own page', async () => {
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('Failed to fetch')));
    await expect(ask('GET', 'x')).rejects.toBeInstanceOf(Unreachable);
    answer('<html>', 502, 'text/html');
    await expect(ask('GET', 'x')).rejects.toBeInstanceOf(Unreachable);
  });
  it('lets go quietly of what was called off', async () => {
    vi.stubGlobal('fetch', () => Promise.reject(new DOMException('off', 'AbortError')));
    await expect(ask('GET', 'x')).rejects.toMatchObject({ name: 'AbortError' });
  });
});

describe('writes', () => {
  const { retry } = queryClient.getDefaultOptions().mutations as { retry: (n: number, error: Error) => boolean };
  it('are tried again while the server is away, and not where it refused', () => {
    expect(retry(50, new Unreachable())).toBe(true);
    expect(retry(0, new ProblemFailure({ type: '', title: '', status: 422, detail: '', errors: [] }))).toBe(false);
  });
  it('that wait are kept in the browser; what is done is not', () => {
    const { shouldDehydrateMutation } = persistOptions.dehydrateOptions;
    const mutation = (status: string, key?: string[]) =>
      ({ state: { status }, options: { mutationKey: key } }) as unknown as Parameters<
        typeof shouldDehydrateMutation
      >[0];
    expect(shouldDehydrateMutation(mutation('pending', ['cast-event']))).toBe(true);
    expect(shouldDehydrateMutation(mutation('success', ['cast-event']))).toBe(false);
    expect(shouldDehydrateMutation(mutation('pending'))).toBe(false);
  });
  it('what was seen is kept in the browser though the server was away since; what it refused is not', () => {
    const { shouldDehydrateQuery } = persistOptions.dehydrateOptions;
    const kept = (status: string, data: unknown, error: Error | null) =>
      shouldDehydrateQuery({ state: { status, data, error } } as Parameters<typeof shouldDehydrateQuery>[0]);
    const refused = new ProblemFailure({ type: '', title: '', status: 401, detail: '', errors: [] });
    expect(kept('success', [], null)).toBe(true);
    expect(kept('error', [], new Unreachable())).toBe(true);
    expect(kept('error', undefined, new Unreachable())).toBe(false);
    expect(kept('error', [], refused)).toBe(false);
    expect(kept('pending', undefined, null)).toBe(false);
  });
  it('of events put the cast that comes back where its screen reads it', async () => {
    const client = new QueryClient();
    nameCastWrites(client);
    answer({ ...cast('1a'), stage: 'sealed', events: [] });
    const wrapper = ({ children }: { children: ReactNode }) => (
      <QueryClientProvider client={client}>{children}</QueryClientProvider>
    );
    const { result } = renderHook(() => useCastEvent(), { wrapper });
    result.current.mutate({ castId: 'id-1a', event: { id: 'e', at: 1, type: 'wetted' } });
    await waitFor(() => expect(client.getQueryData(['casts', 'one', 'id-1a'])).toMatchObject({ stage: 'sealed' }));
  });
});
