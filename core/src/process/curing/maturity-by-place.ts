import { ageBetween, gatheredAt, hourOfAge, type AgeCourse } from './maturity.js';

/** The air of a place in which a piece stands from an hour on. */
export interface StayCourse {
  readonly from: number;
  readonly course: AgeCourse;
}

/** Equivalent hours at 20 °C that a piece gathered by an hour, from place to place; `stays` in the order of time, the first from its pour. */
export const ageAlong = (stays: readonly StayCourse[], until: number): number =>
  stays.reduce(
    (age, { from, course }, i) => age + ageBetween(course, from, Math.min(until, stays[i + 1]?.from ?? until)),
    0,
  );

/** The hour at which a piece comes to an age, from place to place; undefined where it does not within `horizon` hours. */
export function hourOfAgeAlong(stays: readonly StayCourse[], age: number, horizon: number): number | undefined {
  const start = stays[0];
  if (!start) return undefined;
  const end = start.from + horizon;
  let left = age;
  for (const [i, { from, course }] of stays.entries()) {
    const until = Math.min(end, stays[i + 1]?.from ?? end);
    const hour = hourOfAge(course, from, left, until);
    if (hour !== undefined) return hour;
    left -= Math.max(0, gatheredAt(course, until) - gatheredAt(course, from));
  }
  return undefined;
}
