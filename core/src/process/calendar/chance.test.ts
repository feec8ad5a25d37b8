import { describe, expect, it } from 'vitest';
import { DAY, HOUR } from '../../foundation/units/index.js';
import { normalPoint, normalShare } from '../../foundation/math/index.js';
import { dryingHours } from '../sealing/index.js';
import { airCourse, chanceOfEnough, chancesOf, type DrawnLine, type DrawWays } from './index.js';

const POURED = Date.UTC(2026, 5, 1, 19);
const air = (warmer: number) =>
  airCourse(
    Array.from({ length: 200 * 24 }, (_, i) => ({
      at: POURED + i * HOUR,
      temperature: 20 + warmer,
      humidity: 0.5,
      wind: 0,
    })),
  );
const steady: DrawWays = { seed: 7, season: 0, atHand: (at) => at };

const line = (over: Partial<DrawnLine> = {}): DrawnLine => ({
  key: 'pots',
  wanted: 1,
  pours: [{ at: POURED, count: 1 }],
  piece: {
    binderClass: 'portland',
    demouldAge: 24,
    curing: { age: 7 * 24, days: 0 },
    prior: { dry: 4000, loss: 260 },
    tau: 120,
  },
  risk: 0,
  state: 'dry',
  by: POURED + 40 * DAY,
  air,
  ...over,
});
const chance = (one: DrawnLine, ways = steady) => chancesOf([one], ways).lines.get(one.key)!.chance;

describe('the chance that a line is ready', () => {
  it('is that of its drying where nothing else is unsure', () => {
    const { prior, tau } = line().piece;
    for (const z of [-0.5, 0.3, 1]) {
      const by = POURED + (7 * 24 + dryingHours(prior, tau * Math.exp(z))) * HOUR;
      expect(Math.abs(chance(line({ by })) - normalShare(z))).toBeLessThan(0.05);
    }
  });

  it('is that of enough good pieces where they only may break', () => {
    const pots = line({ state: 'demoulded', wanted: 24, pours: [{ at: POURED, count: 26 }], risk: 0.1 });
    expect(Math.abs(chance(pots) - chanceOfEnough(26, 24, 0.9))).toBeLessThan(0.05);
  });

  it('is looked at more closely near the chance that is wanted', () => {
    const { prior, tau } = line().piece;
    const by = POURED + (7 * 24 + dryingHours(prior, tau * Math.exp(normalPoint(0.8)))) * HOUR;
    const found = chancesOf([line({ by })], steady);
    expect(found.draws).toBe(4_000);
    expect(Math.abs(found.order - 0.8)).toBeLessThan(0.025);
    expect(chancesOf([line({ by: POURED })], steady)).toMatchObject({ order: 0, draws: 400 });
  });

  it('hangs together by the season: what is late in a cold one is late for all', () => {
    const by = POURED + 24.5 * HOUR;
    const lines = ['a', 'b', 'c'].map((key) => line({ key, state: 'demoulded', by }));
    const { lines: each, order } = chancesOf(lines, { ...steady, season: 3 });
    expect(order).toBeGreaterThan(0.3);
    expect(order).toBeLessThan(0.9);
    expect(order).toBe(each.get('a')!.chance);
  });

  it('is the same for the same seed, and one that cannot be known is none', () => {
    expect(chancesOf([line()], steady)).toEqual(chancesOf([line()], steady));
    expect(chance(line({ air: () => airCourse([]) }))).toBe(0);
  });
});
