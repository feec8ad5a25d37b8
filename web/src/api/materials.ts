import { queryOptions } from '@tanstack/react-query';
import type { LotInput, MaterialInput, ScoopInput, StoreView } from '@dewpot/contract';
import { ask } from './client';
import { useWrite, type Put } from './writes';

export const storeQuery = queryOptions({
  queryKey: ['store', 'all'],
  queryFn: ({ signal }) => ask<StoreView>('GET', 'store', undefined, signal),
});

/** Saves something of the store: a material, a lot or a scoop. */
export const useSaveStore = () =>
  useWrite(
    ({ id, kind, input }: Put<MaterialInput | LotInput | ScoopInput> & { kind: 'materials' | 'lots' | 'scoops' }) =>
      ask<unknown>('PUT', `${kind}/${id}`, input),
    'store',
  );
export const useRemoveStore = () =>
  useWrite(
    ({ id, kind }: { id: string; kind: 'materials' | 'lots' | 'scoops' }) => ask<void>('DELETE', `${kind}/${id}`),
    'store',
  );
