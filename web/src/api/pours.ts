import { queryOptions, useQueryClient, type QueryClient } from '@tanstack/react-query';
import type { PastPoursView, PourFinish, PourInput, PourRow, PourView } from '@dewpot/contract';
import { ask } from './client';
import { pageQuery } from './pages';
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

/** The pours that are at the bench now, the newest alone. */
export const atBenchQuery = pageQuery<PourRow>('pours', { status: 'started', size: '1' });

/** Keeps a pour as it was answered: its screen need not ask for it again. */
async function kept(client: QueryClient, answer: Promise<PourView>): Promise<PourView> {
  const pour = await answer;
  client.setQueryData(pourQuery(pour.id).queryKey, pour);
  return pour;
}

/** A write of a pour that is done when what hangs on it was read again. */
function usePourWrite<Given>(send: (given: Given) => Promise<PourView>, ...lists: string[]) {
  const client = useQueryClient();
  return useWrite((given: Given) => kept(client, send(given)), 'pours', ...lists);
}

/** What hangs on a pour that is done. */
const FOLLOWS = ['casts', 'store', 'moulds', 'mixes'];

export const useSavePour = () =>
  usePourWrite(({ id, input }: Put<PourInput>) => ask<PourView>('PUT', `pours/${id}`, input));
export const useRemovePour = () => useLast((id: string) => ask<void>('DELETE', `pours/${id}`), 'pours');
export const useStartPour = () => usePourWrite((id: string) => ask<PourView>('POST', `pours/${id}/start`));
export function useFinishPour() {
  const client = useQueryClient();
  return useLast(
    ({ id, input }: Put<PourFinish>) => kept(client, ask<PourView>('POST', `pours/${id}/finish`, input)),
    'pours',
    ...FOLLOWS,
  );
}
export const useUndoPour = () => usePourWrite((id: string) => ask<PourView>('POST', `pours/${id}/undo`), ...FOLLOWS);
