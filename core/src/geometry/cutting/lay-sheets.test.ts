import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { InputError } from '../../foundation/units/index.js';
import { layoutBreaches } from '../../testing/laid-sheets.js';
import type { PlanPoint } from '../solids/index.js';
import { laySheets, type OutlineWanted, type Sheet, type SheetLayout } from './index.js';

const box = (length: number, width: number): PlanPoint[] => [[0, 0], [length, 0], [length, width], [0, width]]; // prettier-ignore
const part = (key: string, outline: readonly PlanPoint[], count = 1, grain = false): OutlineWanted => ({ key, outline, count, grain }); // prettier-ignore
const sheet = (length: number, width: number, count = 10, more: Partial<Sheet> = {}): Sheet => ({ key: `${length}`, length, width, count, ...more }); // prettier-ignore
const L: PlanPoint[] = [[0, 0], [300, 0], [300, 100], [100, 100], [100, 300], [0, 300]]; // prettier-ignore

/** Lays by so many tries; what it says is what the checker finds. */
function lay(wanted: readonly OutlineWanted[], sheets: readonly Sheet[], { kerf = 3, saw = false, tries = 30 } = {}): SheetLayout | undefined {
  const laid = laySheets(wanted, sheets, { kerf, saw, seed: 1, seconds: 60, clock: () => Date.now() / 1000, tries });
  if (laid) expect(layoutBreaches(laid, wanted, sheets, kerf)).toEqual([]);
  return laid;
} // prettier-ignore

describe('parts on sheets', () => {
  it('lie beside each other with a cut between', () => {
    const laid = lay([part('A', box(600, 400), 4)], [sheet(1203, 803)]);
    expect(laid).toMatchObject({ sheets: [{ placed: [{}, {}, {}, {}] }], fewest: true });
    expect(laid!.waste).toBeCloseTo(1 - (4 * 600 * 400) / (1203 * 803), 4);
    const one = lay([part('A', box(600, 400))], [sheet(2000, 400)])!;
    expect([one.left, one.waste]).toEqual([1400, 0]);
    expect(lay([part('A', box(600, 400), 4)], [sheet(1202, 802)])!.sheets).toHaveLength(2);
  });

  it('are put into the bends of others', () => {
    // Two of them make a rectangle with one square left at each end.
    expect(lay([part('L', L, 2)], [sheet(404, 303, 1)])).toBeDefined();
  });

  it('are turned by quarters, those with a grain over end alone', () => {
    expect(lay([part('A', box(300, 80))], [sheet(100, 400)])!.sheets[0]!.placed[0]!.turn % 2).toBe(1);
    expect(() => lay([part('A', box(300, 80), 1, true)], [sheet(100, 400)])).toThrow(InputError);
  });

  it('take the cheapest sheets, and no more than there are', () => {
    const sheets = [sheet(1000, 500, 1, { price: 4 }), sheet(2000, 500, 5, { price: 20 })];
    const laid = lay([part('A', box(480, 480), 4)], sheets)!;
    expect(laid.sheets.map((one) => one.sheet)).toEqual(['1000', '2000']);
    expect(laid.cost).toBe(24);
    expect(lay([part('A', box(480, 480), 4)], [sheet(500, 500, 3)])).toBeUndefined();
  });

  it('go right across each sheet where they are sawn on a table', () => {
    const wanted = [part('A', box(500, 300), 5), part('B', box(240, 180), 9), part('C', box(90, 700), 3)];
    const laid = lay(wanted, [sheet(1220, 1220)], { saw: true })!;
    for (const { placed } of laid.sheets)
      expect(cutAcross(placed.map(({ key, turn, x, y }) => {
        const { outline } = wanted.find((one) => one.key === key)!;
        const [w, h] = turn % 2 === 0 ? [outline[2]![0], outline[2]![1]] : [outline[2]![1], outline[2]![0]];
        return turn === 1 ? { x: x - w, y, w, h } : { x, y, w, h };
      }))).toBe(true); // prettier-ignore
  });

  it('are laid better the longer it is looked for, and the same each time', () => {
    const wanted = [part('A', box(410, 290), 5), part('L', L, 4), part('T', [[0, 0], [260, 0], [130, 240]], 7)]; // prettier-ignore
    const sheets = [sheet(1220, 610)];
    const heard: SheetLayout[] = [];
    const ways = { kerf: 3, saw: false, seed: 7, seconds: 60, clock: () => Date.now() / 1000, tries: 60 };
    const laid = laySheets(wanted, sheets, { ...ways, onBetter: (one) => heard.push(one) })!;
    for (const one of heard) expect(layoutBreaches(one, wanted, sheets, 3)).toEqual([]);
    expect(laid.cost).toBeLessThanOrEqual(heard[0]!.cost);
    expect(laySheets(wanted, sheets, ways)).toEqual(laid);
  });

  it('of any shape never overlap and never leave their sheets', () => {
    const size = fc.integer({ min: 30, max: 400 });
    const star = fc.array(fc.integer({ min: 40, max: 180 }), { minLength: 5, maxLength: 11 }).map((radii) =>
      radii.map((r, i): PlanPoint => [r * Math.cos((2 * Math.PI * i) / radii.length), r * Math.sin((2 * Math.PI * i) / radii.length)])); // prettier-ignore
    const outline = fc.oneof(fc.tuple(size, size).map(([l, w]) => box(l, w)), star);
    const parts = fc.array(fc.tuple(outline, fc.integer({ min: 1, max: 3 }), fc.boolean()), { minLength: 1, maxLength: 6 });
    fc.assert(
      fc.property(parts, fc.constantFrom(0, 3, 8), (list, kerf) => {
        const wanted = list.map(([shape, count, grain], i) => part(`${i}`, shape, count, grain));
        expect(lay(wanted, [sheet(900, 600, 30)], { kerf, tries: 3 })).toBeDefined();
      }),
      { numRuns: 60 },
    );
  }); // prettier-ignore

  it('are refused by name where none of the sheets is large enough, or the saw is none', () => {
    const refused = (wanted: readonly OutlineWanted[], kerf = 3) => {
      try {
        lay(wanted, [sheet(1000, 500)], { kerf });
        return [];
      } catch (error) {
        return (error as InputError).issues.map(({ field }) => field);
      }
    };
    expect(refused([part('A', box(10, 10)), part('B', box(1200, 10))])).toEqual(['parts.1']);
    expect(refused([part('A', box(10, 10), 5000)])).toEqual(['parts']);
    expect(refused([part('A', box(10, 10))], 50)).toEqual(['kerf']);
    expect(refused([part('A', box(10, NaN))])).toEqual(['parts.0.outline']);
  });
});

interface Box {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
}
/** Whether boxes can be taken apart by cuts that go right across. */
function cutAcross(boxes: readonly Box[]): boolean {
  if (boxes.length <= 1) return true;
  for (const [at, size] of [
    ['x', 'w'],
    ['y', 'h'],
  ] as const)
    // prettier-ignore
    for (const cut of boxes.map((one) => one[at] + one[size])) {
      const before = boxes.filter((one) => one[at] + one[size] <= cut + 1e-6);
      const after = boxes.filter((one) => one[at] >= cut - 1e-6);
      if (before.length + after.length === boxes.length && after.length > 0) return cutAcross(before) && cutAcross(after);
    }
  return false;
}
