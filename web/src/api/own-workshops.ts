import { queryOptions, useQuery } from '@tanstack/react-query';
import type { OwnWorkshopView } from '@dewpot/contract';
import { ask } from './client';
import { useEnter } from './session';

const ownWorkshopsQuery = queryOptions({
  queryKey: ['account', 'workshops'],
  queryFn: ({ signal }) => ask<OwnWorkshopView[]>('GET', 'session/workshops', undefined, signal),
  staleTime: 60_000,
});

/** The workshops that one is in. */
export const useOwnWorkshops = () => useQuery(ownWorkshopsQuery);

/** Goes to another workshop. */
export const useGoToWorkshop = () =>
  useEnter((workshopId: string) => ask<void>('PUT', 'session/workshop', { workshopId }));

/** Founds another workshop, and goes there. */
export const useFoundWorkshop = () =>
  useEnter((workshop: string) => ask<void>('POST', 'session/workshops', { workshop }));

/** Takes up an invitation to another workshop with one's own account, and goes there. */
export const useJoinWorkshop = () => useEnter((token: string) => ask<void>('POST', 'session/join', { token }));
