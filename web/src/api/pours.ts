import { queryOptions } from '@tanstack/react-query';
import type { PourFinish, PourInput, PourView } from '@dewpot/contract';
import { ask } from './client';
import { useLast, useWrite, type Put } from './writes';

export const poursQuery = queryOptions({
  queryKey: ['pours'],
  queryFn: ({ signal }) => ask<PourView[]>('GET', 'pours', undefined, signal),
});
export const useSavePour = () =>
  useWrite(({ id, input }: Put<PourInput>) => ask<PourView>('PUT', `pours/${id}`, input), 'pours');
export const useRemovePour = () => useLast((id: string) => ask<void>('DELETE', `pours/${id}`), 'pours');
export const useStartPour = () => useWrite((id: string) => ask<PourView>('POST', `pours/${id}/start`), 'pours');
export const useFinishPour = () =>
  useLast(
    ({ id, input }: Put<PourFinish>) => ask<PourView>('POST', `pours/${id}/finish`, input),
    'pours',
    'casts',
    'store',
    'moulds',
    'mixes',
  );
export const useUndoPour = () =>
  useWrite((id: string) => ask<PourView>('POST', `pours/${id}/undo`), 'pours', 'casts', 'store', 'moulds', 'mixes');
