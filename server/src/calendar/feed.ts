import { defined } from '@dewpot/core/math';
import { DAY, HOUR, MINUTE, msg, type Moment } from '@dewpot/core/units';
import { placeInWords, placeNow, roundLines, taskInWords, type Due, type RoundLine } from '@dewpot/core/casts';
import type { CalendarTodayView, CastView } from '@dewpot/contract';
import type { Speaker } from '@dewpot/locales';
import { ICalAlarmType, ICalCalendar, ICalCalendarMethod } from 'ical-generator';
import { addPlanned } from './planned-feed.js';

/** What lies further ahead is left out: its window moves before it comes. */
const AHEAD = 60 * DAY;
/** An entry is as long as its window, but no longer than this. */
const LONGEST = HOUR;
const SHORTEST = 15 * MINUTE;
/** How often a calendar is asked to look again, s. */
const LOOK_AGAIN = 3600;

const placeOf = ({ life, snapshot }: CastView) => placeNow(life, snapshot.place);

/** The same thing to do keeps its name in the calendar, whenever its window moves. */
const nameOf = ({ due, casts }: RoundLine<CastView>) =>
  [defined(casts[0]).id, due.task, due.core ?? ''].join('-').replace(/[^\w-]+/g, '_');

const titleOf = ({ due, casts, place }: RoundLine<CastView>) =>
  msg('today.dueTitle', {
    task: taskInWords(due),
    mould: defined(casts[0]).snapshot.mouldName,
    count: casts.length,
    place: placeInWords(place),
  });

const time = (at: number): Moment => ({ at, as: 'time' });

function told({ due, casts }: RoundLine<CastView>, say: Speaker): string {
  const window = msg('server.goodFromTo', { good: time(due.good), late: time(due.late) });
  const put =
    due.postponedUntil === undefined ? [] : [msg('server.postponedTo', { postponedUntil: time(due.postponedUntil) })];
  const how = due.told ? [msg('server.sentence', { text: due.told })] : [];
  return [...[window, ...put, ...how].map((one) => say(one)), casts.map(({ code }) => code).join(', ')].join('\n');
}

const startOf = ({ postponedUntil, good }: Due) => Math.round((postponedUntil ?? good) / (5 * MINUTE)) * 5 * MINUTE;

/** What is to be done to casts, and what the plan wants, as a calendar (RFC 5545). Entries keep their names, and count up as their windows move. */
export function calendarOf(
  casts: readonly CastView[],
  planned: CalendarTodayView,
  workshop: string,
  say: Speaker,
  now: number,
): string {
  const calendar = new ICalCalendar({
    name: say('server.calendarName', { workshop }),
    prodId: { company: 'Dew Pot', product: 'Round', language: say.reader.language.toUpperCase() },
    method: ICalCalendarMethod.PUBLISH,
    ttl: LOOK_AGAIN,
  });
  for (const line of roundLines(casts, placeOf)) {
    const start = startOf(line.due);
    if (start > now + AHEAD) continue;
    const length = Math.min(LONGEST, Math.max(SHORTEST, line.due.late - start));
    const event = calendar.createEvent({
      id: `${nameOf(line)}@dewpot.invalid`,
      start: new Date(start),
      end: new Date(start + length),
      stamp: new Date(now),
      lastModified: new Date(now),
      // The count only has to rise with every reading.
      sequence: Math.max(0, Math.floor((now - defined(line.casts[0]).life.pouredAt) / MINUTE)),
      summary: say(titleOf(line)),
      description: told(line, say),
      ...(line.place && { location: line.place }),
    });
    event.createAlarm({ type: ICalAlarmType.display, trigger: 0, description: say(titleOf(line)) });
  }
  addPlanned(calendar, planned, say, { now, until: now + AHEAD });
  return calendar.toString();
}
