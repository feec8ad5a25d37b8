import { useCallback, useRef } from 'react';
import { loadSolver } from '@dewpot/core/solver';
import { makeCalendarWork, type CalendarData, type CalendarWork } from '../workers/calendar-work';
import { useAskedWork, type AskWork } from '../workers/use-asked-work';

const startCalendar = () => new Worker(new URL('../workers/calendar.worker.ts', import.meta.url), { type: 'module' });
const makeCalendar = () => makeCalendarWork(() => loadSolver());

/** Asks the work of the calendar for something, with the data at hand. */
type AskCalendar = AskWork<CalendarWork>;

/** The work of the calendar with the data at hand; and its end, whatever it does. */
export function useCalendarWork(data: CalendarData): { readonly ask: AskCalendar; readonly end: () => void } {
  const { ask: askWork, end } = useAskedWork<CalendarWork>(startCalendar, makeCalendar);
  const given = useRef<{ readonly data: CalendarData; readonly to: object }>(undefined);
  const ask: AskCalendar = useCallback(
    (job) =>
      askWork(async (work) => {
        // The data goes right before its question, so that none that another question brought stands between them.
        const taken = given.current?.data === data && given.current.to === work ? undefined : work.take(data);
        given.current = { data, to: work };
        const [found] = await Promise.all([job(work), taken]).catch((error: unknown) => {
          given.current = undefined;
          throw error;
        });
        return found;
      }),
    [askWork, data],
  );
  return { ask, end };
}
