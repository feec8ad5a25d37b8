import { HOUR } from '@dewpot/core/units';
import { cleanSeries } from '@dewpot/core/ambient';
import { english } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import { changedFields } from '../src/db/save-edited.js';
import { forecast, loggerMemory, weatherAt } from '../src/devices/index.js';

const START = Date.UTC(2026, 0, 1);

describe('the simulated weather', () => {
  it('is the same for the same hour, always, and such as can be', () => {
    expect(weatherAt(START + 5 * HOUR)).toEqual(weatherAt(START + 5 * HOUR));
    const year = Array.from({ length: 365 * 8 }, (_, i) => weatherAt(START + i * 3 * HOUR));
    for (const { temperature, humidity, wind } of year) {
      expect(temperature).toBeGreaterThan(-14);
      expect(temperature).toBeLessThan(36);
      expect(humidity).toBeGreaterThanOrEqual(0.3);
      expect(humidity).toBeLessThanOrEqual(0.97);
      expect(wind).toBeGreaterThanOrEqual(0);
    }
  });

  it('is warmer in July than in January, and by day than by night', () => {
    const mean = (from: number, hours: readonly number[]) =>
      hours.reduce((sum, hour) => sum + weatherAt(from + hour * HOUR).temperature, 0) / hours.length;
    const month = Array.from({ length: 240 }, (_, i) => i * 3);
    expect(mean(Date.UTC(2026, 6, 1), month)).toBeGreaterThan(mean(START, month) + 6);
    const at = (hour: number) => Array.from({ length: 30 }, (_, day) => day * 24 + hour);
    expect(mean(START, at(15))).toBeGreaterThan(mean(START, at(3)) + 1);
  });

  it('is forecast ten days ahead in rising order, near the truth tomorrow and less so in a week', () => {
    const ahead = forecast(START + 90 * 60_000);
    expect(ahead.every(({ at }, i) => i === 0 || at > ahead[i - 1]!.at)).toBe(true);
    expect(ahead.at(-1)!.at).toBeGreaterThan(START + 9 * 24 * HOUR);
    const off = ahead.map(({ at, temperature }) => Math.abs(temperature - weatherAt(at).temperature));
    expect(Math.max(...off.slice(0, 24))).toBeLessThan(1);
    expect(Math.max(...off)).toBeGreaterThan(Math.max(...off.slice(0, 24)));
  });
});

describe('the simulated logger', () => {
  const memory = loggerMemory('shed', 77, START, START + 120 * 24 * HOUR);

  it('remembers a reading every ten minutes, the same whenever it is read out, but for its gaps', () => {
    expect(loggerMemory('shed', 77, START + 60 * HOUR, START + 61 * HOUR)).toEqual(
      memory.filter(({ at }) => at > START + 60 * HOUR && at <= START + 61 * HOUR),
    );
    expect(memory.length).toBeGreaterThan(120 * 144 * 0.9);
    expect(memory.length).toBeLessThan(120 * 144);
  });

  it('has gaps and a sensor that sticks, and both are bridged and told', () => {
    const whys = new Set(cleanSeries(memory).bridges.map(({ why }) => english(why).replace(/told .* °C/, 'told')));
    expect([...whys].sort()).toEqual(['nothing was read', 'the sensor told without a change']);
  });
});

describe('what differs between two edits', () => {
  it('is named one level deep, and the order of keys or an undefined is no difference', () => {
    const before = { name: 'Pot', body: { flexibility: 'rigid', shape: { a: 1, b: [1, 2] } } };
    expect(
      changedFields(before, {
        name: 'Pot',
        body: { shape: { b: [1, 2], a: 1 }, flexibility: 'rigid', gone: undefined },
      }),
    ).toEqual([]);
    expect(
      changedFields(before, { name: 'Jar', body: { flexibility: 'flexible', shape: { a: 1, b: [2, 1] } } }),
    ).toEqual(['name', 'body.flexibility', 'body.shape']);
  });
});
