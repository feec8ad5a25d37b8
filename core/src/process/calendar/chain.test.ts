import { describe, expect, it } from 'vitest';
import { DAY, HOUR } from '../../foundation/units/index.js';
import { sealers } from '../../mixing/materials/index.js';
import { dryingHours } from '../sealing/index.js';
import { airCourse, chainOf, wantedStates, type ChainPiece } from './index.js';

const POURED = Date.UTC(2026, 5, 1, 19);
/** The same air for so many days. */
const air = (temperature: number, humidity = 0.5, days = 90) =>
  airCourse(Array.from({ length: days * 24 }, (_, i) => ({ at: POURED + i * HOUR, temperature, humidity, wind: 0 })));
const always = (at: number) => at;

const pot: ChainPiece = {
  binderClass: 'portland',
  demouldAge: 24,
  curing: { age: 7 * 24, days: 0 },
  prior: { dry: 4000, loss: 260 },
  tau: 120,
};
const hoursTo = (
  piece: ChainPiece,
  ambient = air(20),
  atHand: typeof always | ((at: number) => number | undefined) = always,
) => {
  const times = chainOf(piece, POURED, ambient, atHand);
  return times && wantedStates.map((state) => Number(((times[state] - POURED) / HOUR).toFixed(3)));
};

describe('the way of a piece', () => {
  const dry = 7 * 24 + dryingHours(pot.prior, pot.tau);

  it('takes the hours of its steps in a room of 20 °C, and no more', () => {
    expect(hoursTo(pot)).toEqual([24, 168, dry, dry, dry].map((hours) => Number(hours.toFixed(3))));
  });

  it('waits between coats, and for what they want to harden', () => {
    const sealer = sealers.acrylic;
    const sealing = { sealer, coats: 3 };
    const filmDry = 7 * 24 + dryingHours(pot.prior, pot.tau, { film: true });
    const [, , opens, sealed, hardened] = hoursTo({ ...pot, sealing })!;
    expect(opens).toBeCloseTo(filmDry, 2);
    expect(sealed! - opens!).toBeCloseTo(2 * sealer.recoatFrom, 2);
    expect(hardened! - sealed!).toBeCloseTo(sealer.cureDays * 24, 2);
  });

  it('is longer where it is cold, and where it is damp', () => {
    const [warm, cold, damp] = [hoursTo(pot)!, hoursTo(pot, air(10))!, hoursTo(pot, air(20, 0.8))!];
    expect(cold[0]).toBeGreaterThan(1.5 * warm[0]!);
    expect(damp.slice(0, 2)).toEqual(warm.slice(0, 2));
    expect(damp[2]).toBeGreaterThan(warm[2]!);
  });

  it('waits for somebody to be at hand at each step that wants a person', () => {
    // Only at ten in the morning, UTC.
    const atTen = (at: number) => Math.ceil((at - 10 * HOUR) / DAY) * DAY + 10 * HOUR;
    for (const hours of hoursTo(pot, air(20), atTen)!.slice(0, 3)) expect((hours + 19) % 24).toBeCloseTo(10, 6);
  });

  it('is kept back by the binder’s least age, and by the weighings that are wanted', () => {
    const quick: ChainPiece = { ...pot, binderClass: 'gypsum', curing: { age: 0, days: 0 }, demouldAge: 1, tau: 0.5 };
    expect(hoursTo(quick)![2]).toBe(48);
    expect(hoursTo({ ...quick, binderClass: 'underlayment' })![2]).toBe(41);
  });

  it('is not told where the air is not known to its end, or nobody is ever at hand', () => {
    expect(hoursTo(pot, air(20, 0.5, 10))).toBeUndefined();
    expect(hoursTo(pot, airCourse([]))).toBeUndefined();
    expect(hoursTo(pot, air(20), () => undefined)).toBeUndefined();
  });
});
