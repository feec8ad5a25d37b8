import type { PersistedClient } from '@tanstack/react-query-persist-client';
import * as store from 'idb-keyval';
import { expect, it, vi } from 'vitest';
import { kept } from '../../test/kept';
import type { KeptWrite } from './kept-client';
import { makePersister } from './persister';

const write = (name: string) => ({ state: { variables: { name }, status: 'pending' } }) as unknown as KeptWrite;
const client = (answer: string, ...mutations: KeptWrite[]): PersistedClient => ({
  timestamp: Date.now(),
  buster: '1',
  clientState: {
    queries: [
      { queryHash: answer, state: { dataUpdatedAt: Date.now() } } as PersistedClient['clientState']['queries'][number],
    ],
    mutations,
  },
});
const restored = async () => {
  const { clientState } = (await makePersister('1').restoreClient())!;
  return { answers: clientState.queries.map(({ queryHash }) => queryHash), writes: clientState.mutations.map(({ state }) => (state.variables as { name: string }).name) }; // prettier-ignore
};

it('keeps a write at once, and one that was sent until its answer is kept', async () => {
  const persister = makePersister('1');
  const [first, second] = [write('first'), write('second')];
  await persister.persistClient(client('before', first));
  void persister.persistClient(client('after', second));
  await vi.waitFor(async () => expect((await restored()).writes).toEqual(['first', 'second']));
  expect((await restored()).answers).toEqual(['before']);
  await vi.waitFor(async () => expect(await restored()).toEqual({ answers: ['after'], writes: ['second'] }), 5000);
});

it('a write that comes while older answers are being kept stays', async () => {
  vi.useFakeTimers();
  const persister = makePersister('1');
  const [first, second] = [write('first'), write('second')];
  await persister.persistClient(client('before', first));
  void persister.persistClient(client('between', first));
  await vi.advanceTimersByTimeAsync(0);
  // The disk is slow to tell that it kept the second write; meanwhile the answers from before it are kept.
  const slow = vi.spyOn(store, 'set').mockImplementationOnce((key, value) => {
    kept.set(key as string, value);
    return new Promise(() => undefined);
  });
  void persister.persistClient(client('after', first, second));
  await vi.advanceTimersByTimeAsync(1500);
  slow.mockRestore();
  vi.useRealTimers();
  expect((await restored()).writes).toEqual(['first', 'second']);
});

it('restores what there is: nothing, what an older screen kept with its answers, and steps of the bench', async () => {
  expect(await restored()).toEqual({ answers: [], writes: [] });
  kept.set('dew-pot', JSON.stringify(client('older', write('with answers'))));
  kept.set('run p', { waiting: [{ id: 's', at: 1, kind: 'begin', step: 'x' }] });
  const { clientState } = (await makePersister('1').restoreClient())!;
  expect(clientState.mutations.map(({ state }) => state.variables)).toMatchObject([
    { name: 'with answers' },
    { pourId: 'p', events: [{ id: 's' }] },
  ]);
  expect(kept.has('run p')).toBe(false);
});

it('keeps nothing of one who signed out', async () => {
  const persister = makePersister('1');
  await persister.persistClient(client('theirs', write('theirs')));
  await persister.removeClient();
  expect(await restored()).toEqual({ answers: [], writes: [] });
});
