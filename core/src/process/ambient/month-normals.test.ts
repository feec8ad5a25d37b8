import { describe, expect, it } from 'vitest';
import { DAY, HOUR } from '../../foundation/units/index.js';
import { leans, monthNormals, usualAmbient } from './month-normals.js';
import type { WholeAmbientReading } from './readings.js';

const MAY = Date.UTC(2026, 4, 1);
/** A May of so many days: warm by day, and each day warmer or colder by `off`. */
const may = (days: number, off: (day: number) => number, zoneHours = 2): WholeAmbientReading[] =>
  Array.from({ length: days * 24 }, (_, i) => {
    const [day, hour] = [Math.floor(i / 24), i % 24];
    return {
      at: MAY - zoneHours * HOUR + i * HOUR,
      temperature: 15 + 5 * Math.sin(((hour - 9) / 24) * 2 * Math.PI) + off(day),
      humidity: hour < 12 ? 0.8 : 0.5,
      wind: 6,
    };
  });

describe('how a month usually is', () => {
  const waves = may(31, (day) => 4 * Math.sin((day / 31) * 2 * Math.PI));
  const [, , , , normal, june] = monthNormals(waves, 'Europe/Madrid');

  it('is a mean day from local midnight on', () => {
    expect(normal!.days).toBe(31);
    expect(normal!.hours).toHaveLength(24);
    expect(normal!.hours[9]!.temperature).toBeCloseTo(15, 6);
    expect(normal!.hours[15]!.temperature).toBeCloseTo(20, 6);
    expect(normal!.hours.map(({ humidity }) => Number(humidity.toFixed(6)))).toEqual([
      ...Array.from({ length: 12 }, () => 0.8),
      ...Array.from({ length: 12 }, () => 0.5),
    ]);
  });

  it('tells how far its days lie apart, and how alike neighbours are', () => {
    expect(normal!.spread).toBeCloseTo(4 / Math.SQRT2, 2);
    expect(normal!.alike).toBeGreaterThan(0.9);
    const [, , , , turning] = monthNormals(may(30, (day) => (day % 2 ? 3 : -3)), 'Europe/Madrid'); // prettier-ignore
    expect([turning!.spread, turning!.alike]).toEqual([expect.closeTo(3, 6), 0]);
  });

  it('is not known where it was read on too few days', () => {
    expect(june).toBeUndefined();
    expect(monthNormals(may(24, () => 0), 'Europe/Madrid')[4]).toBeUndefined(); // prettier-ignore
  });

  it('fills an hour that was never read from the hours beside it', () => {
    const gappy = waves.filter(({ at }) => ![3, 4].includes(new Date(at + 2 * HOUR).getUTCHours()));
    const hours = monthNormals(gappy, 'Europe/Madrid')[4]!.hours;
    expect(hours[3]!.temperature).toBeCloseTo(hours[2]!.temperature, 9);
    expect(hours[4]!.temperature).toBeCloseTo(hours[5]!.temperature, 9);
  });

  it('gives the air ahead, warmer and drier for what goes quickest, colder and damper for what takes longest', () => {
    const normals = Array.from({ length: 12 }, (_, month) => (month === 4 ? normal : undefined));
    const noon = MAY + 10 * DAY + 10 * HOUR;
    const [mean] = usualAmbient(normals, [noon], 'Europe/Madrid')!;
    const [quick] = usualAmbient(normals, [noon], 'Europe/Madrid', leans.low)!;
    const [slow] = usualAmbient(normals, [noon], 'Europe/Madrid', leans.high)!;
    expect(mean).toEqual({ at: noon, ...normal!.hours[12] });
    expect(quick!.temperature - mean!.temperature).toBeCloseTo(normal!.spread, 9);
    expect(slow!.temperature - mean!.temperature).toBeCloseTo(-normal!.spread, 9);
    expect([quick!.humidity, slow!.humidity]).toEqual([expect.closeTo(0.42, 9), expect.closeTo(0.58, 9)]);
    expect(usualAmbient(normals, [noon, noon + 40 * DAY], 'Europe/Madrid')).toBeUndefined();
  });
});
