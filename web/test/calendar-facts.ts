import { usualMoistCuring } from '@dewpot/core/curing';
import { usualWeek } from '@dewpot/core/calendar';
import type { CalendarFacts } from '@dewpot/contract';
import { HOUR, NOW } from './stand-ins';

const hour = { temperature: 18, humidity: 0.55, wind: 0 };
const month = { hours: Array.from({ length: 24 }, () => hour), spread: 2, alike: 0.5, days: 30 };
export const usualWeekView = { ...usualWeek, version: 0, personId: 'p', person: 'Ada' };
/** What a calendar is planned from, where nothing is ordered. */
export const calendarFacts = (over: Partial<CalendarFacts> = {}): CalendarFacts => ({
  lines: [],
  weeks: [usualWeekView],
  weekKnown: false,
  zone: 'UTC',
  places: [
    {
      id: 'bench',
      name: 'the bench',
      air: { known: Array.from({ length: 60 }, (_, i) => ({ at: NOW - (48 - i) * HOUR, ...hour })), months: Array.from({ length: 12 }, () => month) },
    },
  ],
  standing: [],
  learned: [{ mouldId: 'm', mixId: 'x', risk: 0 }],
  moistCuring: usualMoistCuring,
  now: NOW,
  ...over,
}); // prettier-ignore
