import { describe, expect, it } from 'vitest';
import { plannedLog, reckonSheet } from '../pours/index.js';
import { threePots } from '../testing/examples.js';
import { againAdvice, type Life } from './index.js';

const HOUR = 3_600_000;
const plan = threePots();
const log = plannedLog(plan, reckonSheet(plan));
const cast = (over: Partial<Life> = {}, bubbles?: number): Life => ({
  stage: 'damp',
  pouredAt: 0,
  liftedAt: 18 * HOUR,
  damage: [],
  weighings: [],
  coats: [],
  ...(bubbles !== undefined && { bubbles }),
  ...over,
});

describe('the same again', () => {
  it('says nothing where nothing was wrong', () => {
    expect(againAdvice({ plan, log: { ...log, leftover: 300 } }, [cast(), cast({}, 1)])).toEqual([]);
    expect(againAdvice({ plan }, [])).toEqual([]);
  });

  it('waits longer where corners broke, with how many; a broken base tells of something else', () => {
    const hurt = cast({ damage: [{ spot: 'corner', size: 'chip' }] });
    const [advice] = againAdvice({ plan, log }, [hurt, cast(), cast({ damage: [{ spot: 'base', size: 'chip' }] })]); // prettier-ignore
    expect(advice).toEqual({
      change: 'Leave them in the mould longer than 18 h.',
      evidence: '1 of 3 broke at the corner on lift-out.',
    });
  });

  it('taps longer after bubbles, and mixes more or less by what was left', () => {
    const [bubbles] = againAdvice({ plan, log }, [cast({}, 4), cast({}, 1), cast()]);
    expect(bubbles!.evidence).toBe('Many bubbles on 1 of 2 that were looked at.');
    const spare = (over: object) => againAdvice({ plan, log: { ...log, ...over } }, [])[0]?.spare;
    expect(spare({ short: 200, leftover: 0 })).toBe(0.1);
    expect(spare({ leftover: 900 })).toBe(0.03);
    expect(spare({ leftover: 20 })).toBe(0.08);
    expect(againAdvice({ plan, log: { ...log, grade: 6 } }, [])[0]!.evidence).toMatch(/1 grade wetter/);
  });
});
