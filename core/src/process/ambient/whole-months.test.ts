import { describe, expect, it } from 'vitest';
import { monthsAlike, monthsOfTable, usualAmbient, wholeMonths } from './index.js';

const table = Array.from({ length: 12 }, (_, month) => ({ temperature: month, humidity: 0.5 + month / 100 }));

describe('months of which only their mean is known', () => {
  it('are alike all day, and vary by the usual spread', () => {
    const months = monthsOfTable(table);
    expect(months).toHaveLength(12);
    expect(months[5]).toMatchObject({ spread: 3, days: 0 });
    expect(new Set(months[5]!.hours.map(({ temperature }) => temperature))).toEqual(new Set([5]));
    const [noon] = usualAmbient(months, [Date.UTC(2026, 2, 10, 12)], 'UTC')!;
    expect(noon).toMatchObject({ temperature: 2, humidity: 0.52, wind: 0 });
  });

  it('are all the same where a place has one figure', () => {
    const months = monthsAlike({ temperature: 18, humidity: 0.65, wind: 4 });
    expect(months[0]).toEqual(months[11]);
    expect(months[3]!.hours[7]).toEqual({ temperature: 18, humidity: 0.65, wind: 4 });
  });

  it('stand in for those that were not read', () => {
    const read = monthsOfTable(table.map((one) => ({ ...one, temperature: 30 })));
    const known = read.map((month, i) => (i < 3 ? month : undefined));
    const whole = wholeMonths(known, monthsOfTable(table));
    expect(whole.map((month) => month!.hours[0]!.temperature)).toEqual([30, 30, 30, 3, 4, 5, 6, 7, 8, 9, 10, 11]);
  });
});
