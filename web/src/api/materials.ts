import { queryOptions } from '@tanstack/react-query';
import type { LotInput, MaterialInput, ScoopInput, StockInput, StoreView } from '@dewpot/contract';
import { ask } from './client';
import { useWrite, type Put } from './writes';

export const storeQuery = queryOptions({
  queryKey: ['store', 'all'],
  queryFn: ({ signal }) => ask<StoreView>('GET', 'store', undefined, signal),
});

type Kept = 'materials' | 'lots' | 'scoops' | 'stock';

/** Saves something of the store: a material, a lot, a scoop, or what parts are cut from. */
export const useSaveStore = () =>
  useWrite(
    ({ id, kind, input }: Put<MaterialInput | LotInput | ScoopInput | StockInput> & { kind: Kept }) =>
      ask<unknown>('PUT', `${kind}/${id}`, input),
    'store',
  );
export const useRemoveStore = () =>
  useWrite(({ id, kind }: { id: string; kind: Kept }) => ask<void>('DELETE', `${kind}/${id}`), 'store');
