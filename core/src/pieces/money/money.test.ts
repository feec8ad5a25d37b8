import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { InputError } from '../../foundation/units/index.js';
import { gainOfCopy, lotCost, pieceCost, priceFor, sending, type PieceTakes } from './index.js';
import { goodShare } from './good-share.js';
import { wearOf } from './mould-wear.js';

const takes: PieceTakes = { mix: 2.4, release: 0.1, minutes: 12, laterMinutes: 6, sealer: 0.8, fitting: 0.3, packing: 0.9, rate: 15, good: 18, casts: 20, mould: { price: 30, lasts: 100, wornOut: 0, cycles: 0 } }; // prettier-ignore

describe('what a piece costs', () => {
  it('is what it takes up to its demoulding over the share of good ones, and what comes after', () => {
    const { cost, goodShare: share, materials } = pieceCost(takes);
    const before = 2.4 + 0.1 + 0.3 + 12 * 0.25;
    expect(share).toBeCloseTo(22.5 / 25, 12);
    expect(cost.value).toBeCloseTo(before / 0.9 + 0.8 + 0.3 + 0.9 + 6 * 0.25, 10);
    expect(materials).toBeCloseTo(2.5 / 0.9 + 2, 10);
    expect(cost.working.at(-1)?.value).toBe(cost.value);
  });

  it('is the sum of its parts, whatever it takes', () => {
    const amount = fc.double({ min: 0, max: 1000, noNaN: true });
    fc.assert(
      fc.property(fc.record({ mix: amount, release: amount, minutes: amount, laterMinutes: amount, sealer: amount, fitting: amount, packing: amount, rate: amount, good: fc.nat(50) }), (any) => {
        const { cost, parts } = pieceCost({ ...any, casts: 50 });
        expect(parts.reduce((sum, part) => sum + part.cost, 0)).toBeCloseTo(cost.value, 6);
        expect(parts.every((part) => part.cost > 0)).toBe(true);
      }),
    );
  }); // prettier-ignore

  it('counts bad ones in before any was made, and less of them the more came out good', () => {
    expect(goodShare({ good: 0, casts: 0 })).toBe(0.9);
    expect(goodShare({ good: 40, casts: 40 })).toBeGreaterThan(0.98);
    expect(goodShare({ good: 0, casts: 40 })).toBeCloseTo(0.1, 12);
  });

  it('wears a mould as it is expected to last, until copies show otherwise', () => {
    expect(wearOf({ price: 30, lasts: 100, wornOut: 0, cycles: 0 })).toBeCloseTo(0.3, 12);
    expect(wearOf({ price: 30, lasts: 100, wornOut: 4, cycles: 200 })).toBeCloseTo((30 * 7) / 500, 12);
  });

  it('is refused where a number cannot be', () => {
    expect(() => pieceCost({ ...takes, mix: -1 })).toThrow(InputError);
    expect(() => pieceCost({ ...takes, good: 21 })).toThrow(InputError);
    expect(() => pieceCost({ ...takes, mould: { price: 1, lasts: 0, wornOut: 0, cycles: 0 } })).toThrow(InputError);
  });
});

describe('a material', () => {
  const lots = [{ bought: 25_000, left: 500, price: 10, boughtAt: 1 }, { bought: 25_000, left: 25_000, price: 15, boughtAt: 2 }]; // prettier-ignore

  it('costs what its oldest lots cost, each at its own price', () => {
    expect(lotCost(1500, [...lots].reverse())).toEqual({ cost: 500 * 0.0004 + 1000 * 0.0006, unpriced: 0 });
  });

  it('is taken at the newest price beyond what there is, and never made up where there was none', () => {
    expect(lotCost(30_000, lots).cost).toBeCloseTo(0.2 + 29_500 * 0.0006, 10);
    expect(lotCost(700, [])).toEqual({ cost: 0, unpriced: 700 });
  });
});

describe('a price', () => {
  it('leaves its margin, and tells what covers the materials', () => {
    expect(priceFor(9, 4, 0.4)).toEqual({ price: 15, lowest: 4 });
    expect(() => priceFor(9, 4, 1)).toThrow(InputError);
  });

  it('of another copy pays where the evenings are worth more', () => {
    expect(gainOfCopy({ price: 40, sessions: 3, worth: 20 })).toBe(20);
    expect(gainOfCopy({ price: 40, sessions: 1, worth: 20 })).toBe(-20);
  });
});

describe('sending', () => {
  const bands = [{ upTo: 2000, price: 4.5 }, { upTo: 5000, price: 7.6 }, { upTo: 10_000, price: 11 }]; // prettier-ignore

  it('goes by what a piece weighs packed, at least 150 g more', () => {
    expect(sending(1000, bands)).toMatchObject({ packed: 1150, price: 4.5 });
    expect(sending(3000, bands)).toMatchObject({ packed: 3360, price: 7.6 });
    expect(sending(9500, bands)).toEqual({ packed: 10_640 });
    expect(sending(1000, [])).toEqual({ packed: 1150 });
  });

  it('tells how much lighter it must be for the band below, and what that saves', () => {
    const { lighter } = sending(2000, bands);
    expect(lighter?.saves).toBeCloseTo(3.1, 12);
    const light = 2000 - lighter!.mass;
    expect(sending(light, bands).price).toBe(4.5);
    expect(sending(light + 1, bands).price).toBe(7.6);
    expect(lighter?.share).toBeCloseTo(lighter!.mass / 2000, 12);
    expect(sending(1000, bands).lighter).toBeUndefined();
  });

  it('is refused without a mass, or with a band that is none', () => {
    expect(() => sending(0, bands)).toThrow(InputError);
    expect(() => sending(100, [{ upTo: -1, price: 2 }])).toThrow(InputError);
  });
});
