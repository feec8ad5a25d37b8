import { english } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import { HOUR } from '../../foundation/units/index.js';
import { plannedLog, calculateSheet } from '../../process/pours/index.js';
import { threePots } from '../../testing/examples.js';
import { repeatPourAdvice, type Life } from './index.js';

const plan = threePots();
const log = plannedLog(plan, calculateSheet(plan));
const cast = (over: Partial<Life> = {}, bubbles?: number): Life => ({
  stage: 'curing',
  pouredAt: 0,
  demouldedAt: 18 * HOUR,
  damage: [],
  weighings: [],
  coats: [],
  ...(bubbles !== undefined && { bubbles }),
  ...over,
});

describe('the same again', () => {
  it('says nothing where nothing was wrong', () => {
    expect(repeatPourAdvice({ plan, log: { ...log, leftover: 300 } }, [cast(), cast({}, 1)])).toEqual([]);
    expect(repeatPourAdvice({ plan }, [])).toEqual([]);
  });

  it('waits longer where corners broke, with how many; a broken base tells of something else', () => {
    const hurt = cast({ damage: [{ spot: 'corner', size: 'chip' }] });
    const [advice] = repeatPourAdvice({ plan, log }, [hurt, cast(), cast({ damage: [{ spot: 'base', size: 'chip' }] })]); // prettier-ignore
    expect(english(advice)).toEqual({
      change: 'Leave them in the mould longer than 18 h.',
      evidence: '1 of 3 broke at the corner on demoulding.',
    });
  });

  it('taps longer after bubbles, and mixes more or less by what was left', () => {
    const [bubbles] = repeatPourAdvice({ plan, log }, [cast({}, 4), cast({}, 1), cast()]);
    expect(english(bubbles!.evidence)).toBe('Many bubbles on 1 of 2 that were looked at.');
    const spare = (over: object) => repeatPourAdvice({ plan, log: { ...log, ...over } }, [])[0]?.spare;
    expect(spare({ short: 200, leftover: 0 })).toBe(0.1);
    expect(spare({ leftover: 900 })).toBe(0.03);
    expect(spare({ leftover: 20 })).toBe(0.08);
    expect(english(repeatPourAdvice({ plan, log: { ...log, grade: 6 } }, [])[0]!.evidence)).toMatch(/1 grade wetter/);
  });
});
