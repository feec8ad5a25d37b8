import { describe, expect, it } from 'vitest';
import { HOUR } from '../../foundation/units/index.js';
import { calendarWorkshop, wantedPots } from '../../testing/calendar-workshop.js';
import { MONDAY } from '../../testing/pots-to-schedule.js';
import { fitsSlot, sessionBench, sessionChoices, usualSetup } from './index.js';
import { workOf } from './line-work.js';

const sources = calendarWorkshop();
const ways = { temperature: 18 };
const poured = (count: number) => [{ line: 'pots', count }];
const stepsOf = (count: number) =>
  sessionBench(sessionChoices(poured(count), [wantedPots()], ways, sources.pour.mixes)!, sources.pour).steps;
const slot = (minutes: number) => ({ at: MONDAY + 19 * HOUR, minutes });
const always = (at: number) => at;

describe('a session as a pour', () => {
  it('pours its lines, each in its tint and for its order, with as many hands as there are', () => {
    const lines = [
      wantedPots(),
      wantedPots({ id: 'red', tintId: 'brick' }),
      wantedPots({ id: 'other', mixId: 'face' }),
    ];
    const counts = [
      { line: 'pots', count: 2 },
      { line: 'red', count: 1 },
      { line: 'other', count: 1 },
      { line: 'gone', count: 3 },
    ];
    const choices = sessionChoices(counts, lines, { temperature: 12, people: 2 }, sources.pour.mixes);
    expect(choices).toMatchObject({ mixId: 'grey', grade: 5, temperature: 12, people: 2 });
    expect(choices!.items).toEqual([
      { mouldId: 'pot', count: 2, orderLine: 'pots' },
      {
        mouldId: 'pot',
        count: 1,
        orderLine: 'red',
        colouring: { kind: 'solid', parts: [{ tint: 'brick', share: 1 }] },
      },
      { mouldId: 'pot', count: 1, orderLine: 'other', mixId: 'face' },
    ]);
    expect(sessionChoices([{ line: 'pots', count: 0 }], lines, ways, [])).toBeUndefined();
  });

  it('takes what its steps take, and its setting up and cleaning', () => {
    const long = (count: number, minutes: number) => fitsSlot(stepsOf(count), slot(minutes), usualSetup, always);
    const least = (count: number) => Array.from({ length: 300 }, (_, i) => i).find((minutes) => long(count, minutes))!;
    expect(least(1)).toBeGreaterThan(45);
    expect(least(4) - least(3)).toBeGreaterThanOrEqual(3);
    const more = (setUp: number) => fitsSlot(stepsOf(1), slot(least(1)), { ...usualSetup, setUp }, always);
    expect([more(20), more(21)]).toEqual([true, false]);
  });

  it('takes of one piece what the steps beside the bucket and the session take', () => {
    const { minutes, mix, volume } = workOf(wantedPots(), sources, 18);
    expect(volume).toBeGreaterThan(1500);
    expect(minutes).toBeGreaterThan(4);
    expect(minutes).toBeLessThan(15);
    // Two thirds of the bucket, less what stays in it.
    expect(mix.capacity).toBeCloseTo((14_000 * 2) / 3 / 1.05, 3);
    expect(mix.mostPieces).toBeGreaterThanOrEqual(4);
    expect(mix.bucket).toBeGreaterThan(5);
  });

  it('fits only where somebody is at hand for a face that is finished after it', () => {
    const slab = { ...sources.pour.moulds[0]!, piece: 'slab' as const, shape: { outer: { kind: 'rect-frustum' as const, bottomLength: 300, bottomWidth: 300, topLength: 300, topWidth: 300, height: 40, cornerRadius: 0 }, cores: [], inserts: [] } }; // prettier-ignore
    const pour = { ...sources.pour, moulds: [slab] };
    const { steps } = sessionBench(sessionChoices(poured(1), [wantedPots()], ways, pour.mixes)!, pour);
    expect(steps.some(({ window }) => window)).toBe(true);
    expect(fitsSlot(steps, slot(90), usualSetup, always)).toBe(true);
    expect(fitsSlot(steps, slot(90), usualSetup, (at) => Math.max(at, MONDAY + 36 * HOUR))).toBe(false);
    expect(fitsSlot(steps, slot(90), usualSetup, () => undefined)).toBe(false);
  });
});
