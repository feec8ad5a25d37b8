import { useCallback, useRef } from 'react';
import type { Remote } from 'comlink';
import { loadSolver } from '@dewpot/core/solver';
import { makeCalendarWork, type CalendarData, type CalendarWork } from '../workers/calendar-work';
import { useWorker } from '../workers/use-worker';

const startCalendar = () => new Worker(new URL('../workers/calendar.worker.ts', import.meta.url), { type: 'module' });
const hasWorkers = () => 'Worker' in window;

/** Asks the work of the calendar for something, with the data at hand. Fails where its worker dies over it. */
export type AskCalendar = <T>(job: (work: CalendarWork | Remote<CalendarWork>) => T | Promise<T>) => Promise<T>;

/** The work of the calendar with the data at hand, in a worker of this screen where there is one; and its end, whatever it does. */
export function useCalendarWork(data: CalendarData): { readonly ask: AskCalendar; readonly end: () => void } {
  const own = useWorker<CalendarWork>(startCalendar);
  const here = useRef<CalendarWork>(undefined);
  const given = useRef<{ readonly data: CalendarData; readonly to: object }>(undefined);
  const ask: AskCalendar = useCallback(
    (job) => {
      const running = hasWorkers() ? own.get() : undefined;
      const work = running?.remote ?? (here.current ??= makeCalendarWork(() => loadSolver()));
      const answer = async () => {
        // What it made of the data is kept as long as the data is the same.
        if (given.current?.data !== data || given.current.to !== (running ?? work)) {
          given.current = { data, to: running ?? work };
          await work.take(data);
        }
        return job(work);
      };
      if (!running) return answer();
      const died = running.died.catch((error: unknown) => {
        if (own.is(running)) own.end();
        throw error;
      });
      return Promise.race([answer(), died]);
    },
    [own, data],
  );
  return { ask, end: own.end };
}
