import {
  queryOptions,
  useIsMutating,
  useMutation,
  useQuery,
  useQueryClient,
  type QueryClient,
} from '@tanstack/react-query';
import type { CastDetail, CastEventTold, CastRow, CastView, DemouldWaysInput } from '@dewpot/contract';
import { MOST_ON_PAGE } from '@dewpot/contract/page';
import { ask } from './client';
import { pageQuery } from './pages';
import { refresh } from './refresh';

export const shelfQuery = queryOptions({
  queryKey: ['casts', 'shelf'],
  queryFn: ({ signal }) => ask<CastView[]>('GET', 'casts/shelf', undefined, signal),
  // Windows move with the weather.
  refetchInterval: 10 * 60_000,
});
/** The newest casts of a pour or of a mould; none until they are there. */
export const useCastsOf = (
  of: { readonly pour: string } | { readonly mould: string } | undefined,
): readonly CastRow[] =>
  useQuery({
    ...pageQuery<CastRow>('casts', { ...of, size: String(MOST_ON_PAGE) }),
    enabled: of !== undefined,
  }).data?.rows ?? NONE;
const NONE: readonly CastRow[] = [];

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
      await refresh(client, ['casts', 'shelf'], ['casts', 'page']);
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
