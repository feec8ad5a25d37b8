import { describe, expect, it } from 'vitest';
import {
  betaPoint,
  betaShare,
  fitLogistic,
  logisticTable,
  logBeta,
  logGamma,
  median,
  robustSpread,
  stream,
  studentShare,
} from './index.js';

describe('the beta distribution', () => {
  it('has factorials and the root of π in its gamma function', () => {
    expect(logGamma(5)).toBeCloseTo(Math.log(24), 12);
    expect(logGamma(0.5)).toBeCloseTo(Math.log(Math.sqrt(Math.PI)), 12);
    expect(logGamma(0.25)).toBeCloseTo(1.2880225246980774, 11);
    expect(Math.exp(logBeta(2, 3))).toBeCloseTo(1 / 12, 14);
  });

  it('has the shares of binomial tails at whole parameters', () => {
    // P(X ≥ 3 of 7 at 0.4) = I_0.4(3, 5)
    const tail = [
      35 * 0.4 ** 3 * 0.6 ** 4,
      35 * 0.4 ** 4 * 0.6 ** 3,
      21 * 0.4 ** 5 * 0.6 ** 2,
      7 * 0.4 ** 6 * 0.6,
      0.4 ** 7,
    ];
    expect(betaShare(0.4, 3, 5)).toBeCloseTo(
      tail.reduce((a, b) => a + b),
      13,
    );
  });

  it('is the arc sine law at a half and a half', () => {
    for (const x of [0.001, 0.2, 0.5, 0.99]) expect(betaShare(x, 0.5, 0.5)).toBeCloseTo((2 / Math.PI) * Math.asin(Math.sqrt(x)), 12); // prettier-ignore
    expect([betaShare(0, 2, 2), betaShare(1, 2, 2)]).toEqual([0, 1]);
  });

  it('is found back from a share', () => {
    for (const p of [0.025, 0.5, 0.975]) expect(betaShare(betaPoint(p, 9.5, 1.5), 9.5, 1.5)).toBeCloseTo(p, 9);
  });
});

describe('Student’s t', () => {
  it('has the tabled points', () => {
    expect(studentShare(2.228, 10)).toBeCloseTo(0.975, 4);
    expect(studentShare(-6.314, 1)).toBeCloseTo(0.05, 4);
    expect(studentShare(0, 3)).toBe(0.5);
    expect(studentShare(1.96, 1e6)).toBeCloseTo(0.975, 4);
  });
});

describe('the middle of values', () => {
  it('is between the two middle ones of an even number', () => {
    expect(median([3, 1, 2])).toBe(2);
    expect(median([4, 1, 2, 3])).toBe(2.5);
    expect(median([])).toBeNaN();
  });

  it('has a spread that one far value does not move', () => {
    expect(robustSpread([1, 2, 3, 4, 5])).toBeCloseTo(1.4826, 10);
    expect(robustSpread([1, 2, 3, 4, 500])).toBeCloseTo(1.4826, 10);
  });
});

describe('logistic regression', () => {
  it('finds the weights that made many cases', () => {
    const next = stream(7);
    const cases = Array.from({ length: 4000 }, () => {
      const under = [next() * 4 - 2, next() * 4 - 2];
      const share = 1 / (1 + Math.exp(-(-0.5 + 1.2 * under[0]! - 0.7 * under[1]!)));
      return { happened: next() < share ? (1 as const) : (0 as const), under };
    });
    const { constant, weights } = fitLogistic(logisticTable(cases));
    expect(constant).toBeCloseTo(-0.5, 0);
    expect(weights[0]).toBeGreaterThan(1.05);
    expect(weights[0]).toBeLessThan(1.35);
    expect(weights[1]).toBeGreaterThan(-0.85);
    expect(weights[1]).toBeLessThan(-0.55);
  });

  it('stays bounded where one side is perfectly told apart', () => {
    const cases = Array.from({ length: 30 }, (_, i) => ({ happened: i < 10 ? (1 as const) : (0 as const), under: [i < 10 ? 2 : -1] })); // prettier-ignore
    const [weight] = fitLogistic(logisticTable(cases)).weights;
    expect(weight).toBeGreaterThan(0.5);
    expect(weight).toBeLessThan(4);
  });

  it('without a case is as it is of the others alone, wherever it begins', () => {
    const next = stream(11);
    const cases = Array.from({ length: 60 }, () => ({ happened: next() < 0.4 ? (1 as const) : (0 as const), under: [next(), next() < 0.5 ? 0 : next()] })); // prettier-ignore
    const table = logisticTable(cases);
    const alone = fitLogistic(logisticTable(cases.filter((_, i) => i !== 17)));
    const without = fitLogistic(table, { from: fitLogistic(table), without: 17 });
    expect(without.constant).toBeCloseTo(alone.constant, 9);
    without.weights.forEach((weight, i) => expect(weight).toBeCloseTo(alone.weights[i]!, 9));
    expect(without.constant).not.toBeCloseTo(fitLogistic(table).constant, 6);
  });

  it('sits where its slope is zero', () => {
    const cases = [[1, 0.3], [0, -1], [1, 2], [0, 1.5], [0, -0.2]].map(([happened, x]) => ({ happened: happened as 0 | 1, under: [x!] })); // prettier-ignore
    const { constant, weights } = fitLogistic(logisticTable(cases));
    const slope = cases.reduce((sum, { happened, under }) => sum + under[0]! * (happened - 1 / (1 + Math.exp(-(constant + weights[0]! * under[0]!)))), -weights[0]!); // prettier-ignore
    expect(slope).toBeCloseTo(0, 8);
  });
});
