import { beforeAll, describe, expect, it } from 'vitest';
import { loadSolver, type Solver } from '../../foundation/solver/index.js';
import { stream } from '../../foundation/math/index.js';
import { bestOfAll, smallProblem } from '../../testing/every-schedule.js';
import { pots } from '../../testing/pots-to-schedule.js';
import {
  breachesOf,
  makeSchedule,
  type Fits,
  type ScheduledLine,
  type ScheduleWays,
  type SchedulingProblem,
} from './index.js';

let solve: Solver;
beforeAll(async () => {
  solve = await loadSolver();
});

const made = (problem: SchedulingProblem, ways: Partial<ScheduleWays> = {}) =>
  makeSchedule(problem, { solve, seconds: 20, clock: () => Date.now() / 1000, ...ways });

describe('a schedule', () => {
  const sessionsOf = (problem: SchedulingProblem) =>
    made(problem)?.sessions.map(({ slot, poured }) => [slot, poured[0]?.count]);

  it('of 24 pots is that of the handbook: three copies want 8 sessions, four 6 by the eleventh day, eight six evenings running', () => {
    expect(sessionsOf(pots(24, 3))).toEqual([0, 2, 4, 6, 8, 10, 12, 14].map((slot) => [slot, 3]));
    const four = sessionsOf(pots(24, 4))!;
    expect(four).toEqual([0, 2, 4, 6, 8, 10].map((slot) => [slot, 4]));
    expect(sessionsOf(pots(24, 6))!).toHaveLength(6);
    expect(sessionsOf(pots(24, 8))).toEqual([0, 1, 2, 3, 4, 5].map((slot) => [slot, 4]));
  });

  it('is none where the evenings do not do; what is wanted too soon is late, and as little of it as can be', () => {
    expect(made(pots(24, 3, 14))).toBeUndefined();
    const problem = pots(6, 3);
    const late = (lastSlot: number) =>
      made({ ...problem, lines: problem.lines.map((line) => ({ ...line, lastSlot })) })?.late.get('pot');
    expect([late(2), late(1), late(-1)]).toEqual([undefined, 3, 6]);
  });

  it('tells how near it is to the best there can be', () => {
    expect(made(pots(24, 3))).toMatchObject({ best: true, leastSessions: 8 });
    const hurried: Solver = (programme, ways) => ({ ...solve(programme, ways), status: 'best', bound: 4.2 });
    expect(made(pots(24, 3), { solve: hurried })).toMatchObject({ best: false, leastSessions: 5 });
    const silent: Solver = () => ({ status: 'unknown', values: {}, bound: -Infinity });
    const first = made(pots(24, 3), { solve: silent })!;
    expect(first).toMatchObject({ best: false });
    expect(first.sessions).toHaveLength(8);
  });

  it('has sessions of even length where that costs nothing', () => {
    const { lines, ...problem } = pots(5, 8, 3);
    const even = made({ ...problem, lines: lines.map((line) => ({ ...line, lastSlot: 1 })) })!;
    expect(even.sessions.map(({ poured }) => poured[0]!.count).sort()).toEqual([2, 3]);
  });

  it('forbids what does not fit its real timeline, and solves again', () => {
    const fits: Fits = ({ poured }) => poured[0]!.count <= 2;
    const short = made(pots(8, 4), { fits })!;
    expect(short).toMatchObject({ best: true, leastSessions: 4 });
    expect(short.forbidden).toBeGreaterThan(0);
    expect(short.sessions.every(fits)).toBe(true);
  });

  it('does not jump about: what was planned before stays unless that saves a session', () => {
    const problem = pots(9, 3);
    const before = [1, 4, 9].map((slot) => ({ slot, poured: [{ line: 'pot', count: 3 }] }));
    expect(sessionsOf({ ...problem, before })).toEqual(before.map(({ slot }) => [slot, 3]));
    const spread = [1, 4, 9, 12].map((slot, i) => ({ slot, poured: [{ line: 'pot', count: i < 2 ? 3 : 1 }] }));
    expect(sessionsOf({ ...problem, before: spread })).toHaveLength(3);
    // The session of the fourth slot is missed: the others stay where they are.
    const missed = { ...problem, before, kept: [{ slot: 4, poured: [] }] };
    const after = sessionsOf(missed)!.map(([slot]) => slot);
    expect(after).toHaveLength(3);
    expect(after).toEqual(expect.arrayContaining([1, 9]));
  });

  it('keeps what a person put where it is', () => {
    const kept = [{ slot: 5, poured: [{ line: 'pot', count: 2 }] }];
    const found = sessionsOf({ ...pots(8, 3), kept })!;
    expect(found).toContainEqual([5, 2]);
    expect(found.reduce((sum, [, count]) => sum + count!, 0)).toBe(8);
  });

  it('leaves room on the shelf for what stands there', () => {
    const base = pots(6, 6);
    const until = base.slots.map((_, slot) => Math.min(base.slots.length, slot + 3));
    const shelf = { kind: 'shelf' as const, of: 'shed', room: 4, taken: [2], uses: [{ line: 'pot', each: 1, until }] };
    const problem = { ...base, shared: [...base.shared, shelf] };
    const found = made(problem)!;
    expect(breachesOf(problem, found)).toEqual([]);
    expect(found.sessions.map(({ slot }) => slot)).toEqual([0, 3]);
  });

  it('mixes two tints in buckets of their own, and a piece that is larger than the bucket in several', () => {
    const base = pots(2, 8);
    const lines: ScheduledLine[] = [
      { ...base.lines[0]!, key: 'red', mixKey: 'red' },
      { ...base.lines[0]!, key: 'green', mixKey: 'green', count: 1 },
      { ...base.lines[0]!, key: 'trough', mouldId: 't', mixKey: 'red', count: 1, volume: 17_000 },
    ];
    const mixes = ['red', 'green'].map((key) => ({ ...base.mixes[0]!, key }));
    const slots = base.slots.map((slot) => ({ ...slot, minutes: 240 }));
    const problem = { ...base, slots, lines, mixes, shared: [] };
    const [session, ...others] = made(problem)!.sessions;
    expect(others).toEqual([]);
    expect(session!.batches.map(({ mixKey, buckets, pieces }) => [mixKey, buckets, pieces])).toEqual([
      ['red', 3, [{ line: 'trough', count: 1 }]],
      ['red', 1, [{ line: 'red', count: 2 }]],
      ['green', 1, [{ line: 'green', count: 1 }]],
    ]);
    expect(session!.minutes).toBe(45 + 5 * 20 + 4 * 12);
    expect(breachesOf(problem, { sessions: [session!] })).toEqual([]);
  });
});

describe('the programme', () => {
  it('finds in 200 small cases what trying every way finds, and breaks no rule', () => {
    const random = stream(18);
    let possible = 0;
    for (let i = 0; i < 200; i++) {
      const problem = smallProblem(random);
      const [best, schedule] = [bestOfAll(problem), made(problem)];
      const found = schedule && {
        late: [...schedule.late.values()].reduce((sum, count) => sum + count, 0),
        sessions: schedule.sessions.length,
        last: schedule.sessions.at(-1)?.slot ?? 0,
      };
      expect(found, JSON.stringify(problem)).toEqual(best);
      if (!schedule) continue;
      possible += 1;
      expect(breachesOf(problem, schedule), JSON.stringify(problem)).toEqual([]);
    }
    expect(possible).toBeGreaterThan(60);
    expect(possible).toBeLessThan(200);
  }, 120_000);

  it('is the same for the same order', () => {
    expect(made(pots(24, 3))).toEqual(made(pots(24, 3)));
  });
});

describe('the checker of schedules', () => {
  const problem = pots(6, 3);
  const { sessions } = { sessions: [0, 2].map((slot) => ({ slot, poured: [{ line: 'pot', count: 3 }], batches: [{ mixKey: 'grey', buckets: 1, pieces: [{ line: 'pot', count: 3 }] }], minutes: 101 })) }; // prettier-ignore
  it('finds nothing where nothing is broken', () => {
    expect(breachesOf(problem, { sessions })).toEqual([]);
  });
  it.each([
    ['a piece too few', 'count', (all: typeof sessions) => all.slice(1)],
    ['a copy that is still full', 'copies', ([a, b]: typeof sessions) => [a!, { ...b!, slot: 1 }]],
    [
      'a bucket too full',
      'bucket',
      ([a, b]: typeof sessions) => [
        a!,
        { ...b!, batches: [{ ...b!.batches[0]!, pieces: [{ line: 'pot', count: 5 }] }] },
      ],
    ],
    ['a piece that is not mixed', 'bucket', ([a, b]: typeof sessions) => [a!, { ...b!, batches: [] }]],
    [
      'an evening too short',
      'hours',
      ([a, b]: typeof sessions) => [a!, { ...b!, batches: Array.from({ length: 3 }, () => b!.batches[0]!) }],
    ],
  ] as const)('finds %s', (_, rule, change) => {
    const found = breachesOf(problem, { sessions: change([...sessions]) });
    expect(found.map((one) => one.rule)).toContain(rule);
  });
});
