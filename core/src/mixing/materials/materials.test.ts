import fc from 'fast-check';
import { english, refusal } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import { InputError } from '../../foundation/units/index.js';
import {
  bulkByWeighing,
  canVolume,
  inScoops,
  inStore,
  lotInUse,
  lotMonths,
  pricePerGram,
  sayScoops,
  scoopAs,
  scoopByWater,
  shoppingList,
  shortagesOf,
  takeFromLots,
  type Lot,
  type ScoopStep,
} from './index.js';

const can = { id: 'can', name: 'the can', volume: 400 };
const lot = (id: string, left: number, boughtAt: number) => ({ id, left, boughtAt });
const bought = (over: Partial<Lot>): Lot => ({
  materialId: 'sand',
  bought: 25000,
  left: 25000,
  price: 5,
  boughtAt: 0,
  ...over,
});

describe('scoops', () => {
  it.each([
    [7.5, '7½'],
    [0.75, '¾'],
    [12, '12'],
    [0.25, '¼'],
    [3.25, '3¼'],
  ])('%d are said as %s', (count, said) => expect(sayScoops(count)).toBe(said));

  it('round to within half a step of what is wanted, and are never none', () => {
    const step = fc.constantFrom<ScoopStep>(1, 0.5, 0.25);
    fc.assert(
      fc.property(fc.double({ min: 1, max: 40000, noNaN: true }), step, (volume, by) => {
        const { count, exact } = inScoops(volume, can, by);
        expect(count).toBeGreaterThan(0);
        expect(Math.abs(count - exact)).toBeLessThanOrEqual(exact < by ? by : by / 2 + 1e-9);
        expect((count / by) % 1).toBeCloseTo(0, 9);
      }),
    );
    expect(inScoops(0, can, 1).count).toBe(0);
  });

  it('hold what their sizes say; a can of no size is refused by field', () => {
    expect(canVolume(80, 100)).toBeCloseTo(502.65, 2);
    expect(() => canVolume(0, 100)).toThrow(InputError);
    expect(refusal(() => inScoops(100, { ...can, volume: 0 }, 1))).toMatch(/scoop\.volume/);
  });
});

describe('a scoop on the scale', () => {
  it('tells its volume by water, and a material’s loose density by what it holds of it', () => {
    expect(scoopByWater(412).value).toBe(412);
    expect(english(bulkByWeighing(1280, 2, can))).toMatchObject({
      value: 1.6,
      unit: 'kg/L',
      basis: { kind: 'measured' },
    });
    expect(refusal(() => scoopByWater(0))).toMatch(/mass/);
    expect(refusal(() => bulkByWeighing(1280, 0, can))).toMatch(/scoops/);
    expect(refusal(() => bulkByWeighing(90000, 1, can))).toMatch(/loose density/);
  });
});

describe('a heaped scoop', () => {
  it('holds what was measured of it, and where that was not, what it holds level', () => {
    expect(scoopAs({ ...can, heaped: 520 }, true)).toEqual({
      id: 'can',
      name: 'the can, heaped',
      volume: 520,
    });
    expect(scoopAs({ ...can, heaped: 520 })).toEqual(can);
    expect(scoopAs(can, true)).toEqual(can);
  });
});

describe('the age of a lot', () => {
  const month = 30.4375 * 24 * 3_600_000;
  it('runs from its opening, or from its purchase where that was not noted', () => {
    expect(lotMonths(bought({ boughtAt: 0 }), 6 * month)).toBeCloseTo(6, 9);
    expect(lotMonths(bought({ boughtAt: 0, openedAt: 5 * month }), 6 * month)).toBeCloseTo(1, 9);
    expect(lotMonths(bought({ boughtAt: month }), 0)).toBe(0);
  });
  it('counts for the lot in use: the oldest sound one that holds some', () => {
    const lumpy = bought({ boughtAt: 1, lumpy: true });
    const empty = bought({ boughtAt: 2, left: 0 });
    const sound = bought({ boughtAt: 3 });
    expect(lotInUse('sand', [bought({ boughtAt: 4 }), sound, empty, lumpy])).toBe(sound);
    expect(lotInUse('sand', [lumpy, empty])).toBeUndefined();
    expect(inStore('sand', [lumpy, sound])).toBe(25000);
  });
});

describe('what to buy', () => {
  const wanted = [{ materialId: 'sand', name: 'Sand', mass: 61000 }];
  it('is what is missing, in whole bags as they were bought last, with their price', () => {
    const lots = [
      bought({ left: 1000, price: 9, boughtAt: 1 }),
      bought({ bought: 40000, left: 0, bags: 2, price: 10, boughtAt: 2 }),
    ];
    const short = shortagesOf(wanted, lots);
    expect(short).toEqual([{ materialId: 'sand', name: 'Sand', missing: 60000 }]);
    expect(shoppingList(short, lots)).toEqual([{ ...short[0], bags: 3, bag: 20000, cost: 15 }]);
  });
  it('that was never bought has no bag and no price; what is there is not on the list', () => {
    expect(shoppingList(shortagesOf(wanted, []), [])).toEqual([{ materialId: 'sand', name: 'Sand', missing: 61000 }]);
    expect(shortagesOf(wanted, [bought({ bought: 90000, left: 90000 })])).toEqual([]);
  });
});

describe('taking from lots', () => {
  it('begins with the oldest and goes on with the next', () => {
    expect(takeFromLots([lot('new', 1000, 9), lot('old', 300, 1)], 500)).toEqual([
      { id: 'old', left: 0 },
      { id: 'new', left: 800 },
    ]);
  });
  it('leaves lumpy ones alone', () => {
    expect(takeFromLots([{ ...lot('lumpy', 900, 1), lumpy: true }, lot('sound', 900, 2)], 500)).toEqual([
      { id: 'sound', left: 400 },
    ]);
  });
  it('takes exactly what is wanted, as far as there is any, and never below nothing', () => {
    const lots = fc.array(
      fc.record({ left: fc.integer({ min: 0, max: 9000 }), boughtAt: fc.integer({ min: 0, max: 99 }) }),
      { maxLength: 6 },
    );
    fc.assert(
      fc.property(lots, fc.integer({ min: 0, max: 30000 }), (given, wanted) => {
        const all = given.map((one, i) => ({ ...one, id: String(i) }));
        const touched = takeFromLots(all, wanted);
        const before = all.reduce((sum, { left }) => sum + left, 0);
        const after = all.reduce((sum, { id, left }) => sum + (touched.find((one) => one.id === id)?.left ?? left), 0);
        expect(before - after).toBe(Math.min(before, wanted));
        expect(touched.every(({ left }) => left >= 0)).toBe(true);
      }),
    );
  });
});

describe('price', () => {
  it('is that of the oldest lot which still holds some, else of the newest', () => {
    const empty = bought({ left: 0, price: 5, boughtAt: 1 });
    const open = bought({ left: 10, price: 10, boughtAt: 2 });
    const unopened = bought({ price: 20, boughtAt: 3 });
    expect(pricePerGram('sand', [unopened, empty, open])).toBeCloseTo(10 / 25000, 12);
    expect(pricePerGram('sand', [empty, { ...open, left: 0 }])).toBeCloseTo(10 / 25000, 12);
    expect(pricePerGram('gravel', [open])).toBeUndefined();
    expect(inStore('sand', [empty, open, unopened])).toBe(25010);
  });
});
