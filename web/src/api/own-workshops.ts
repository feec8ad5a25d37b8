import { queryOptions, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { OwnWorkshopView } from '@dewpot/contract';
import { useNavigate } from 'react-router';
import { ask } from './client';
import { useWaiting } from './waiting';
import { useEnter } from './session';

const ownWorkshopsQuery = queryOptions({
  queryKey: ['account', 'workshops'],
  queryFn: ({ signal }) => ask<OwnWorkshopView[]>('GET', 'session/workshops', undefined, signal),
  staleTime: 60_000,
});

/** The workshops that one is in. */
export const useOwnWorkshops = () => useQuery(ownWorkshopsQuery);

/** The way to another workshop, and to its shelf. What waits to be sent belongs to the one at hand: until it is sent, nobody goes. */
export function useGoToWorkshop() {
  const navigate = useNavigate();
  const unsent = useWaiting();
  const go = useEnter((workshopId: string) => ask<void>('PUT', 'session/workshop', { workshopId }));
  return {
    go: (workshopId: string) => go.mutate(workshopId, { onSuccess: () => void navigate('/') }),
    held: unsent > 0 || go.isPending,
    unsent,
    error: go.error,
  };
}

/** Founds another workshop, and goes there. */
export const useFoundWorkshop = () =>
  useEnter((workshop: string) => ask<void>('POST', 'session/workshops', { workshop }));

/** Takes up an invitation to another workshop with one's own account, and goes there. */
export const useJoinWorkshop = () => useEnter((token: string) => ask<void>('POST', 'session/join', { token }));

/** Deletes the workshop at hand, or brings it back; the session then tells which. */
function useRemoval<Given>(change: (given: Given) => Promise<void>) {
  const client = useQueryClient();
  return useMutation({ mutationFn: change, retry: false, onSuccess: () => client.invalidateQueries() });
}

export const useRemoveWorkshop = () =>
  useRemoval((workshop: string) => ask<void>('POST', 'workshop/removal', { workshop }));
export const useRecallWorkshop = () => useRemoval((_: undefined) => ask<void>('DELETE', 'workshop/removal'));
