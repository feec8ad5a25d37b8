import { queryOptions } from '@tanstack/react-query';
import type { TubInput, TubView } from '@dewpot/contract';
import { ask } from './client';
import { useWrite, type Put } from './writes';

export const tubsQuery = queryOptions({
  queryKey: ['tubs'],
  queryFn: ({ signal }) => ask<TubView[]>('GET', 'tubs', undefined, signal),
});

export const useSaveTub = () =>
  useWrite(({ id, input }: Put<TubInput>) => ask<TubView>('PUT', `tubs/${id}`, input), 'tubs');
export const useRemoveTub = () => useWrite((id: string) => ask<void>('DELETE', `tubs/${id}`), 'tubs');
