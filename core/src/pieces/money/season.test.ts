import { describe, expect, it } from 'vitest';
import { defined } from '../../foundation/math/index.js';
import { seasonOf, type SeasonPieces } from './index.js';

const pieces = (month: string, mix: string, more: Partial<SeasonPieces> = {}): SeasonPieces => ({
  month, mix, mouldId: 'pot', mould: 'A pot', casts: 4, broken: 0, seen: 3, good: 2, sold: 1, income: 18, mass: 8000, brokenMass: 0, ...more,
}); // prettier-ignore

const sums = {
  pieces: [pieces('2025-11', 'Mortar'), pieces('2026-02', 'Mortar', { broken: 1, brokenMass: 2000 }), pieces('2026-02', 'Tufa')],
  batches: [
    { month: '2025-11', mix: 'Mortar', volume: 4000, leftover: 400 },
    { month: '2026-02', mix: 'Mortar', volume: 4000, leftover: 0 },
  ],
  spending: [
    { month: '2025-11', material: 'Cement', mass: 2000, cost: 10 },
    { month: '2026-02', material: 'Cement', mass: 1000, cost: 6 },
    { month: '2026-02', material: 'Sand', mass: 5000, cost: 2 },
  ],
  stock: [
    { material: 'Sand', left: 9000, value: 3 },
    { material: 'Cement', left: 5000, value: 30 },
  ],
}; // prettier-ignore

describe('a season', () => {
  const season = seasonOf(sums);

  it('has every month from its first to its last, also those in which nothing happened', () => {
    expect(season.months.map(({ month }) => month)).toEqual(['2025-11', '2025-12', '2026-01', '2026-02']);
    expect(season.months[1]).toMatchObject({ casts: 0, spent: 0, wasted: 0, mass: 0 });
  });

  it('wasted what was left over by volume, and of the rest what broke by mass', () => {
    const [november, , , february] = season.months;
    expect(defined(november).wasted).toBeCloseTo(10 * 0.1, 9);
    expect(defined(february).wasted).toBeCloseTo(8 * (2000 / 16_000), 9);
  });

  it('adds up: months to the whole, materials to what was spent', () => {
    for (const key of ['casts', 'good', 'sold', 'income', 'mass', 'volume', 'spent'] as const)
      expect(season.months.reduce((sum, month) => sum + month[key], 0)).toBeCloseTo(season.total[key], 9);
    expect(season.materials).toEqual([
      { material: 'Cement', mass: 3000, cost: 16 },
      { material: 'Sand', mass: 5000, cost: 2 },
    ]);
    expect(season.mixes).toEqual([
      { mix: 'Mortar', casts: 8, mass: 16_000, volume: 8000 },
      { mix: 'Tufa', casts: 4, mass: 8000, volume: 0 },
    ]);
    expect(season.moulds).toEqual([{ mouldId: 'pot', mould: 'A pot', casts: 12, seen: 9, good: 6 }]);
  });

  it('values what is in store, the dearest first', () => {
    expect(season.stock.map(({ material }) => material)).toEqual(['Cement', 'Sand']);
    expect(season.stockValue).toBe(33);
  });

  it('of which nothing is on record is empty', () => {
    expect(seasonOf({ pieces: [], batches: [], spending: [], stock: [] })).toMatchObject({ months: [], total: { casts: 0, wasted: 0 }, stockValue: 0 }); // prettier-ignore
  });

  it('runs over no more than ten years', () => {
    expect(seasonOf({ ...sums, pieces: [pieces('1999-01', 'Mortar'), pieces('2026-02', 'Mortar')] }).months).toHaveLength(120); // prettier-ignore
  });
});
