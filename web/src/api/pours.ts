import { queryOptions, useQueryClient, type QueryClient } from '@tanstack/react-query';
import type { PastPoursView, PourFinish, PourInput, PourView } from '@dewpot/contract';
import { ask } from './client';
import { useLast, useWrite, type Put } from './writes';

export const pourQuery = (id: string) =>
  queryOptions({
    queryKey: ['pours', 'one', id],
    queryFn: ({ signal }) => ask<PourView>('GET', `pours/${id}`, undefined, signal),
  });
/** What earlier pours tell the next one. */
export const pastPoursQuery = queryOptions({
  queryKey: ['pours', 'past'],
  queryFn: ({ signal }) => ask<PastPoursView>('GET', 'pours/past', undefined, signal),
});

/** Keeps a pour as it was answered: its screen need not ask for it again. */
async function kept(client: QueryClient, answer: Promise<PourView>): Promise<PourView> {
  const pour = await answer;
  client.setQueryData(pourQuery(pour.id).queryKey, pour);
  return pour;
}

export function useSavePour() {
  const client = useQueryClient();
  return useWrite(({ id, input }: Put<PourInput>) => kept(client, ask<PourView>('PUT', `pours/${id}`, input)), 'pours');
}
export const useRemovePour = () => useLast((id: string) => ask<void>('DELETE', `pours/${id}`), 'pours');
export function useStartPour() {
  const client = useQueryClient();
  return useWrite((id: string) => kept(client, ask<PourView>('POST', `pours/${id}/start`)), 'pours');
}
export function useFinishPour() {
  const client = useQueryClient();
  return useLast(
    ({ id, input }: Put<PourFinish>) => kept(client, ask<PourView>('POST', `pours/${id}/finish`, input)),
    'pours',
    'casts',
    'store',
    'moulds',
    'mixes',
  );
}
export function useUndoPour() {
  const client = useQueryClient();
  return useWrite(
    (id: string) => kept(client, ask<PourView>('POST', `pours/${id}/undo`)),
    'pours',
    'casts',
    'store',
    'moulds',
    'mixes',
  );
}
