import { Checker, msg } from '../../foundation/units/index.js';
import type { CasterWeek } from './week.js';

/** Hours of a weekday, Monday 0: local hours from midnight. */
export interface WeekdayHours {
  readonly weekday: number;
  readonly from: number;
  readonly to: number;
}

/** A day that is otherwise than its weekday; without hours, there is nothing on it. */
export interface OtherDay {
  /** YYYY-MM-DD */
  readonly date: string;
  readonly from?: number;
  readonly to?: number;
}

/** A person's week as it is kept. */
export interface KeptWeek {
  readonly attended: readonly WeekdayHours[];
  readonly sessions: readonly WeekdayHours[];
  /** Days on which nobody is there, and sessions that are held on other days than usual. */
  readonly away: readonly OtherDay[];
  readonly otherSessions: readonly OtherDay[];
}

const WEEK = [0, 1, 2, 3, 4, 5, 6];

/** The week that is taken where nobody said anything: at hand from seven to ten, two evenings and a morning for sessions. */
export const usualWeek: KeptWeek = {
  attended: WEEK.map((weekday) => ({ weekday, from: 7, to: 22 })),
  sessions: [
    { weekday: 1, from: 19, to: 21.5 },
    { weekday: 3, from: 19, to: 21.5 },
    { weekday: 5, from: 10, to: 13 },
  ],
  away: [],
  otherSessions: [],
};

/** Refuses hours that end before they begin. @throws InputError naming the field */
export function checkWeek(week: KeptWeek): void {
  const check = new Checker();
  const hours = (field: string, from = 0, to = 24) =>
    check.expect(to > from, field, `${from}–${to}`, msg('calendar.endsBefore'), msg('calendar.laterEnd'));
  week.attended.forEach(({ from, to }, i) => hours(`attended.${i}.to`, from, to));
  week.sessions.forEach(({ from, to }, i) => hours(`sessions.${i}.to`, from, to));
  week.otherSessions.forEach(({ from, to }, i) => hours(`otherSessions.${i}.to`, from, to));
  check.done();
}

const stretchesOf = (hours: readonly WeekdayHours[]) =>
  WEEK.map((day) => hours.find(({ weekday }) => weekday === day) ?? null);

/** A week ready to be planned with. A day away has neither sessions nor anybody at hand. */
export function casterWeek({ attended, sessions, away, otherSessions }: KeptWeek): CasterWeek {
  const other = otherSessions.map(({ date, from, to }): [string, CasterWeek['exceptions'][string]] => [
    date,
    { session: from === undefined || to === undefined ? null : { from, to } },
  ]);
  const gone = away.map(({ date }): [string, CasterWeek['exceptions'][string]] => [
    date,
    { attended: null, session: null },
  ]);
  return {
    attended: stretchesOf(attended),
    sessions: stretchesOf(sessions),
    exceptions: Object.fromEntries([...other, ...gone]),
  };
}
