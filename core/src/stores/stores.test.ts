import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { InputError } from '../units/index.js';
import {
  canVolume,
  inScoops,
  inStore,
  pricePerGram,
  sayScoops,
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
    expect(() => inScoops(100, { ...can, volume: 0 }, 1)).toThrow(/scoop\.volume/);
  });
});

describe('taking from lots', () => {
  it('begins with the oldest and goes on with the next', () => {
    expect(takeFromLots([lot('new', 1000, 9), lot('old', 300, 1)], 500)).toEqual([
      { id: 'old', left: 0 },
      { id: 'new', left: 800 },
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
