import { queryOptions, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { CastDetail, CastRow, CastView, DemouldWaysInput } from '@dewpot/contract';
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

/** Keeps what a caster chose for the demouldings of a mould with a mix. */
export function useChooseDemoulds() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ mouldId, mixId, ways }: { mouldId: string; mixId: string; ways: DemouldWaysInput }) =>
      ask<void>('PUT', `moulds/${mouldId}/demoulding/${mixId}`, ways),
    onSuccess: () => refresh(client, ['casts']),
  });
}
