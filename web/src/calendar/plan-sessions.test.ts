import { describe, expect, it } from 'vitest';
import type { CalendarPlan } from '@dewpot/core/calendar';
import { markedSessions, movedTo, planToKeep, toCome, type PlanSession } from './plan-sessions';

const session = (at: number, count: number, more: Partial<PlanSession> = {}): PlanSession => ({
  at,
  poured: [{ line: 'pots', count }],
  ...more,
});
const plan = (sessions: readonly PlanSession[]): CalendarPlan => ({
  sessions: sessions.map(({ at, poured }) => ({ at, poured, minutes: 60, room: 150, batches: [] })),
  pieces: [],
  outcomes: [{ line: 'pots', wanted: 3, poured: 3, late: 0, risk: 0.1, chance: 0.9, middle: 5.4, likely: 7.6 }],
  chance: 0.9,
  leastSessions: 1,
  best: true,
  left: 0,
  issues: [],
  notes: [],
});

describe('sessions that a person moves', () => {
  const sessions = [session(10, 3), session(20, 2), session(30, 1)];

  it('stand where they were put, in the order of time, and are marked', () => {
    expect(movedTo(sessions, 10, 25)).toEqual([session(20, 2), session(25, 3, { kept: true }), session(30, 1)]);
  });

  it('are held together with the one that is there', () => {
    const other = { at: 20, poured: [{ line: 'dishes', count: 4 }] };
    const [first] = movedTo([session(10, 3), other], 10, 20);
    expect(first).toEqual({ at: 20, poured: [{ line: 'dishes', count: 4 }, { line: 'pots', count: 3 }], kept: true }); // prettier-ignore
    expect(movedTo([session(10, 3), session(20, 2)], 10, 20)).toEqual([session(20, 5, { kept: true })]);
  });

  it('stay as they are where nothing is moved', () => {
    expect(movedTo(sessions, 10, 10)).toEqual(sessions);
    expect(movedTo(sessions, 99, 10)).toEqual(sessions);
  });

  it('keep their mark through a plan that is made again, and lose it with the evening', () => {
    const marks = [session(20, 2, { kept: true }), session(40, 1, { kept: true })];
    expect(markedSessions(plan(sessions), marks).map(({ kept }) => kept)).toEqual([undefined, true, undefined]);
  });
});

describe('what of a plan is kept', () => {
  it('has whole times, its marks and no more than the server takes', () => {
    const body = planToKeep(plan([session(10, 3)]), [session(10, 3, { kept: true })], { lines: [], now: 5 }, 7);
    expect(body).toEqual({
      version: 7,
      madeAt: 5,
      sessions: [{ at: 10, minutes: 60, room: 150, poured: [{ line: 'pots', count: 3 }], kept: true }],
      tasks: [],
      outcomes: [{ line: 'pots', wanted: 3, poured: 3, late: 0, chance: 0.9, middle: 5, likely: 8 }],
      chance: 0.9,
      leastSessions: 1,
    });
  });

  it('is asked of what is to come alone', () => {
    expect(toCome([session(10, 3), session(20, 2)], 15)).toEqual([session(20, 2)]);
  });
});
