import { queryOptions } from '@tanstack/react-query';
import type { MouldInput, MouldView } from '@dewpot/contract';
import { ask } from './client';
import { useLast, useWrite, type Put } from './writes';

export const mouldsQuery = queryOptions({
  queryKey: ['moulds', 'all'],
  queryFn: ({ signal }) => ask<MouldView[]>('GET', 'moulds/all', undefined, signal),
});
export const useSaveMould = () =>
  useWrite(({ id, input }: Put<MouldInput>) => ask<MouldView>('PUT', `moulds/${id}`, input), 'moulds');
export const useRemoveMould = () => useLast((id: string) => ask<void>('DELETE', `moulds/${id}`), 'moulds');
