import { queryOptions } from '@tanstack/react-query';
import type { ImportView, MixRevisionView, MixInput, MixView } from '@dewpot/contract';
import { ask } from './client';
import { useLast, useWrite, type Put } from './writes';

export const mixesQuery = queryOptions({
  queryKey: ['mixes', 'all'],
  queryFn: ({ signal }) => ask<MixView[]>('GET', 'mixes/all', undefined, signal),
});
export const mixRevisionsQuery = (id: string) =>
  queryOptions({
    queryKey: ['mixes', id, 'revisions'],
    queryFn: ({ signal }) => ask<MixRevisionView[]>('GET', `mixes/${id}/revisions`, undefined, signal),
  });
export const useSaveMix = () =>
  useWrite(({ id, input }: Put<MixInput>) => ask<MixView>('PUT', `mixes/${id}`, input), 'mixes');
export const useRemoveMix = () => useLast((id: string) => ask<void>('DELETE', `mixes/${id}`), 'mixes');

/** Brings a file of mixes in, or with `dry` only asks what it would change. The server judges what is in it. */
export const useBringMixes = () =>
  useWrite(
    ({ file, dry }: { file: unknown; dry: boolean }) => ask<ImportView>('POST', 'mixes/import', { file, dry }),
    'mixes',
    'store',
  );
