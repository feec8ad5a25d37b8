import { act, renderHook, waitFor } from '@testing-library/react';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { expect, it } from 'vitest';
import { calendarFacts } from '../../test/calendar-facts';
import { fakeServer, mix, mould, palette } from '../../test/fake-server';
import { DAY, NOW, session } from '../../test/stand-ins';
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
