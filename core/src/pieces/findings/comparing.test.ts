import { describe, expect, it } from 'vitest';
import { normalPoint, stream } from '../../foundation/math/index.js';
import { chanceBetter, chanceToSay, compareMeans, compareShares, compareWays, findingColumns, dealTrial, judgeTrial, standAmongMany, trialSize, type FindingRecord, type Share } from './index.js'; // prettier-ignore

const share = (good: number, casts: number): Share => ({ good, casts });

describe('two shares', () => {
  it('come to the handbook’s figure: 9 of 10 against 14 of 14 is even so far', () => {
    expect(chanceBetter(share(9, 10), share(14, 14))).toBeCloseTo(0.873, 3);
    expect(compareShares(share(9, 10), share(14, 14))).toMatchObject({ verdict: 'even', better: undefined });
  });

  it('agree with draws from both posteriors', () => {
    const next = stream(3);
    // A beta draw with half-integer parameters: of squared normals.
    const chi = (freedom: number) =>
      Array.from({ length: freedom }, () => normalPoint(next() || 0.5) ** 2).reduce((a, b) => a + b, 0);
    const draw = ({ good, casts }: Share) => {
      const [x, y] = [chi(2 * good + 1), chi(2 * (casts - good) + 1)];
      return x / (x + y);
    };
    for (const [a, b] of [
      [share(3, 8), share(6, 9)],
      [share(10, 11), share(5, 7)],
    ] as const) {
      let better = 0;
      for (let i = 0; i < 20_000; i++) better += Number(draw(b) > draw(a));
      expect(chanceBetter(a, b)).toBeCloseTo(better / 20_000, 1.8);
    }
  });

  it('are one when the sides change, and even when they are alike', () => {
    expect(chanceBetter(share(4, 9), share(7, 8)) + chanceBetter(share(7, 8), share(4, 9))).toBeCloseTo(1, 12);
    expect(chanceBetter(share(7, 9), share(7, 9))).toBeCloseTo(0.5, 12);
  });

  it('are too few below five, and even where neither failed', () => {
    expect(compareShares(share(0, 4), share(20, 20)).verdict).toBe('too-few');
    expect(compareShares(share(5, 5), share(400, 400)).verdict).toBe('even');
    expect(compareShares(share(1, 10), share(10, 10))).toMatchObject({ verdict: 'says', better: 'b' });
  });
});

describe('two means', () => {
  it('say which is smaller when they are far apart, and nothing when they are not', () => {
    expect(compareMeans([5, 5.2, 4.9, 5.1, 5], [4, 4.1, 3.9, 4.2, 4])).toMatchObject({ better: 'b', verdict: 'says' });
    expect(compareMeans([5, 6, 4, 5.5, 4.5], [5, 6.1, 4, 5.4, 4.4])).toMatchObject({
      better: undefined,
      verdict: 'even',
    });
    expect(compareMeans([1, 2], [3, 4, 5, 6, 7]).verdict).toBe('too-few');
    expect(compareMeans([1, 1, 1, 1, 1], [1, 1, 1, 1, 1]).verdict).toBe('even');
  });
});

describe('many comparisons', () => {
  it('stand as Benjamini and Hochberg have it', () => {
    expect(standAmongMany([0.001, 0.09, 0.04, 0.9, 0.05])).toEqual([true, false, true, false, true]);
    expect(standAmongMany([0.2, 0.3])).toEqual([false, false]);
    expect(standAmongMany([])).toEqual([]);
  });

  const record = (id: number, good: boolean, ways: FindingRecord['ways']): FindingRecord => ({
    id: `${id}`, code: '', mouldId: 'm', mixId: 'x', piece: 'pot', at: id, seen: true, under: {}, measured: {}, ways, faults: good ? [] : [{ fault: 'crazing', severity: 'clear' }],
  }); // prettier-ignore

  it('tell what is confounded with what', () => {
    const casts = [
      ...Array.from({ length: 12 }, (_, i) => record(i, i < 5, { cover: 'none', month: '06' })),
      ...Array.from({ length: 12 }, (_, i) => record(20 + i, true, { cover: 'bag', month: '09' })),
    ];
    const { tables, comparisons } = compareWays(findingColumns(casts));
    expect(comparisons).toBe(2);
    expect(tables.find(({ kind }) => kind === 'cover')?.pairs[0]).toMatchObject({
      verdict: 'says', better: 'b', confounded: [{ side: 'a', kind: 'month', way: '06', casts: 12 }],
    }); // prettier-ignore
  });

  it('look at what was measured too, and count that among them', () => {
    const measured = (id: number, cover: string, mass: number, voids?: number) => ({ ...record(id, true, { cover }), measured: { mass, ...(voids !== undefined && { voids }) } }); // prettier-ignore
    const casts = [0, 1, 2, 3, 4, 5].flatMap((i) => [
      measured(i, 'none', i % 2 ? 1.1 + i / 1000 : 0.9 - i / 1000, 0.02),
      measured(20 + i, 'bag', i % 2 ? 1.01 + i / 1000 : 0.99 - i / 1000),
    ]);
    const { tables, comparisons } = compareWays(findingColumns(casts));
    expect(comparisons).toBe(1);
    const [found, ...others] = tables[0]!.measured;
    expect(others).toEqual([]);
    expect(found).toMatchObject({ measure: 'mass', a: { way: 'none', casts: 6 }, better: 'b', verdict: 'says' });
    expect(found?.means[1]).toBeCloseTo(0.0125, 9);
  });

  it('say in at most 5 % and lean in at most 20 % of tables where nothing is so', () => {
    const words = { says: 0, leans: 0, all: 0 };
    for (let seed = 1; seed <= 150; seed++) {
      const next = stream(seed);
      const one = (list: readonly string[]) => list[Math.floor(next() * list.length)]!;
      const casts = Array.from({ length: 80 }, (_, i) => record(i, next() < 0.85, { release: one(['oil', 'wax', 'soap']), cover: one(['bag', 'film']), place: one(['shed', 'cellar']), person: one(['1', '2']) })); // prettier-ignore
      for (const { verdict } of compareWays(findingColumns(casts)).tables.flatMap(({ pairs }) => pairs)) {
        words.all++;
        if (verdict === 'says' || verdict === 'leans') words[verdict]++;
      }
    }
    expect(words.says / words.all).toBeLessThanOrEqual(0.05);
    expect(words.leans / words.all).toBeLessThanOrEqual(0.2);
  });
});

describe('a trial', () => {
  it('of 0.60 against 0.90 wants 23 a side, as the handbook counts it out', () => {
    expect(chanceToSay(22, 0.6, 0.9)).toBeCloseTo(0.789, 3);
    expect(chanceToSay(23, 0.6, 0.9)).toBeCloseTo(0.808, 3);
    expect(trialSize(0.6, 0.9)).toMatchObject({ aSide: 23, enough: true });
  });

  it('counts the same as every outcome one by one', () => {
    const choose = (n: number, k: number): number => (k === 0 ? 1 : (choose(n, k - 1) * (n - k + 1)) / k);
    let all = 0;
    for (let i = 0; i <= 9; i++) for (let j = 0; j <= 9; j++) {
      if (chanceBetter(share(i, 9), share(j, 9)) >= 0.95) all += choose(9, i) * 0.5 ** 9 * choose(9, j) * 0.8 ** j * 0.2 ** (9 - j);
    } // prettier-ignore
    expect(chanceToSay(9, 0.5, 0.8)).toBeCloseTo(all, 12);
  });

  it('that would need more than sixty a side says so', () => {
    expect(trialSize(0.85, 0.9)).toMatchObject({ aSide: 60, enough: false });
    expect(() => trialSize(0.9, 0.6)).toThrow();
  });

  it('takes more to say what nobody expected', () => {
    expect(judgeTrial(10, share(4, 10), share(9, 10))).toMatchObject({ verdict: 'says', better: 'b', complete: true });
    expect(judgeTrial(10, share(9, 10), share(4, 10))).toMatchObject({ verdict: 'leans', better: 'a', complete: true });
    expect(judgeTrial(20, share(4, 10), share(9, 10))).toMatchObject({
      verdict: 'leans',
      better: 'b',
      complete: false,
    });
  });

  it('deals copies by chance, the sides never more than one apart', () => {
    const totals = { a: 0, b: 0 };
    for (let pour = 0; pour < 200; pour++) {
      const sides = dealTrial(1 + (pour % 7), pour, totals);
      const a = sides.filter((side) => side === 'a').length;
      expect(Math.abs(2 * a - sides.length)).toBeLessThanOrEqual(1);
      totals.a += a;
      totals.b += sides.length - a;
      expect(Math.abs(totals.a - totals.b)).toBeLessThanOrEqual(1);
    }
    expect(dealTrial(4, 1, { a: 0, b: 0 })).toEqual(dealTrial(4, 1, { a: 0, b: 0 }));
  });

  it('that is looked at after every cast says wrongly in at most 5 % of trials', () => {
    let said = 0;
    for (let seed = 1; seed <= 400; seed++) {
      const next = stream(seed);
      const sides = { a: { good: 0, casts: 0 }, b: { good: 0, casts: 0 } };
      let answered = false;
      for (let i = 0; i < 40 && !answered; i++) {
        const side = sides[i % 2 ? 'b' : 'a'];
        side.casts++;
        if (next() < 0.8) side.good++;
        answered = judgeTrial(20, sides.a, sides.b).verdict === 'says';
      }
      said += Number(answered);
    }
    expect(said / 400).toBeLessThanOrEqual(0.05);
  });
});
