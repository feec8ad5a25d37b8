import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { InputError } from '../../foundation/units/index.js';
import { loadSolver, type Solver } from '../../foundation/solver/index.js';
import { cutLengths, type CutLengths, type LengthWanted, type Stick } from './index.js';

let solve: Solver;
beforeAll(async () => {
  solve = await loadSolver();
});
/** On a slow machine too it has all the time that it takes. */
const cut = (wanted: readonly LengthWanted[], sticks: readonly Stick[], kerf = 3, seconds = 1000) =>
  cutLengths(wanted, sticks, kerf, { solve, seconds, clock: () => Date.now() / 1000 });
const lengths = (...all: number[]): LengthWanted[] => all.map((length, i) => ({ key: `${i}`, length, count: 1 }));
const sticks = (length: number, count = 50): Stick[] => [{ key: 'stick', length, count }];

/** Every stick holds its pieces with the cuts between them, and all pieces are cut, each as often as it is wanted. */
function checkCut(
  { sticks: used }: CutLengths,
  wanted: readonly LengthWanted[],
  offered: readonly Stick[],
  kerf: number,
): void {
  for (const { stick, pieces, left } of used) {
    const all = pieces.flatMap(({ key, count }) =>
      Array.from({ length: count }, () => wanted.find((one) => one.key === key)!.length),
    );
    const room = offered.find(({ key }) => key === stick)!.length;
    expect(all.reduce((a, b) => a + b, 0) + Math.max(0, all.length - 1) * kerf + left).toBeCloseTo(room, 6);
    expect(left).toBeGreaterThanOrEqual(-1e-6);
  }
  for (const { key, count } of wanted)
    expect(
      used
        .flatMap(({ pieces }) => pieces)
        .filter((one) => one.key === key)
        .reduce((a, one) => a + one.count, 0),
    ).toBe(count);
  for (const { key, count } of offered)
    expect(used.filter(({ stick }) => stick === key).length).toBeLessThanOrEqual(count);
}

/** The fewest sticks by looking at every way to share the pieces out. */
function fewest(all: readonly number[], room: number, kerf: number): number {
  let best = all.length;
  const bins: number[] = [];
  const step = (at: number): void => {
    if (bins.length >= best) return;
    if (at === all.length) {
      best = bins.length;
      return;
    }
    for (let i = 0; i < bins.length; i++) {
      if (bins[i]! + kerf + all[at]! > room + 1e-9) continue;
      bins[i]! += kerf + all[at]!;
      step(at + 1);
      bins[i]! -= kerf + all[at]!;
    }
    bins.push(all[at]!);
    step(at + 1);
    bins.pop();
  };
  step(0);
  return best;
}

describe('lengths out of sticks', () => {
  it('are cut from the fewest, whatever the lengths: against every way in two hundred small cases', () => {
    const one = fc.record({
      pieces: fc.array(fc.integer({ min: 80, max: 900 }), { minLength: 1, maxLength: 8 }),
      kerf: fc.constantFrom(0, 3, 5),
    });
    fc.assert(
      fc.property(one, ({ pieces, kerf }) => {
        const wanted = lengths(...pieces);
        const found = cut(wanted, sticks(1000), kerf)!;
        checkCut(found, wanted, sticks(1000), kerf);
        expect(found.sticks).toHaveLength(
          fewest(
            [...pieces].sort((a, b) => b - a),
            1000,
            kerf,
          ),
        );
        expect(found.best).toBe(true);
      }),
      { numRuns: 200, seed: 7 },
    );
  });

  it('count the cut between two pieces, and none after the last', () => {
    expect(cut(lengths(500, 497), sticks(1000))!.sticks).toHaveLength(1);
    expect(cut(lengths(500, 498), sticks(1000))!.sticks).toHaveLength(2);
    expect(cut(lengths(1000), sticks(1000))!.sticks[0]!.left).toBeCloseTo(0, 9);
  });

  it('come out of the cheapest sticks where prices are told, and of no more than there are', () => {
    const offered: Stick[] = [
      { key: 'long', length: 2400, count: 5, price: 9 },
      { key: 'short', length: 1000, count: 2, price: 2 },
    ];
    const wanted = [{ key: 'side', length: 450, count: 6 }];
    const found = cut(wanted, offered)!;
    checkCut(found, wanted, offered, 3);
    expect(found.cost).toBe(11);
    expect(cut([{ key: 'side', length: 900, count: 9 }], sticks(1000, 8))).toBeUndefined();
  });

  it('are cut some way where there is no time to find the best', () => {
    const wanted = lengths(...Array.from({ length: 40 }, (_, i) => 120 + ((i * 137) % 640)));
    const offered: Stick[] = [{ key: 'long', length: 2400, count: 5 }, { key: 'short', length: 1200, count: 30 }]; // prettier-ignore
    const found = cut(wanted, offered, 3, 0)!;
    checkCut(found, wanted, offered, 3);
    expect(found.best).toBe(false);
    expect(found.least).toBeLessThanOrEqual(found.cost);
    expect(cut(wanted, [{ key: 'few', length: 2400, count: 2 }], 3, 0)).toBeUndefined();
  });

  it('forty of them are proven, and the waste is told', { timeout: 300_000 }, () => {
    const wanted = lengths(...Array.from({ length: 40 }, (_, i) => 120 + ((i * 137) % 640)));
    const found = cut(wanted, sticks(2400))!;
    checkCut(found, wanted, sticks(2400), 3);
    expect(found.best).toBe(true);
    expect(found.waste).toBeLessThan(0.12);
  });

  it('are refused where one is longer than any stick, or there are too many', () => {
    expect(() => cut(lengths(1200), sticks(1000))).toThrow(InputError);
    expect(() => cut([{ key: 'peg', length: 20, count: 5000 }], sticks(1000))).toThrow(InputError);
    expect(() => cut(lengths(200), sticks(1000), 50)).toThrow(InputError);
  });
});
