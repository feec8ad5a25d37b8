import { dehydrate, hydrate, QueryClient, type DehydratedState } from '@tanstack/react-query';
import { SECOND } from '@dewpot/core/units';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { kept } from '../../test/kept';
import { cast, castDetail } from '../../test/stand-ins';
import { appendEvent, appendPhoto, nameCastWrites } from './cast-writes';
import { persistOptions, resumeWaiting } from './query-client';

/** What came to the server, and what it answers: it is away until it is said otherwise. */
let came: { path: string; body: unknown }[];
let answer: (path: string) => Response | undefined;
beforeEach(() => {
  vi.useFakeTimers();
  came = [];
  answer = () => undefined;
  vi.stubGlobal('fetch', (path: string, { body }: { body: unknown }) => {
    const given = answer(path);
    if (!given) return Promise.reject(new TypeError('no network'));
    came.push({ path, body });
    return Promise.resolve(given);
  });
});
afterEach(() => void vi.useRealTimers());
const later = () => vi.advanceTimersByTimeAsync(16 * SECOND);
const taken = () => Response.json(castDetail(cast('1a')));
const refused = (status: number) =>
  Response.json({ status, title: 'No', detail: 'Out already.', errors: [] }, { status, headers: { 'Content-Type': 'application/problem+json' } }); // prettier-ignore
const clientOfToday = () => {
  const client = new QueryClient();
  nameCastWrites(client);
  return client;
};
const wetted = (id: string) => ({ castId: 'id-1a', event: { id, at: 1, type: 'wetted' as const } });
const stuck = (client: QueryClient, status: 'pending' | 'error' = 'error') => client.getMutationCache().findAll({ status }); // prettier-ignore
const idsOf = () => came.map(({ body }) => (JSON.parse(body as string) as { id: string }).id);

it('a write is through with the answer of the server, or is told why it was not taken', async () => {
  const client = clientOfToday();
  answer = taken;
  expect(await appendEvent(client, wetted('1'))).toMatchObject({ code: '1a' });
  answer = () => refused(422);
  await expect(appendEvent(client, wetted('2'))).rejects.toThrow('Out already.');
  expect(stuck(client)).toEqual([]);
});

it('without a connection writes wait, outlive the page, and are sent once each in their order', async () => {
  const before = clientOfToday();
  for (const id of ['1', '2', '3']) expect(await appendEvent(before, wetted(id))).toBeUndefined();
  const memory = JSON.parse(JSON.stringify(dehydrate(before, persistOptions.dehydrateOptions))) as DehydratedState;
  before.clear();
  // With its page go its timers.
  vi.clearAllTimers();
  const after = clientOfToday();
  hydrate(after, memory);
  answer = taken;
  const through = resumeWaiting(after);
  await later();
  await through;
  expect(idsOf()).toEqual(['1', '2', '3']);
  expect(stuck(after, 'pending')).toEqual([]);
});

it('what is refused after it has waited stands, and holds up nothing', async () => {
  const client = clientOfToday();
  await appendEvent(client, wetted('1'));
  await appendEvent(client, wetted('2'));
  answer = () => (came.length === 0 ? refused(422) : taken());
  await later();
  expect(idsOf()).toEqual(['1', '2']);
  expect(stuck(client).map(({ state }) => state.variables)).toEqual([wetted('1')]);
  expect(dehydrate(client, persistOptions.dehydrateOptions).mutations).toHaveLength(1);
});

it('who was signed out meanwhile loses nothing', async () => {
  const client = clientOfToday();
  answer = () => refused(401);
  expect(await appendEvent(client, wetted('1'))).toBeUndefined();
  answer = taken;
  await later();
  expect(stuck(client, 'pending')).toEqual([]);
  expect(idsOf().at(-1)).toBe('1');
});

it('a photo waits with its event, and is kept in the browser until it is sent', async () => {
  const client = clientOfToday();
  const file = new File(['x'], 'a.png', { type: 'image/png' });
  await appendEvent(client, wetted('1'));
  expect(await appendPhoto(client, { castId: 'id-1a', eventId: '1', file })).toBeUndefined();
  const [name] = [...kept.keys()].filter((key) => key.startsWith('photo '));
  answer = (path) => (path.includes('pictures') ? Response.json({ id: 'p' }) : taken());
  await later();
  expect(came).toHaveLength(2);
  expect(came[1]!.path).toMatch(new RegExp(`^/api/casts/id-1a/pictures\\?event=1&id=${name!.slice(6)}&at=\\d+$`));
  expect(kept.has(name!)).toBe(false);
});

it('a photo that is refused at once is not kept', async () => {
  answer = () => refused(409);
  const sent = appendPhoto(clientOfToday(), { castId: 'id-1a', eventId: '1', file: new Blob(['x']) });
  await expect(sent).rejects.toThrow('Out already.');
  expect([...kept.keys()].filter((key) => key.startsWith('photo '))).toEqual([]);
});
