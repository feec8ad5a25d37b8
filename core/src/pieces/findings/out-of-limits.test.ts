import { describe, expect, it } from 'vitest';
import { defined } from '../../foundation/math/index.js';
import { DAY } from '../../foundation/units/index.js';
import { outLately, watchCasts, type FindingRecord } from './index.js';

const NOW = 400 * DAY;
/** A cast of so many days ago that weighed so much of what was expected, in such air. */
const cast = (daysAgo: number, mass: number, evaporation = 0.1): FindingRecord => ({
  id: `cast ${daysAgo}`, code: `${daysAgo}a`, mouldId: 'pot', mixId: 'mortar', piece: 'pot', at: NOW - daysAgo * DAY, seen: true, faults: [],
  under: { evaporation: { value: evaporation, most: 0.5 }, water: { value: 1, least: 0.9, most: 1.1 } }, ways: {}, measured: { mass },
}); // prettier-ignore
const usual = [1, 1.01, 0.99, 1, 1.01, 0.99, 1, 1.01, 0.99, 1].map((mass, i) => cast(100 - i, mass));

describe('casts of late that are out of their limits', () => {
  it('are told with what most likely made them so', () => {
    const { lately } = watchCasts([...usual, cast(5, 0.9, 0.9)], NOW);
    expect(lately).toEqual([{ id: 'cast 5', code: '5a', value: 0.9, usual: expect.closeTo(1, 6), cause: 'dried-early' }]); // prettier-ignore
  });

  it('have no cause where nothing on record speaks for one', () => {
    const [only] = watchCasts([...usual, cast(5, 1.12)], NOW).lately;
    expect(defined(only).cause).toBeUndefined();
    expect(defined(only).value).toBe(1.12);
  });

  it('are the newest first, and none of long ago', () => {
    const { lately, masses } = watchCasts([...usual, cast(40, 0.85), cast(9, 0.8), cast(2, 0.7)], NOW);
    expect(masses.filter(({ out }) => out).length).toBeGreaterThan(lately.length);
    expect(lately.map(({ code }) => code)).toEqual(['2a', '9a']);
    expect(outLately([], usual, NOW)).toEqual([]);
  });
});
