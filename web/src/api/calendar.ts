import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import type { CalendarAddress, CalendarView } from '@dewpot/contract';
import { ask } from './client';
import { refresh } from './refresh';

export const calendarQuery = queryOptions({
  queryKey: ['calendar'],
  queryFn: ({ signal }) => ask<CalendarView>('GET', 'calendar', undefined, signal),
});

/** Makes a new secret address for one's calendar; the one before it stops. */
export function useMakeAddress() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: () => ask<CalendarAddress>('POST', 'calendar/address'),
    retry: false,
    onSuccess: () => refresh(client, calendarQuery.queryKey),
  });
}

export function useStopAddress() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: () => ask<void>('DELETE', 'calendar/address'),
    retry: false,
    onSuccess: () => refresh(client, calendarQuery.queryKey),
  });
}

export const calendarFile = '/api/calendar/round.ics';
