import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import type {
  CalendarFacts,
  CalendarPlanInput,
  CalendarPlanView,
  CalendarTodayView,
  CasterWeekInput,
  CasterWeekView,
  OrderInput,
  OrderView,
} from '@dewpot/contract';
import { ask } from './client';
import { refresh } from './refresh';
import { useLast, useWrite, type Put } from './writes';

export const ordersQuery = queryOptions({
  queryKey: ['orders'],
  queryFn: ({ signal }) => ask<OrderView[]>('GET', 'orders', undefined, signal),
});

/** What the calendar is planned from. */
export const calendarFactsQuery = queryOptions({
  queryKey: ['calendar', 'facts'],
  queryFn: ({ signal }) => ask<CalendarFacts>('GET', 'calendar/facts', undefined, signal),
  staleTime: 60_000,
});

/** The plan that is kept, and what its lines are. */
export const calendarPlanQuery = queryOptions({
  queryKey: ['calendar', 'plan'],
  queryFn: ({ signal }) => ask<CalendarTodayView>('GET', 'calendar/plan', undefined, signal),
});

/** One's own week. */
export const weekQuery = queryOptions({
  queryKey: ['calendar', 'week'],
  queryFn: ({ signal }) => ask<CasterWeekView>('GET', 'calendar/week', undefined, signal),
});

export const useSaveOrder = () =>
  useWrite(({ id, input }: Put<OrderInput>) => ask<OrderView>('PUT', `orders/${id}`, input), 'orders', 'calendar');
export const useRemoveOrder = () => useLast((id: string) => ask<void>('DELETE', `orders/${id}`), 'orders', 'calendar');
export const useSaveWeek = () =>
  useWrite((week: CasterWeekInput) => ask<CasterWeekView>('PUT', 'calendar/week', week), 'calendar');

/** Keeps a plan. What it was made from has not changed by that. */
export function useKeepPlan() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (plan: CalendarPlanInput) => ask<CalendarPlanView>('PUT', 'calendar/plan', plan),
    retry: false,
    onSuccess: () => refresh(client, calendarPlanQuery.queryKey),
  });
}
