import { defined } from '@dewpot/core/math';
import { DAY, HOUR, MINUTE } from '@dewpot/core/units';
import { placeNow, roundLines, taskInWords, type Due, type RoundLine } from '@dewpot/core/casts';
import type { CastView } from '@dewpot/contract';
import { ICalAlarmType, ICalCalendar, ICalCalendarMethod } from 'ical-generator';

/** What lies further ahead is left out: its window moves before it comes. */
const AHEAD = 60 * DAY;
/** An entry is as long as its window, but no longer than this. */
const LONGEST = HOUR;
const SHORTEST = 15 * MINUTE;
/** How often a calendar is asked to look again, s. */
const LOOK_AGAIN = 3600;

const placeOf = ({ life, snapshot }: CastView) => placeNow(life, snapshot.place);

const said = (at: number, zone: string) =>
  new Intl.DateTimeFormat('en-GB', {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
    timeZone: zone,
  }).format(at);

/** The same thing to do keeps its name in the calendar, whenever its window moves. */
const nameOf = ({ due, casts }: RoundLine<CastView>) =>
  [defined(casts[0]).id, due.task, due.core ?? ''].join('-').replace(/[^\w-]+/g, '_');

const titleOf = ({ due, casts, place }: RoundLine<CastView>) =>
  `${taskInWords(due)}: ${defined(casts[0]).snapshot.mouldName}${casts.length > 1 ? ` × ${casts.length}` : ''}, ${place}`;

function told({ due, casts }: RoundLine<CastView>, zone: string): string {
  const window = `Good from ${said(due.good, zone)} to ${said(due.late, zone)}, by the air as it is forecast now.`;
  const put = due.postponedUntil === undefined ? [] : [`Postponed to ${said(due.postponedUntil, zone)}.`];
  return [window, ...put, ...(due.told ? [`${due.told}.`] : []), casts.map(({ code }) => code).join(', ')].join('\n');
}

const startOf = ({ postponedUntil, good }: Due) => Math.round((postponedUntil ?? good) / (5 * MINUTE)) * 5 * MINUTE;

/** What is to be done to casts as a calendar (RFC 5545). Entries keep their names, and count up as their windows move. */
export function calendarOf(casts: readonly CastView[], workshop: string, zone: string, now: number): string {
  const calendar = new ICalCalendar({
    name: `${workshop}: what is due`,
    prodId: { company: 'Dew Pot', product: 'Round', language: 'EN' },
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
      summary: titleOf(line),
      description: told(line, zone),
      location: line.place,
    });
    event.createAlarm({ type: ICalAlarmType.display, trigger: 0, description: titleOf(line) });
  }
  return calendar.toString();
}
