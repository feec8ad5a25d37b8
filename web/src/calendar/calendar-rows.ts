import { unparse } from 'papaparse';
import { DAY, msg } from '@dewpot/core/units';
import { plannedTasks, type CalendarPlan } from '@dewpot/core/calendar';
import type { Speaker } from '@dewpot/locales';
import { formatISO, startOfDay } from 'date-fns';
import type { PaperDay } from '../paper';
import { clockOf } from '../ui/format-time';
import { taskWords } from './task-words';
import type { CalendarKnown } from './use-calendar-data';

/** One thing that a plan wants, of one line. */
interface PlanRow {
  readonly at: number;
  readonly latest: number;
  readonly what: string;
  readonly count: number;
  readonly mould: string;
  readonly mix: string;
  readonly tint: string;
  readonly order: string;
}

/** Everything that a plan wants, line by line, in the order of time. */
function rowsOf({ lines }: CalendarKnown, plan: CalendarPlan, say: Speaker): PlanRow[] {
  const row = (id: string, count: number, at: number, latest: number, what: string): PlanRow[] => {
    const shown = lines.find(({ line }) => line.id === id);
    if (!shown || count < 1) return [];
    const { mould, mix, tint, line } = shown;
    return [
      {
        at,
        latest,
        what,
        count,
        mould: mould?.name ?? '',
        mix: mix?.name ?? '',
        tint: tint?.name ?? '',
        order: line.order,
      },
    ];
  };
  const sessions = plan.sessions.flatMap(({ at, poured }) =>
    poured.flatMap(({ line, count }) => row(line, count, at, at, say('calendar.pour'))),
  );
  const tasks = plannedTasks(
    plan,
    lines.map(({ line }) => line),
  ).flatMap(({ task, line, count, at, latest }) => row(line, count, at, latest, say(taskWords[task])));
  return [...sessions, ...tasks].sort((a, b) => a.at - b.at);
}

/** The whole plan as CSV: times as ISO 8601, in the browser's own zone. */
export const calendarCsv = (known: CalendarKnown, plan: CalendarPlan, say: Speaker): string =>
  unparse(
    rowsOf(known, plan, say).map(({ at, latest, what, count, mould, mix, tint, order }) => ({
      [say('calendar.csvAt')]: formatISO(at),
      [say('calendar.csvLatest')]: formatISO(latest),
      [say('calendar.csvWhat')]: what,
      [say('calendar.howMany')]: count,
      [say('calendar.mould')]: mould,
      [say('calendar.mix')]: mix,
      [say('calendar.tint')]: tint,
      [say('calendar.anOrder')]: order,
    })),
  );

/** The plan day by day, as it is printed; until a time, ms. */
export function paperDays(known: CalendarKnown, plan: CalendarPlan, say: Speaker, until = Infinity): PaperDay[] {
  const rows = rowsOf(known, plan, say).filter(({ at }) => at < until);
  const days = [...new Set(rows.map(({ at }) => startOfDay(at).getTime()))];
  return days.map((day) => ({
    day: say(
      msg('calendar.paperDay', {
        weekday: msg('units.plain', { value: { at: day + DAY / 2, as: 'longWeekday' } }),
        date: msg('units.plain', { value: { at: day + DAY / 2, as: 'date' } }),
      }),
    ),
    entries: rows
      .filter(({ at }) => startOfDay(at).getTime() === day)
      .map(({ at, what, count, mould, mix, tint, order }) => ({
        at: say(clockOf(at)),
        told: say(msg('calendar.paperEntry', { what, count, mould, mix: tint || mix, order })),
      })),
  }));
}
