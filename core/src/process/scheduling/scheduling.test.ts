import highsModule, { type Highs } from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import { stream } from '../../foundation/math/index.js';
import { DAY, HOUR, InputError } from '../../foundation/units/index.js';
import {
  breachesOf,
  chanceOfEnough,
  firstAttended,
  freeAgain,
  leastPoured,
  programmeOf,
  scheduleOf,
  slotsOf,
  type CasterWeek,
  type Schedule,
  type ScheduledLine,
  type SchedulingProblem,
} from './index.js';

// The package is a module, and its types speak of it as CommonJS.
const loadHighs = highsModule as unknown as typeof highsModule.default;
let highs: Highs;
beforeAll(async () => {
  highs = await loadHighs();
});

/** The schedule of a problem, by the solver; undefined where there is none. */
function solved(problem: SchedulingProblem): Schedule | undefined {
  const { Status, Columns } = highs.solve(programmeOf(problem), { mip_rel_gap: 0 });
  if (Status !== 'Optimal') return undefined;
  const values = Object.fromEntries(
    Object.entries(Columns).map(([name, column]) => [name, 'Primal' in column ? Number(column.Primal) : 0]),
  );
  return scheduleOf(problem, values);
}

const evening = { from: 19, to: 21 };
const day = { from: 7, to: 22 };
const everyDay = <T>(one: T) => Array.from({ length: 7 }, () => one);
const everyEvening: CasterWeek = { attended: everyDay(day), sessions: everyDay(evening), exceptions: {} };
/** A Monday. */
const MONDAY = Date.UTC(2026, 5, 1);

/** Pots of one mould that come out after 30 h, poured in evenings of two hours: the worked case of the handbook. */
function pots(count: number, copies: number, evenings = 20): SchedulingProblem {
  const slots = slotsOf(everyEvening, MONDAY, MONDAY + (evenings - 1) * DAY + 20 * HOUR, 'UTC');
  return {
    slots,
    lines: [{ key: 'pot', mouldId: 'm', mixKey: 'grey', count, minutes: 12, volume: 2000 }],
    moulds: [{ mouldId: 'm', copies, freeAgain: freeAgain(slots, { demould: 30, release: 30 }, everyEvening, 'UTC') }],
    work: { fixed: 45, bucket: 20, capacity: 8000, mostPieces: 4 },
  };
}

describe('a caster’s week', () => {
  it('offers its evenings, and others where a day is an exception', () => {
    const week: CasterWeek = {
      ...everyEvening,
      sessions: [null, evening, null, evening, null, null, null],
      exceptions: { '2026-06-04': { session: null }, '2026-06-06': { session: { from: 9, to: 12.5 } } },
    };
    const slots = slotsOf(week, MONDAY, MONDAY + 8 * DAY + 20 * HOUR, 'Europe/Madrid');
    expect(slots).toEqual([
      { at: Date.UTC(2026, 5, 2, 17), minutes: 120 },
      { at: Date.UTC(2026, 5, 6, 7), minutes: 210 },
      { at: Date.UTC(2026, 5, 9, 17), minutes: 120 },
    ]);
  });

  it('says when somebody is at hand, over the night in which clocks are put forward', () => {
    const week = { ...everyEvening, exceptions: { '2026-03-29': { attended: { from: 9, to: 12 } } } };
    expect(firstAttended(Date.UTC(2026, 2, 28, 23), week, 'Europe/Madrid')).toBe(Date.UTC(2026, 2, 29, 7));
    expect(firstAttended(Date.UTC(2026, 2, 29, 9, 30), week, 'Europe/Madrid')).toBe(Date.UTC(2026, 2, 29, 9, 30));
    expect(firstAttended(Date.UTC(2026, 2, 29, 11), week, 'Europe/Madrid')).toBe(Date.UTC(2026, 2, 30, 5));
    expect(firstAttended(0, { ...week, attended: everyDay(null), exceptions: {} }, 'UTC')).toBeUndefined();
  });

  it('has a copy free again once it is out in an attended hour and its release is dry', () => {
    const { moulds } = pots(3, 3, 5);
    // Poured on an evening it is hard at one at night, out at seven, and free for the evening of that day.
    expect(moulds[0]!.freeAgain).toEqual([2, 3, 4, 5, 5]);
  });
});

describe('pieces that are lost on the way', () => {
  it.each([
    [24, 0.1, 28],
    [24, 0, 24],
    [1, 0.5, 3],
    [10_000, 0.1, 11_141],
    [0, 0.3, 0],
  ])('of %i that are wanted at a risk of %f make %i to pour', (wanted, risk, poured) => {
    expect(leastPoured(wanted, risk)).toBe(poured);
    expect(chanceOfEnough(poured, wanted, 1 - risk)).toBeGreaterThanOrEqual(0.8);
    if (poured > wanted) expect(chanceOfEnough(poured - 1, wanted, 1 - risk)).toBeLessThan(0.8);
  });
  it('are counted as often as they come', () => {
    // 3 of 5 at one half: (10 + 5 + 1) / 32.
    expect(chanceOfEnough(5, 3, 0.5)).toBeCloseTo(0.5, 12);
    expect(chanceOfEnough(2_000, 1_700, 0.9)).toBeGreaterThan(0.999);
    expect(chanceOfEnough(3, 4, 0.9)).toBe(0);
    expect(() => leastPoured(3, 0.95)).toThrow(InputError);
  });
});

describe('a schedule', () => {
  const sessionsOf = (problem: SchedulingProblem) =>
    solved(problem)?.sessions.map(({ slot, poured }) => [slot, poured[0]?.count]);

  it('of 24 pots is that of the handbook: three copies want 8 sessions, four 6 by the eleventh day, eight six evenings running', () => {
    expect(sessionsOf(pots(24, 3))).toEqual([0, 2, 4, 6, 8, 10, 12, 14].map((slot) => [slot, 3]));
    const four = sessionsOf(pots(24, 4))!;
    expect(four).toEqual([0, 2, 4, 6, 8, 10].map((slot) => [slot, 4]));
    expect(sessionsOf(pots(24, 6))!).toHaveLength(6);
    expect(sessionsOf(pots(24, 8))).toEqual([0, 1, 2, 3, 4, 5].map((slot) => [slot, 4]));
  });

  it('is none where the evenings do not do, or a line is wanted too soon', () => {
    expect(solved(pots(24, 3, 14))).toBeUndefined();
    const problem = pots(6, 3);
    const soon = (lastSlot: number) => ({ ...problem, lines: problem.lines.map((line) => ({ ...line, lastSlot })) });
    expect(solved(soon(2))?.sessions.map(({ slot }) => slot)).toEqual([0, 2]);
    expect(solved(soon(1))).toBeUndefined();
    expect(solved(soon(-1))).toBeUndefined();
  });

  it('mixes two tints in buckets of their own, and a piece that is larger than the bucket in several', () => {
    const base = pots(2, 8);
    const lines: ScheduledLine[] = [
      { ...base.lines[0]!, key: 'red', mixKey: 'red' },
      { ...base.lines[0]!, key: 'green', mixKey: 'green', count: 1 },
      { ...base.lines[0]!, key: 'trough', mouldId: 't', mixKey: 'red', count: 1, volume: 17_000 },
    ];
    const trough = { ...base.moulds[0]!, mouldId: 't', copies: 1 };
    const problem = {
      ...base,
      slots: base.slots.map((slot) => ({ ...slot, minutes: 240 })),
      lines,
      moulds: [...base.moulds, trough],
    };
    const [session, ...others] = solved(problem)!.sessions;
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

function smallCase(random: () => number): SchedulingProblem {
  const to = (least: number, most: number) => least + Math.floor(random() * (most - least + 1));
  const count = to(2, 4);
  const slots = Array.from({ length: count }, (_, i) => ({ at: i * DAY, minutes: to(60, 140) }));
  const moulds = ['a', 'b'].slice(0, to(1, 2)).map((mouldId) => {
    const busy = to(1, 3);
    return { mouldId, copies: to(1, 3), freeAgain: slots.map((_, i) => Math.min(count, i + busy)), full: slots.map((_, i) => (i === 0 ? to(0, 1) : 0)) }; // prettier-ignore
  });
  const lines = Array.from({ length: to(1, 3) }, (_, i) => ({
    key: `line ${i}`,
    mouldId: moulds[i % moulds.length]!.mouldId,
    mixKey: ['red', 'green'][to(0, 1)]!,
    count: to(1, 4),
    minutes: to(5, 20),
    volume: to(1, 5) * 1000,
    ...(random() < 0.3 && { lastSlot: to(0, count - 1) }),
  }));
  return { slots, lines, moulds, work: { fixed: to(10, 40), bucket: to(5, 25), capacity: 4000, mostPieces: to(1, 3) } };
}

/** The fewest buckets that pieces of one mix take, by trying every way to share them out. */
function leastBuckets(volumes: readonly number[], capacity: number, most: number): number {
  let least = Infinity;
  const share = (i: number, buckets: readonly (readonly number[])[], own: number): void => {
    if (buckets.length + own >= least) return;
    const volume = volumes[i];
    if (volume === undefined) {
      least = buckets.length + own;
      return;
    }
    if (volume > capacity) return share(i + 1, buckets, own + Math.ceil(volume / capacity));
    for (const [at, bucket] of buckets.entries())
      if (bucket.length < most && bucket.reduce((sum, one) => sum + one, volume) <= capacity)
        share(i + 1, buckets.with(at, [...bucket, volume]), own);
    share(i + 1, [...buckets, [volume]], own);
  };
  share(0, [], 0);
  return least;
}

/** The fewest sessions and the earliest last one, by trying every way to spread the pieces; undefined where none does. */
function tried({ slots, lines, moulds, work }: SchedulingProblem): { sessions: number; last: number } | undefined {
  let best: { sessions: number; last: number } | undefined;
  const known = new Map<string, number>();
  const minutes = (counts: readonly number[]) => {
    const key = counts.join();
    const had = known.get(key);
    if (had !== undefined) return had;
    const pieces = lines.flatMap(({ mixKey, volume }, i) =>
      Array.from({ length: counts[i]! }, () => ({ mixKey, volume })),
    );
    const mixes = [...new Set(pieces.map(({ mixKey }) => mixKey))];
    const buckets = mixes.reduce(
      (sum, mixKey) =>
        sum +
        leastBuckets(
          pieces.flatMap((one) => (one.mixKey === mixKey ? [one.volume] : [])),
          work.capacity,
          work.mostPieces,
        ),
      0,
    );
    const all = work.fixed + work.bucket * buckets + lines.reduce((sum, line, i) => sum + line.minutes * counts[i]!, 0);
    known.set(key, all);
    return all;
  };
  const fits = (poured: readonly (readonly number[])[], slot: number) =>
    moulds.every(({ mouldId, copies, freeAgain, full }) => {
      const busy = poured.reduce(
        (sum, counts, at) =>
          sum +
          (freeAgain[at]! > slot
            ? lines.reduce((all, line, i) => all + (line.mouldId === mouldId ? counts[i]! : 0), 0)
            : 0),
        full?.[slot] ?? 0,
      );
      return busy <= copies;
    });
  const spread = (slot: number, left: readonly number[], poured: readonly (readonly number[])[]): void => {
    if (slot === slots.length) {
      if (left.some((count) => count > 0)) return;
      const held = poured.flatMap((counts, at) => (counts.some((count) => count > 0) ? [at] : []));
      const found = { sessions: held.length, last: held[held.length - 1] ?? 0 };
      if (!best || found.sessions < best.sessions || (found.sessions === best.sessions && found.last < best.last))
        best = found;
      return;
    }
    const choose = (i: number, counts: readonly number[]): void => {
      if (i === lines.length) {
        if (counts.some((count) => count > 0) && minutes(counts) > slots[slot]!.minutes) return;
        if (fits([...poured, counts], slot)) spread(slot + 1, left.map((count, at) => count - counts[at]!), [...poured, counts]); // prettier-ignore
        return;
      }
      const most = slot > (lines[i]!.lastSlot ?? Infinity) ? 0 : left[i]!;
      for (let count = most; count >= 0; count--) choose(i + 1, [...counts, count]);
    };
    choose(0, []);
  };
  spread(0, lines.map(({ count }) => count), []); // prettier-ignore
  return best;
}

describe('the programme', () => {
  it('finds in 200 small cases what trying every way finds, and breaks no rule', () => {
    const random = stream(18);
    let possible = 0;
    for (let i = 0; i < 200; i++) {
      const problem = smallCase(random);
      const [best, schedule] = [tried(problem), solved(problem)];
      const found = schedule && { sessions: schedule.sessions.length, last: schedule.sessions.at(-1)?.slot ?? 0 };
      expect(found, JSON.stringify(problem)).toEqual(best);
      if (!schedule) continue;
      possible += 1;
      expect(breachesOf(problem, schedule), JSON.stringify(problem)).toEqual([]);
    }
    expect(possible).toBeGreaterThan(60);
    expect(possible).toBeLessThan(200);
  }, 120_000);

  it('is the same for the same order', () => {
    expect(programmeOf(pots(24, 3))).toBe(programmeOf(pots(24, 3)));
    expect(solved(pots(24, 3))).toEqual(solved(pots(24, 3)));
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
  it('finds a line that comes too late', () => {
    const soon = { ...problem, lines: problem.lines.map((line) => ({ ...line, lastSlot: 1 })) };
    expect(breachesOf(soon, { sessions })).toEqual([{ rule: 'late', of: 'pot' }]);
  });
});
