import { queryOptions } from '@tanstack/react-query';
import type { AllWaysView, CastDetail, CastFindings, CountedFace, PourFindings, WatchView } from '@dewpot/contract';
import { ask } from './client';

/** Why a cast came out so; asked again when something happened to it. */
export const castFindingsQuery = ({ id, events }: Pick<CastDetail, 'id' | 'events'>) =>
  queryOptions({
    queryKey: ['findings', 'cast', id, events.length],
    queryFn: ({ signal }) => ask<CastFindings>('GET', `findings/casts/${id}`, undefined, signal),
  });

/** Why the casts of a pour have their faults. `looked`: what was found so far, so that it is asked again when something was. */
export const pourFindingsQuery = (id: string, looked: number) =>
  queryOptions({
    queryKey: ['findings', 'pour', id, looked],
    queryFn: ({ signal }) => ask<PourFindings>('GET', `findings/pours/${id}`, undefined, signal),
  });

/** Faces whose voids were counted on a photo, the latest first. */
export const facesQuery = queryOptions({
  queryKey: ['findings', 'faces'],
  queryFn: ({ signal }) => ask<CountedFace[]>('GET', 'findings/faces', undefined, signal),
});

/** While records are still being gathered, what is told is asked for again. */
const gathering = ({ state: { data } }: { state: { data?: { readonly left: number } | undefined } }) =>
  (data?.left ?? 0) > 0 && 500;

export const waysQuery = queryOptions({
  queryKey: ['findings', 'ways'],
  queryFn: ({ signal }) => ask<AllWaysView>('GET', 'findings/ways', undefined, signal),
  refetchInterval: gathering,
});

export const watchQuery = queryOptions({
  queryKey: ['findings', 'watch'],
  queryFn: ({ signal }) => ask<WatchView>('GET', 'findings/watch', undefined, signal),
  refetchInterval: gathering,
});
