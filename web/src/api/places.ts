import { useEffect } from 'react';
import { queryOptions, useMutation, useQueryClient, type QueryClient } from '@tanstack/react-query';
import type { PlaceAmbient, PlaceInput, PlaceView, ReadingsTaken } from '@dewpot/contract';
import { MOST_READINGS } from '@dewpot/contract/page';
import type { AmbientReading } from '@dewpot/core/ambient';
import { ask } from './client';
import { refresh } from './refresh';
import { hear } from './stream';

export const placesQuery = queryOptions({
  queryKey: ['places'],
  queryFn: ({ signal }) => ask<PlaceView[]>('GET', 'places', undefined, signal),
  staleTime: 60_000,
});

/** The air of a place over so many days up to now. */
export const placeAmbientQuery = (id: string, days: number) =>
  queryOptions({
    queryKey: ['places', id, 'ambient', days],
    queryFn: ({ signal }) => {
      const to = Date.now();
      return ask<PlaceAmbient>(
        'GET',
        `places/${id}/ambient?from=${to - days * 24 * 3_600_000}&to=${to}`,
        undefined,
        signal,
      );
    },
    staleTime: 60_000,
  });

/** Hears the air of every place as it changes. */
export function useLivePlaces(): void {
  const client = useQueryClient();
  useEffect(() => {
    const message = (data: string) => client.setQueryData(placesQuery.queryKey, JSON.parse(data) as PlaceView[]);
    return hear('places/stream', { message });
  }, [client]);
}

/** What hangs on the air is asked for again. */
const refreshAmbient = (client: QueryClient) => refresh(client, ['places'], ['casts'], ['ambient']);

export function useSavePlace() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ id, ...place }: PlaceInput & { id: string }) => ask<PlaceView>('PUT', `places/${id}`, place),
    retry: false,
    onSuccess: () => refreshAmbient(client),
  });
}

export function useRemovePlace() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (id: string) => ask<void>('DELETE', `places/${id}`),
    retry: false,
    onSuccess: () => refreshAmbient(client),
  });
}

/** Sends readings in, as many at a time as are taken; answers what came of them all. */
export function useSendReadings() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: async ({
      id,
      readings,
    }: {
      id: string;
      readings: readonly AmbientReading[];
    }): Promise<ReadingsTaken> => {
      let all: ReadingsTaken = { kept: 0, twice: 0, aside: [] };
      for (let from = 0; from < readings.length; from += MOST_READINGS) {
        const part = { readings: readings.slice(from, from + MOST_READINGS) };
        const { kept, twice, aside } = await ask<ReadingsTaken>('POST', `places/${id}/readings`, part);
        all = { kept: all.kept + kept, twice: all.twice + twice, aside: [...all.aside, ...aside] };
      }
      return all;
    },
    retry: false,
    onSettled: () => refreshAmbient(client),
  });
}
