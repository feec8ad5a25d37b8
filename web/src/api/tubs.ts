import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import type { TubInput, TubView } from '@dewpot/contract';
import { ask } from './client';

export const tubsQuery = queryOptions({
  queryKey: ['tubs'],
  queryFn: ({ signal }) => ask<TubView[]>('GET', 'tubs', undefined, signal),
});

function useTubWrite<Given>(send: (given: Given) => Promise<unknown>) {
  const client = useQueryClient();
  return useMutation({ mutationFn: send, onSuccess: () => client.invalidateQueries({ queryKey: ['tubs'] }) });
}

export const useSaveTub = () =>
  useTubWrite(({ id, input }: { id: string; input: TubInput }) => ask<TubView>('PUT', `tubs/${id}`, input));
export const useRemoveTub = () => useTubWrite((id: string) => ask<void>('DELETE', `tubs/${id}`));
