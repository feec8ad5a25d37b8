import { describe, expect, it } from 'vitest';
import { InputError } from '../../foundation/units/index.js';
import { chanceOfEnough, leastPoured } from './index.js';

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
