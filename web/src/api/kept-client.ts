import type { PersistedClient } from '@tanstack/react-query-persist-client';

type KeptWrite = PersistedClient['clientState']['mutations'][number];

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

/**
 * What the browser kept, for a screen of today: answers of another shape are read again from the server, and writes that
 * still wait to be sent are sent in the words of today.
 */
export function currentClient(kept: PersistedClient, shape: string): PersistedClient {
  if (kept.buster === shape) return kept;
  return {
    ...kept,
    buster: shape,
    clientState: { queries: [], mutations: kept.clientState.mutations.map(currentWrite) },
  };
}
