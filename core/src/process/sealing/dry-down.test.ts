import fc from 'fast-check';
import { english } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import { normalPoint, normalShare } from '../../foundation/math/index.js';
import { calculateDryDown, sealerVolume, weighingError, type Weighing } from './index.js';

const prior = { dry: 3900, loss: 260 };
/** A pot that dries on a known curve, weighed once a day. */
function dryingPot(days: number, final = 3900, amplitude = 220, tau = 100, beta = 0.75): Weighing[] {
  return Array.from({ length: days }, (_, day) => ({
    hour: 168 + 24 * day,
    mass: Math.round(final + amplitude * Math.exp(-(((24 * day) / tau) ** beta))),
    step: 1,
  }));
}

describe('the normal curve', () => {
  it('and its inverse agree', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.001, max: 0.999, noNaN: true }), (p) => {
        expect(normalShare(normalPoint(p))).toBeCloseTo(p, 5);
      }),
    );
    expect(normalShare(1.96)).toBeCloseTo(0.975, 4);
  });
});

describe('dry-down', () => {
  it('finds the dry mass of a known curve', () => {
    const { final, curve } = calculateDryDown(dryingPot(20), prior, 'portland');
    expect(final!.low).toBeLessThanOrEqual(3900);
    expect(final!.high).toBeGreaterThanOrEqual(3900);
    expect(Math.abs(final!.mass - 3900)).toBeLessThan(15);
    expect(curve.every(({ low, mass, high }) => low <= mass && mass <= high)).toBe(true);
  });

  it('narrows as weighings come in', () => {
    const width = (days: number) => {
      const { final } = calculateDryDown(dryingPot(days), prior, 'portland');
      return final!.high - final!.low;
    };
    expect(width(18)).toBeLessThan(width(5));
  });

  it('opens the gate only when the water that may be left is under the limit', () => {
    const early = calculateDryDown(dryingPot(4), prior, 'portland');
    expect(early.dryEnough).toBe(false);
    expect(english(early.missing).join()).toContain('may still hold');
    const late = calculateDryDown(dryingPot(25), prior, 'portland');
    expect(late.dryEnough).toBe(true);
    expect(late.remaining!.band![1]).toBeLessThan(late.limit);
  });

  it('forecasts the opening, within its band, from the third weighing on', () => {
    const after = calculateDryDown(dryingPot(5), prior, 'portland').opens!;
    expect(after.low).toBeLessThanOrEqual(after.hour);
    expect(after.hour).toBeLessThanOrEqual(after.high);
    const limit = Math.min(0.015 * 3900, 0.3 * 260);
    const truth = 168 + 100 * Math.log(220 / limit) ** (1 / 0.75);
    expect(after.low).toBeLessThan(truth);
    expect(after.high).toBeGreaterThan(truth);
  });

  it('is stricter before a film', () => {
    const pot = dryingPot(12);
    const open = calculateDryDown(pot, prior, 'portland').limit;
    expect(calculateDryDown(pot, prior, 'portland', { film: true }).limit).toBeLessThan(open);
  });

  it('says what is missing after none and after two weighings', () => {
    expect(english(calculateDryDown([], prior, 'portland').missing[0])).toContain('not been weighed');
    expect(english(calculateDryDown(dryingPot(2), prior, 'portland').missing[0])).toContain('1 more weighing,');
  });

  it('is the same in whatever order the weighings come', () => {
    const pot = dryingPot(8);
    expect(calculateDryDown([...pot].reverse(), prior, 'portland').remaining).toEqual(
      calculateDryDown(pot, prior, 'portland').remaining,
    );
  });

  it('notices a weight that holds', () => {
    const held = [
      ...dryingPot(6),
      { hour: 168 + 24 * 7, mass: 3960, step: 1 },
      { hour: 168 + 24 * 9, mass: 3960, step: 1 },
      { hour: 168 + 24 * 10, mass: 3959, step: 1 },
    ];
    expect(calculateDryDown(held, prior, 'portland').heldDays).toBeCloseTo(3, 6);
  });

  it('trusts a weighing in cold or damp air half as much', () => {
    const fair = { hour: 0, mass: 4000, step: 1, temperature: 18, humidity: 0.6 };
    expect(weighingError({ ...fair, humidity: 0.9 }) / weighingError(fair)).toBeCloseTo(Math.SQRT2, 9);
    expect(weighingError({ ...fair, temperature: 6 }) / weighingError(fair)).toBeCloseTo(Math.SQRT2, 9);
  });
});

it('sealer for 0.2 m² in two coats of penetrating silane is a tenth over area ÷ coverage', () => {
  expect(sealerVolume(200_000, 2, 'penetrating', 'dense').value).toBeCloseTo((0.4 / 7) * 1.1 * 1000, 6);
});
