import { describe, expect, it } from 'vitest';
import { damageByCycles, goodByMonth, individualsChart, shareLimits } from './index.js';

describe('watching', () => {
  const steady = [1, 1.02, 0.98, 1.01, 0.99, 1, 1.02, 0.98, 1.01];

  it('has no limits before eight casts, and finds the one that is out by those before it', () => {
    const chart = individualsChart([...steady, 1.3]);
    expect(chart.slice(0, 8).every(({ limits }) => limits === undefined)).toBe(true);
    expect(chart[8]?.out).toBe(false);
    expect(chart[9]).toMatchObject({ value: 1.3, out: true });
  });

  it('sets its limits by the handbook', () => {
    const [, , , , , , , , ninth] = individualsChart(steady);
    const ranges = [0.02, 0.04, 0.03, 0.02, 0.01, 0.02, 0.04];
    const reach = 2.66 * (1 + 4 / 8) * (ranges.reduce((a, b) => a + b) / 7);
    expect(ninth?.limits?.[2]).toBeCloseTo(1 + reach, 10);
    expect(ninth?.limits?.[0]).toBeCloseTo(1 - reach, 10);
  });

  it('tells a month that does not go with those before it', () => {
    const casts = (month: string, good: number, bad: number) => Array.from({ length: good + bad }, (_, i) => ({ month, good: i < good })); // prettier-ignore
    const months = goodByMonth([...casts('2026-04', 9, 1), ...casts('2026-05', 10, 1), ...casts('2026-06', 3, 7)]);
    expect(months.map(({ out }) => out)).toEqual([false, false, true]);
    expect(months[2]).toMatchObject({ good: 3, casts: 10 });
    expect(goodByMonth([])).toEqual([]);
  });

  it('has exact limits of a share', () => {
    const [low, high] = shareLimits(8, 10);
    expect(low).toBeCloseTo(0.4439, 4);
    expect(high).toBeCloseTo(0.9748, 4);
    expect(shareLimits(0, 5)[0]).toBe(0);
    expect(shareLimits(5, 5)[1]).toBe(1);
  });

  it('puts the damage of a copy beside how often it was used', () => {
    const casts = Array.from({ length: 32 }, (_, i) => ({ cycles: i, hurt: i >= 24 }));
    const stretches = damageByCycles(casts);
    expect(stretches.map(({ hurt }) => hurt)).toEqual([0, 0, 0, 8]);
    expect(stretches.map(({ casts: n }) => n)).toEqual([8, 8, 8, 8]);
    expect(damageByCycles([])).toEqual([]);
  });
});
