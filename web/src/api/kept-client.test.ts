import { DAY } from '@dewpot/core/units';
import type { PersistedClient } from '@tanstack/react-query-persist-client';
import { expect, it } from 'vitest';
import { currentClient, runWrites } from './kept-client';

const answerOf = (dataUpdatedAt: number, more: object = { status: 'success', error: null, fetchFailureCount: 0, fetchFailureReason: null }) => ({ queryKey: ['casts', dataUpdatedAt], state: { dataUpdatedAt, ...more } }); // prettier-ignore
const client = (buster: string) =>
  ({
    timestamp: 1,
    buster,
    clientState: {
      queries: [answerOf(1), answerOf(2, { status: 'error', error: {}, fetchFailureCount: 3, fetchFailureReason: {} })],
      mutations: [
        { state: { variables: { castId: 'c', event: { id: '1', type: 'lifted-out', damage: ['rim'] } } } },
        { state: { variables: { castId: 'c', event: { id: '2', type: 'snoozed', stroke: 'Lift out', until: 5 } } } },
        { state: { variables: { castId: 'c', event: { id: '3', type: 'coated', overruled: 'a trial' } } } },
        { state: { variables: { castId: 'c', event: { id: '4', type: 'put-out', where: 'Uncover' } } } },
        { state: { variables: 'anything' } },
      ],
    },
  }) as unknown as PersistedClient;
const sent = (kept: PersistedClient) => kept.clientState.mutations.map(({ state }) => state.variables as unknown);

it('what waits to be sent outlives a change of words, and answers of another shape are read again', () => {
  const now = currentClient(client('3'), '5', 1);
  expect(now).toMatchObject({ buster: '5', clientState: { queries: [] } });
  expect(sent(now)).toEqual([
    { castId: 'c', event: { id: '1', type: 'demoulded', damage: ['rim'] } },
    { castId: 'c', event: { id: '2', type: 'postponed', task: 'demould', until: 5 } },
    { castId: 'c', event: { id: '3', type: 'coated', overridden: 'a trial' } },
    { castId: 'c', event: { id: '4', type: 'finished', where: 'Uncover' } },
    'anything',
  ]);
});

it('what was kept by a screen of today stays as it is, the newest first', () => {
  const kept = client('5');
  expect(currentClient(kept, '5', DAY)).toEqual({
    ...kept,
    clientState: { ...kept.clientState, queries: [answerOf(2), answerOf(1)] },
  });
});

it('answers grow old in three weeks; what waits to be sent does not', () => {
  const kept = client('5');
  const { mutations } = kept.clientState;
  expect(currentClient(kept, '5', 21 * DAY + 2)).toEqual({
    ...kept,
    clientState: { queries: [answerOf(2)], mutations },
  });
  expect(currentClient(kept, '5', 90 * DAY)).toEqual({ ...kept, clientState: { queries: [], mutations } });
});

it('steps at the bench that waited under a name of their own wait on', () => {
  const waiting = [{ id: 's', at: 3, kind: 'begin', step: '0.0.mix' }] as const;
  expect(runWrites('run p', { waiting })).toMatchObject([
    {
      mutationKey: ['run-events', 'p'],
      scope: { id: 'run p' },
      state: { variables: { pourId: 'p', events: waiting } },
    },
  ]);
  expect([...runWrites('run p', { waiting: [] }), ...runWrites('run p', undefined)]).toEqual([]);
});
