import { describe, expect, it } from 'vitest';
import { changedFields } from '../src/db/save-edited.js';
import { airAt, airBetween, airView, LONGEST_STRETCH, temperaturesOf } from '../src/devices/index.js';

const HOUR = 3_600_000;
const START = Date.UTC(2026, 0, 1);

describe('the simulated station', () => {
  it('tells the same weather for the same hour, always', () => {
    expect(airAt(START + 5 * HOUR)).toEqual(airAt(START + 5 * HOUR));
    const year = Array.from({ length: 365 * 8 }, (_, i) => airAt(START + i * 3 * HOUR));
    for (const { temperature, humidity, wind } of year) {
      expect(temperature).toBeGreaterThan(-12);
      expect(temperature).toBeLessThan(36);
      expect(humidity).toBeGreaterThanOrEqual(0.35);
      expect(humidity).toBeLessThanOrEqual(0.97);
      expect(wind).toBeGreaterThanOrEqual(0);
    }
  });

  it('is warmer in July than in January, and by day than by night', () => {
    const mean = (from: number, hours: readonly number[]) =>
      hours.reduce((sum, hour) => sum + airAt(from + hour * HOUR).temperature, 0) / hours.length;
    const month = Array.from({ length: 240 }, (_, i) => i * 3);
    expect(mean(Date.UTC(2026, 6, 1), month)).toBeGreaterThan(mean(START, month) + 6);
    const days = Array.from({ length: 30 }, (_, i) => i * 24);
    expect(
      mean(
        START,
        days.map((day) => day + 15),
      ),
    ).toBeGreaterThan(
      mean(
        START,
        days.map((day) => day + 3),
      ) + 1,
    );
  });

  it('tells stretches in rising order, and no longer ones than it should', () => {
    const stretch = airBetween(START, START + 10 * LONGEST_STRETCH);
    expect(stretch.at(-1)!.at).toBeLessThanOrEqual(START + LONGEST_STRETCH);
    expect(stretch.every(({ at }, i) => i === 0 || at > stretch[i - 1]!.at)).toBe(true);
    expect(airBetween(START, START - HOUR)).toEqual([]);
    const { past, ahead, now } = airView(START);
    expect(past.at(-1)!.at).toBeLessThanOrEqual(now.at);
    expect(ahead[0]!.at).toBeGreaterThanOrEqual(now.at);
  });

  it('gives a piece its temperatures up to the very hour', () => {
    const readings = temperaturesOf(START, START + 26.5 * HOUR);
    expect(readings[0]!.hour).toBeCloseTo(0, 9);
    expect(readings.at(-1)!.hour).toBeCloseTo(26.5, 9);
  });
});

describe('what differs between two edits', () => {
  it('is named one level deep, and the order of keys or an undefined is no difference', () => {
    const before = { name: 'Pot', body: { stuff: 'rigid', shape: { a: 1, b: [1, 2] } } };
    expect(
      changedFields(before, { name: 'Pot', body: { shape: { b: [1, 2], a: 1 }, stuff: 'rigid', gone: undefined } }),
    ).toEqual([]);
    expect(changedFields(before, { name: 'Jar', body: { stuff: 'flexible', shape: { a: 1, b: [2, 1] } } })).toEqual([
      'name',
      'body.stuff',
      'body.shape',
    ]);
  });
});
