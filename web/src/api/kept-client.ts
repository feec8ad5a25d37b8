import type { RunEvent } from '@dewpot/core/bench';
import { DAY } from '@dewpot/core/units';
import type { PersistedClient } from '@tanstack/react-query-persist-client';
import { runKey, runScope, type RunEventsSent } from './run-writes';

export type KeptWrite = PersistedClient['clientState']['mutations'][number];

/** What keys and values of a cast's events were called before. */
const keys: Readonly<Record<string, string>> = { stroke: 'task', overruled: 'overridden' };
const values: Readonly<Record<string, string>> = {
  'lifted-out': 'demoulded',
  'put-out': 'finished',
  snoozed: 'postponed',
  Pull: 'remove-core',
  'Lift out': 'demould',
  Demould: 'demould',
  Unclamp: 'unclamp',
  Cover: 'cover',
  Wet: 'wet',
  'End bath': 'end-soak',
  Uncover: 'end-moist-curing',
  Weigh: 'weigh',
  Test: 'moisture-test',
  Coat: 'coat',
  Check: 'seal-test',
  'Put out': 'finish',
  'Look back': 'record-condition',
  'Seal again': 'reseal',
};
/** Under which keys those values stand. */
const valued: readonly string[] = ['type', 'stroke', 'task'];

const isPlain = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null;

function currentEvent(event: Record<string, unknown>): Record<string, unknown> {
  return Object.fromEntries(
    Object.entries(event).map(([key, value]) => [
      keys[key] ?? key,
      valued.includes(key) && typeof value === 'string' ? (values[value] ?? value) : value,
    ]),
  );
}

/** A write that waits to be sent, in the words of today. */
function currentWrite(write: KeptWrite): KeptWrite {
  const sent: unknown = write.state.variables;
  if (!isPlain(sent) || !isPlain(sent['event'])) return write;
  return { ...write, state: { ...write.state, variables: { ...sent, event: currentEvent(sent['event']) } } };
}

/** Answers that were had longer ago are not shown: a phone may lie in the shed for weeks, and then tells how old they are. */
export const OLDEST_ANSWER = 21 * DAY;
/** Answers that are kept. */
const MOST_ANSWERS = 300;

type Answer = PersistedClient['clientState']['queries'][number]['state'];

/** An answer as it was seen, whatever became of asking for it again. */
const asSeen = (state: Answer): Answer => ({
  ...state,
  status: 'success',
  error: null,
  fetchFailureCount: 0,
  fetchFailureReason: null,
});

/**
 * What the browser kept, for a screen of today: answers that are old or of another shape are read again from the server, and
 * writes that still wait to be sent are sent in the words of today. `now` in ms.
 */
export function currentClient(kept: PersistedClient, shape: string, now: number): PersistedClient {
  const { mutations } = kept.clientState;
  if (kept.buster !== shape)
    return { ...kept, buster: shape, clientState: { queries: [], mutations: mutations.map(currentWrite) } };
  const queries = kept.clientState.queries
    .filter(({ state }) => now - state.dataUpdatedAt <= OLDEST_ANSWER)
    .sort((a, b) => b.state.dataUpdatedAt - a.state.dataUpdatedAt)
    .slice(0, MOST_ANSWERS)
    .map(({ state, ...query }) => ({ ...query, state: asSeen(state) }));
  return { ...kept, clientState: { queries, mutations } };
}

/** What an older screen kept of a run, by its name. */
export interface KeptRun {
  readonly waiting: readonly RunEvent[];
}

/** Steps that waited under a name of their own, as a write that waits. */
export function runWrites(name: string, run: KeptRun | undefined): KeptWrite[] {
  if (!run || run.waiting.length === 0) return [];
  const pourId = name.replace(/^run /, '');
  const variables: RunEventsSent = { pourId, events: run.waiting };
  return [
    {
      mutationKey: runKey(pourId),
      scope: runScope(pourId),
      state: {
        variables,
        status: 'pending',
        context: undefined,
        data: undefined,
        error: null,
        failureCount: 0,
        failureReason: null,
        isPaused: false,
        submittedAt: 0,
      },
    },
  ];
}
