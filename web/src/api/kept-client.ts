import type { PersistedClient } from '@tanstack/react-query-persist-client';

type KeptWrite = PersistedClient['clientState']['mutations'][number];

/** What keys and values of a cast's events were called before. */
const keys: Readonly<Record<string, string>> = { stroke: 'task', overruled: 'overridden' };
const values: Readonly<Record<string, string>> = { 'lifted-out': 'demoulded', 'Lift out': 'Demould' };

const isPlain = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null;

function currentEvent(event: Record<string, unknown>): Record<string, unknown> {
  return Object.fromEntries(
    Object.entries(event).map(([key, value]) => [
      keys[key] ?? key,
      (key === 'type' || key === 'stroke') && typeof value === 'string' ? (values[value] ?? value) : value,
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
