import { queryOptions } from '@tanstack/react-query';
import type { LotInput, MaterialInput, ScoopInput, StoresView } from '@dewpot/contract';
import { ask } from './client';
import { useWrite, type Put } from './writes';

export const storesQuery = queryOptions({
  queryKey: ['stores'],
  queryFn: ({ signal }) => ask<StoresView>('GET', 'stores', undefined, signal),
});

/** Saves something of the stores: a material, a lot or a scoop. */
export const useSaveStore = () =>
  useWrite(
    ({ id, kind, input }: Put<MaterialInput | LotInput | ScoopInput> & { kind: 'materials' | 'lots' | 'scoops' }) =>
      ask<unknown>('PUT', `stores/${kind}/${id}`, input),
    'stores',
  );
export const useRemoveStore = () =>
  useWrite(
    ({ id, kind }: { id: string; kind: 'materials' | 'lots' | 'scoops' }) =>
      ask<void>('DELETE', `stores/${kind}/${id}`),
    'stores',
  );
