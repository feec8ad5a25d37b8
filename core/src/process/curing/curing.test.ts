import { describe, expect, it } from 'vitest';
import { InputError } from '../../foundation/units/index.js';
import type { PieceKind } from '../../geometry/moulds/index.js';
import {
  activation,
  moistDaysTo,
  handbookTimes,
  portlandShare,
  potLife,
  rate,
  shareBand,
  strengthShare,
} from '../../mixing/binders/index.js';
import {
  moistCuringEnd,
  equivalentAge,
  evaporation,
  faceRisk,
  handbookDemouldAge,
  hoursToReach,
  nurseSaul,
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
    expect(portlandShare(moistDaysTo(0.7))).toBeCloseTo(0.7, 9);
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

describe('high-early cement', () => {
  it('comes to its share sooner: 0.31, 0.59 and 0.80 at 1, 3 and 7 days', () => {
    expect([1, 3, 7].map((days) => Number(strengthShare('high-early', days * 24).toFixed(3)))).toEqual([
      0.311, 0.593, 0.801,
    ]);
    expect(portlandShare(moistDaysTo(0.7, 'high-early'), 'high-early')).toBeCloseTo(0.7, 9);
    expect(moistCuringEnd('high-early').age / 24).toBeCloseTo(4.5225, 4);
    expect(moistCuringEnd('portland').age / 24).toBeCloseTo(6.914, 2);
  });
  it('is demoulded at the strength at which general cement is', () => {
    for (const piece of ['slab', 'pot', 'dish', 'hypertufa-pot', 'trough', 'panel'] as const)
      for (const light of [false, true]) {
        const age = handbookDemouldAge('high-early', piece, light);
        const general = handbookDemouldAge('portland', piece, light);
        expect(age).toBeLessThan(general);
        expect(strengthShare('high-early', age)).toBeCloseTo(strengthShare('portland', general), 9);
      }
    expect(handbookDemouldAge('high-early', 'pot')).toBeCloseTo(14.05, 2);
  });
  it('lies within its own band, which is the upper end of the general one', () => {
    for (const hours of [6, 24, 72, 168, 672]) {
      const [low, high] = shareBand('high-early', hours);
      const own = strengthShare('high-early', hours);
      expect(low).toBeLessThan(own);
      expect(high).toBeGreaterThan(own);
      expect(shareBand('portland', hours)[1]).toBeGreaterThanOrEqual(own);
    }
  });
  it('sets when the general kind does, and ages like it in warmth and cold', () => {
    const warm = [{ hour: 0, temperature: 30 }];
    expect(handbookTimes('high-early')).toEqual(handbookTimes('portland'));
    expect(equivalentAge(warm, 10, 'high-early')).toBeCloseTo(equivalentAge(warm, 10, 'portland'), 9);
  });
});

describe('times', () => {
  it('pot life shortens with heat as worked', () => {
    expect(potLife('portland', 25, 40)).toBeCloseTo(30, 1);
    expect(potLife('portland', 10, 40)).toBeCloseTo(73.1, 1);
  });
  it('demould goes by the piece, or by a binder that is not Portland', () => {
    expect(handbookDemouldAge('portland', 'pot')).toBe(24);
    expect(handbookDemouldAge('gypsum', 'trough')).toBe(0.75);
    const light = (piece: PieceKind) => handbookDemouldAge('portland', piece, true);
    expect([light('panel'), light('pot'), light('trough'), light('dish')]).toEqual([48, 30, 60, 44]);
    expect(handbookDemouldAge('gypsum', 'panel', true)).toBe(0.75);
  });
});

describe('evaporation', () => {
  it.each([
    [25, 25, 0.5, 10, 0.424],
    [32, 30, 0.35, 20, 1.451],
    [12, 10, 0.8, 3, 0.056],
  ])('E(%d, %d, %d, %d) = %d', (concrete, ambient, humidity, wind, expected) => {
    expect(evaporation({ concrete, ambient, humidity, wind })).toBeCloseTo(expected, 3);
  });
  it('is never below 0 and asks for cover in time', () => {
    expect(evaporation({ concrete: 5, ambient: 20, humidity: 1, wind: 0 })).toBe(0);
    expect([0.2, 0.7, 1.4].map(faceRisk)).toEqual(['calm', 'watch', 'cover']);
  });
});
