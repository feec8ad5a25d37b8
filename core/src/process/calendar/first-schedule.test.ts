import { describe, expect, it } from 'vitest';
import { stream } from '../../foundation/math/index.js';
import { smallProblem } from '../../testing/every-schedule.js';
import { pots } from '../../testing/pots-to-schedule.js';
import { firstSchedule } from './first-schedule.js';
import { breachesOf, type SchedulingProblem } from './index.js';
import { bucketsFor, patternsOf } from './patterns.js';

const sizes = ({ sessions }: ReturnType<typeof firstSchedule>) =>
  sessions.map(({ slot, poured }) => [slot, poured.reduce((sum, { count }) => sum + count, 0)]);

describe('the first schedule', () => {
  it('breaks no rule but the count of what does not go in, in 300 small cases', () => {
    const random = stream(7);
    let whole = 0;
    for (let i = 0; i < 300; i++) {
      const problem = smallProblem(random);
      const found = firstSchedule(problem);
      const rules = breachesOf(problem, found).map(({ rule }) => rule);
      if (found.left === 0) whole += 1;
      expect(rules.filter((rule) => rule !== 'count')).toEqual([]);
      expect(rules.includes('count')).toBe(found.left > 0);
    }
    expect(whole).toBeGreaterThan(60);
  });

  it('fills each evening as far as it goes, what is wanted first at the head', () => {
    expect(sizes(firstSchedule(pots(24, 3)))).toEqual([0, 2, 4, 6, 8, 10, 12, 14].map((slot) => [slot, 3]));
    const base = pots(3, 3);
    const [pot] = base.lines;
    const lines = [pot!, { ...pot!, key: 'soon', count: 2, lastSlot: 0 }];
    const [copies] = base.shared;
    const shared = [{ ...copies!, uses: lines.map(({ key }) => ({ ...copies!.uses[0]!, line: key })) }];
    const [first] = firstSchedule({ ...base, lines, shared }).sessions;
    expect(first!.poured).toEqual([
      { line: 'soon', count: 2 },
      { line: 'pot', count: 1 },
    ]);
  });

  it('pours nothing that does not fit its real timeline, and keeps what a person put where it is', () => {
    expect(sizes(firstSchedule(pots(4, 4), ({ poured }) => poured[0]!.count <= 1))).toEqual([0, 1, 2, 3].map((slot) => [slot, 1])); // prettier-ignore
    const kept = [{ slot: 3, poured: [{ line: 'pot', count: 2 }] }];
    expect(sizes(firstSchedule({ ...pots(6, 3), kept }))).toContainEqual([3, 2]);
  });

  it('tells what is left over where the evenings do not do', () => {
    expect(firstSchedule(pots(24, 3, 5)).left).toBe(24 - 9);
    expect(firstSchedule({ ...pots(4, 3), slots: [] })).toEqual({ sessions: [], left: 4 });
  });
});

describe('buckets for so many pieces', () => {
  const line = (key: string, volume: number, count = 9) => ({ key, mouldId: key, mixKey: 'grey', count, minutes: 5, volume }); // prettier-ignore
  const mixes = [{ key: 'grey', bucket: 10, capacity: 8000, mostPieces: 4 }];
  const number = (lines: ReturnType<typeof line>[], wanted: readonly number[]) => {
    const problem: Pick<SchedulingProblem, 'lines' | 'mixes'> = { lines, mixes };
    const used = bucketsFor(patternsOf(problem), new Map(wanted.map((count, i) => [i, count])));
    return used.reduce((sum, { buckets }) => sum + buckets, 0);
  };

  it('are as few as they can be: two large and four small ones go into two, not three', () => {
    const lines = [line('large', 5000), line('small', 1500)];
    expect(number(lines, [2, 4])).toBe(2);
    expect(number(lines, [2, 5])).toBe(3);
    expect(number(lines, [0, 0])).toBe(0);
  });

  it('are bounded by the pot life, and several for a piece that is larger than one', () => {
    expect(number([line('tiny', 100)], [9])).toBe(3);
    expect(number([line('trough', 17_000)], [2])).toBe(6);
  });
});
