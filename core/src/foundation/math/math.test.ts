import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bisect, firstPlace, minimumBetween, solve } from './index.js';

describe('halving', () => {
  it('closes in on where something begins to hold, from both sides', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 0.99, noNaN: true }), (edge) => {
        const [low, high] = bisect((x) => x >= edge, 0, 1, { width: 1e-6 });
        expect(low).toBeLessThan(edge);
        expect(high).toBeGreaterThanOrEqual(edge);
        expect(high - low).toBeLessThanOrEqual(1e-6);
      }),
    );
  });

  it('halves as often as it is told', () => {
    const [low, high] = bisect((x) => x > 0.3, 0, 1, { halvings: 5 });
    expect(high - low).toBe(1 / 32);
  });

  it('finds the first place as a search from the left does', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 50 })), fc.integer({ min: 0, max: 50 }), (given, from) => {
        const rising = [...given].sort((a, b) => a - b);
        const found = rising.findIndex((one) => one >= from);
        expect(firstPlace(rising.length, (i) => rising[i]! >= from)).toBe(found === -1 ? rising.length : found);
      }),
    );
  });
});

describe('equations', () => {
  const row = fc.array(fc.double({ min: -9, max: 9, noNaN: true }), { minLength: 3, maxLength: 3 });

  it('are solved: what was put in comes out', () => {
    fc.assert(
      fc.property(fc.array(row, { minLength: 3, maxLength: 3 }), row, (off, x) => {
        // Heavy on the diagonal, so that there is one answer.
        const matrix = off.map((one, i) => one.map((n, j) => (i === j ? n + 40 : n)));
        const right = matrix.map((one) => one.reduce((sum, n, j) => sum + n * x[j]!, 0));
        solve(matrix, right)!.forEach((n, i) => expect(n).toBeCloseTo(x[i]!, 8));
      }),
    );
  });

  it('that have no one answer are told', () => {
    expect(
      solve(
        [
          [1, 2],
          [2, 4],
        ],
        [1, 2],
      ),
    ).toBeUndefined();
  });
});

it('the least of a valley is found, at its ends as well', () => {
  expect(minimumBetween((x) => (x - 2) ** 2, 0, 5, 60)).toBeCloseTo(2, 7);
  expect(minimumBetween((x) => x, 1, 5, 40)).toBe(1);
});
