import { describe, expect, it } from 'vitest';
import type { PieceKind } from '../moulds/index.js';
import { InputError } from '../units/index.js';
import {
  activation,
  dampDaysTo,
  equivalentAge,
  evaporation,
  faceRisk,
  handbookLiftOut,
  hoursToReach,
  nurseSaul,
  portlandShare,
  potLife,
  rate,
  strengthShare,
} from './index.js';

describe('maturity', () => {
  it('has the worked factors', () => {
    expect(rate(10, 5000)).toBeCloseTo(0.5475, 4);
    expect(rate(30, 5000)).toBeCloseTo(1.7553, 4);
    expect(rate(20, activation.gypsum)).toBe(1);
  });

  const steady = (temperature: number) => [{ hour: 0, temperature }];
  it('at 20 °C is the clock', () => {
    expect(equivalentAge(steady(20), 24, 'portland')).toBeCloseTo(24, 9);
    expect(nurseSaul(steady(20), 24)).toBeCloseTo(720, 9);
  });

  it('stands still in hard frost and adds nothing without readings', () => {
    expect(equivalentAge(steady(-12), 24, 'portland')).toBe(0);
    expect(equivalentAge([], 24, 'portland')).toBe(0);
  });

  it('runs straight between readings', () => {
    const warming = [
      { hour: 0, temperature: 10 },
      { hour: 24, temperature: 30 },
    ];
    expect(nurseSaul(warming, 24)).toBeCloseTo(24 * 30, 6);
  });

  it('is reached when it is reached', () => {
    const [ten, twenty, never] = hoursToReach(steady(10), [5.475, 10.95, 1e6], 'portland', 500);
    expect(ten).toBeCloseTo(10, 1);
    expect(twenty).toBeCloseTo(20, 1);
    expect(never).toBeUndefined();
    expect(equivalentAge(steady(10), twenty!, 'portland')).toBeCloseTo(10.95, 2);
  });

  it('refuses a temperature that no shed has', () => {
    expect(() => rate(400, 5000)).toThrow(InputError);
  });
});

describe('strength share', () => {
  it('of Portland at 1, 3 and 7 days is as worked', () => {
    expect([1, 3, 7].map((days) => Number(portlandShare(days).toFixed(3)))).toEqual([0.206, 0.458, 0.704]);
    expect(portlandShare(dampDaysTo(0.7))).toBeCloseTo(0.7, 9);
  });
  it('of fast-setting is half at 3 h and 0.85 at a day', () => {
    expect(strengthShare('fast-setting', 3)).toBeCloseTo(0.5, 3);
    expect(strengthShare('fast-setting', 24)).toBeCloseTo(0.85, 3);
  });
  it('of gypsum comes half by drying', () => {
    expect([strengthShare('gypsum', 2), strengthShare('gypsum', 2, 1), strengthShare('gypsum', 0)]).toEqual([
      0.5, 1, 0,
    ]);
  });
});

describe('times', () => {
  it('pot life shortens with heat as worked', () => {
    expect(potLife('portland', 25, 40)).toBeCloseTo(30, 1);
    expect(potLife('portland', 10, 40)).toBeCloseTo(73.1, 1);
  });
  it('lift-out goes by the piece, or by a binder that is not Portland', () => {
    expect(handbookLiftOut('portland', 'pot')).toBe(24);
    expect(handbookLiftOut('gypsum', 'trough')).toBe(0.75);
    const light = (piece: PieceKind) => handbookLiftOut('portland', piece, true);
    expect([light('panel'), light('pot'), light('trough'), light('dish')]).toEqual([48, 30, 60, 44]);
    expect(handbookLiftOut('gypsum', 'panel', true)).toBe(0.75);
  });
});

describe('evaporation', () => {
  it.each([
    [25, 25, 0.5, 10, 0.424],
    [32, 30, 0.35, 20, 1.451],
    [12, 10, 0.8, 3, 0.056],
  ])('E(%d, %d, %d, %d) = %d', (concrete, air, humidity, wind, expected) => {
    expect(evaporation({ concrete, air, humidity, wind })).toBeCloseTo(expected, 3);
  });
  it('is never below 0 and asks for cover in time', () => {
    expect(evaporation({ concrete: 5, air: 20, humidity: 1, wind: 0 })).toBe(0);
    expect([0.2, 0.7, 1.4].map(faceRisk)).toEqual(['calm', 'watch', 'cover']);
  });
});
