import { DAY, HOUR, MINUTE, msg, type Message, type Moment } from '@dewpot/core/units';
import type { CalendarTodayView, PlannedLineView } from '@dewpot/contract';
import type { Speaker } from '@dewpot/locales';
import { ICalEventStatus, type ICalCalendar } from 'ical-generator';

const moment = (at: number): Moment => ({ at, as: 'time' });

const piecesOf = ({ mould, mix, tint, order }: PlannedLineView, count: number): Message =>
  msg('server.plannedPieces', { count, mould, mix, tint: tint ? 'some' : 'none', tintName: tint ?? '', order });

/** What a plan wants, as entries that may still move: its sessions, and what is done to their pieces. `until`: what lies further ahead is left out, ms. */
export function addPlanned(
  calendar: ICalCalendar,
  { plan, lines }: CalendarTodayView,
  say: Speaker,
  { now, until }: { readonly now: number; readonly until: number },
): void {
  if (!plan) return;
  const lineOf = (id: string) => lines.find((one) => one.id === id);
  // The plan counts its versions: an entry that it moved is a newer one.
  const entry = { stamp: new Date(now), lastModified: new Date(now), sequence: plan.version, status: ICalEventStatus.TENTATIVE }; // prettier-ignore
  for (const { at, minutes, room, poured } of plan.sessions) {
    if (at + room * MINUTE < now || at > until) continue;
    const told = poured.flatMap(({ line, count }) => {
      const own = lineOf(line);
      return own && count > 0 ? [say(piecesOf(own, count))] : [];
    });
    calendar.createEvent({
      ...entry,
      id: `session-${at}@dewpot.invalid`,
      start: new Date(at),
      end: new Date(at + Math.max(minutes, 15) * MINUTE),
      summary: say(msg('server.plannedSession', { pieces: poured.reduce((sum, { count }) => sum + count, 0) })),
      description: told.join('\n'),
    });
  }
  for (const { task, line, count, at, latest } of plan.tasks) {
    const own = lineOf(line);
    if (!own || at < now - DAY || at > until) continue;
    calendar.createEvent({
      ...entry,
      id: `planned-${task}-${line}-${at}@dewpot.invalid`,
      start: new Date(at),
      end: new Date(at + HOUR / 2),
      summary: say(msg('server.plannedTask', { task, count, mould: own.mould })),
      description: [say(piecesOf(own, count)), say(msg('server.plannedBy', { latest: moment(latest) }))].join('\n'),
    });
  }
}
