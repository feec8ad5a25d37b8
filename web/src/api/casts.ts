import { queryOptions, useIsMutating, useMutation, useQueryClient, type QueryClient } from '@tanstack/react-query';
import type { CastDetail, CastEventTold, CastView, DemouldWaysInput } from '@dewpot/contract';
import { ask } from './client';
import { refresh } from './refresh';

export const shelfQuery = queryOptions({
  queryKey: ['casts', 'shelf'],
  queryFn: ({ signal }) => ask<CastView[]>('GET', 'casts', undefined, signal),
  // Windows move with the weather.
  refetchInterval: 10 * 60_000,
});
export const allCastsQuery = queryOptions({
  queryKey: ['casts', 'all'],
  queryFn: ({ signal }) => ask<CastView[]>('GET', 'casts?all=1', undefined, signal),
});
export const castQuery = (id: string) =>
  queryOptions({
    queryKey: ['casts', 'one', id],
    queryFn: ({ signal }) => ask<CastDetail>('GET', `casts/${id}`, undefined, signal),
  });

export interface CastEventSent {
  readonly castId: string;
  readonly event: CastEventTold;
}

const CAST_EVENT = ['cast-event'] as const;

/** Names the write of a cast's events, so that one left waiting can go on after the page was closed. */
export function nameCastWrites(client: QueryClient): void {
  client.setMutationDefaults(CAST_EVENT, {
    mutationFn: ({ castId, event }: CastEventSent) => ask<CastDetail>('POST', `casts/${castId}/events`, event),
    onSuccess: async (detail: CastDetail) => {
      client.setQueryData(castQuery(detail.id).queryKey, detail);
      await refresh(client, ['casts', 'shelf'], ['casts', 'all']);
    },
  });
}

/** Keeps what a caster chose for the demouldings of a mould with a mix. */
export function useChooseDemoulds() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ mouldId, mixId, ways }: { mouldId: string; mixId: string; ways: DemouldWaysInput }) =>
      ask<void>('PUT', `moulds/${mouldId}/demoulding/${mixId}`, ways),
    onSuccess: () => refresh(client, ['casts']),
  });
}

/** Appends an event to a cast's life. Waits for the server where it is away. */
export function useCastEvent() {
  return useMutation<CastDetail, Error, CastEventSent>({ mutationKey: CAST_EVENT });
}

/** How many events wait to be sent. */
export function useWaiting(): number {
  return useIsMutating({
    mutationKey: CAST_EVENT,
    predicate: (mutation) => mutation.state.failureCount > 0 || mutation.state.isPaused,
  });
}

/** The client for an undo from outside of a component. */
export function useAppend() {
  const client = useQueryClient();
  return (sent: CastEventSent) =>
    client
      .getMutationCache()
      .build<CastDetail, Error, CastEventSent, unknown>(client, { mutationKey: CAST_EVENT })
      .execute(sent);
}
