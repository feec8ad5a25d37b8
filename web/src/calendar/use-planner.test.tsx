import { act, renderHook, waitFor } from '@testing-library/react';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { expect, it } from 'vitest';
import { calendarFacts } from '../../test/calendar-facts';
import { fakeServer, mix, mould, palette } from '../../test/fake-server';
import { DAY, NOW, session } from '../../test/stand-ins';
import type { CalendarPlanView } from '@dewpot/contract';
import type { CalendarData } from '../workers/calendar-work';
import { usePlanner } from './use-planner';

const line = { id: 'pots', mouldId: 'm', mixId: 'x', count: 8, state: 'cured' as const, order: 'Fair', poured: [] };
const { store, ...tints } = palette;
/** The same workshop with so many copies of its mould. */
const withCopies = (count: number): CalendarData => ({
  moulds: [
    {
      ...mould,
      copies: Array.from({ length: count }, (_, i) => ({ ...mould.copies[0]!, id: `c${i}`, mark: 'ABCDEFGH'[i]! })),
    },
  ],
  mixes: [mix],
  store,
  tints,
  workshop: session.workshop,
  past: { lessons: [], runs: [], measured: [] },
  facts: calendarFacts({ lines: [line] }),
});
const fourCopies = withCopies(4);
const wrapper = ({ children }: { children: ReactNode }) => (
  <QueryClientProvider client={new QueryClient()}>{children}</QueryClientProvider>
);

it('looks again by what is known now, where that changed while a plan was looked for', async () => {
  fakeServer({ 'calendar/plan': {} });
  const { result, rerender } = renderHook(({ data }) => usePlanner(data, undefined), {
    wrapper,
    initialProps: { data: withCopies(1) },
  });
  await act(async () => {});
  expect(result.current.looking).toBeDefined();
  act(() => rerender({ data: withCopies(4) }));
  await waitFor(() => expect(result.current.judged).toBeDefined(), { timeout: 20_000 });
  expect(result.current.sessions.map(({ poured }) => poured[0]!.count)).toEqual([4, 4]);
  expect(result.current.sessions[0]!.at).toBeLessThan(NOW + 7 * DAY);
});

/** Kept when one copy was at hand. */
const kept: CalendarPlanView = {
  version: 1,
  madeAt: NOW,
  leastSessions: 8,
  sessions: [{ at: NOW + 2 * DAY, minutes: 60, room: 120, poured: [{ line: 'pots', count: 1 }] }],
  tasks: [],
  outcomes: [],
  chance: 1,
};

it('finds out again how few sessions there can be, where copies came since a plan was kept', async () => {
  const { result } = renderHook(() => usePlanner(fourCopies, kept), { wrapper });
  await waitFor(() => expect(result.current.judged?.plan.leastSessions).toBe(2), { timeout: 20_000 });
});

it('judges the plan that it found by what came since, and plans none again unasked, though nothing is kept yet', async () => {
  const sent = fakeServer({ 'calendar/plan': {} });
  const { result, rerender } = renderHook(({ data }) => usePlanner(data, undefined), {
    wrapper,
    initialProps: { data: withCopies(1) },
  });
  await waitFor(() => expect(result.current.help.over).toBe(true), { timeout: 30_000 });
  const found = result.current.sessions;
  expect(found).toHaveLength(8);
  act(() => rerender({ data: fourCopies }));
  await waitFor(() => expect(result.current.judged?.plan.leastSessions).toBe(2), { timeout: 20_000 });
  expect(result.current.sessions).toEqual(found);
  expect(sent.filter(({ method }) => method === 'PUT')).toHaveLength(1);
});

it('waits for what is kept where that is still asked, and plans none meanwhile', async () => {
  const sent = fakeServer({ 'calendar/plan': {} });
  const { result, rerender } = renderHook(({ plan, asking }) => usePlanner(fourCopies, plan, asking), {
    wrapper,
    initialProps: { plan: undefined, asking: true } as { plan: CalendarPlanView | undefined; asking: boolean },
  });
  await act(async () => {});
  expect(result.current.looking).toBeUndefined();
  act(() => rerender({ plan: kept, asking: false }));
  await waitFor(() => expect(result.current.judged).toBeDefined(), { timeout: 20_000 });
  expect(result.current.sessions).toEqual(kept.sessions);
  expect(sent).toEqual([]);
});
