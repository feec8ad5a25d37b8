import fc from 'fast-check';
import { english } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import { MINUTE, HOUR, InputError } from '../../foundation/units/index.js';
import { cleanSeries, thinned } from './clean-series.js';
import { follow, followed, handbookFollowing } from './place-history.js';
import { readAmbientCsv } from './read-csv.js';
import { sift, type AmbientReading } from './readings.js';
import { repeatDays } from './repeat-days.js';
import { seasonAt } from './season.js';

const NOW = Date.UTC(2026, 5, 20);
const series = (count: number, temperature: (i: number) => number, step = 10 * MINUTE): AmbientReading[] =>
  Array.from({ length: count }, (_, i) => ({
    at: NOW - (count - i) * step,
    temperature: temperature(i),
    humidity: 0.6 + (i % 7) / 100,
  }));

describe('readings that cannot be', () => {
  it('are set aside by name: broken sensors, clocks ahead or never set, humidity over 100 %', () => {
    const { kept, aside } = sift(
      [
        { at: NOW - 5 * HOUR, temperature: -40 },
        { at: NOW - 4 * HOUR, temperature: 127 },
        { at: NOW + HOUR, temperature: 18 },
        { at: 0, temperature: 18 },
        { at: NOW - 3 * HOUR, temperature: NaN },
        { at: NOW - 2 * HOUR, temperature: 17, humidity: 1.4, wind: 3 },
        { at: NOW - HOUR, temperature: 16, humidity: 0.5 },
      ],
      NOW,
    );
    expect(kept).toEqual([
      { at: NOW - 2 * HOUR, temperature: 17, wind: 3 },
      { at: NOW - HOUR, temperature: 16, humidity: 0.5 },
    ]);
    expect(english(aside).map(({ why }) => why)).toEqual([
      expect.stringMatching(/not connected/),
      expect.stringMatching(/broken or not connected/),
      expect.stringMatching(/future/),
      expect.stringMatching(/never set/),
      expect.stringMatching(/no temperature/),
      expect.stringMatching(/140 % is not possible/),
    ]);
  });

  it('come late and twice: put in order, counted, and contradicted ones set aside', () => {
    const [a, b, c] = series(3, (i) => 15 + i);
    const { kept, twice, aside } = sift([c!, a!, b!, a!, { ...b!, temperature: 30 }], NOW);
    expect(kept).toEqual([a, b, c]);
    expect(twice).toBe(1);
    expect(english(aside[0]!.why)).toMatch(/same time/);
  });
});

describe('a series', () => {
  it('is bridged over gaps, spikes and a stuck sensor, and each is told', () => {
    const before = series(400, (i) => 15 + Math.sin(i / 20));
    const holed = before
      .filter((_, i) => i < 100 || i > 130)
      .map((one, i) => (i === 50 ? { ...one, temperature: 48 } : one));
    const stuck = holed.map((one, i) => (i >= 200 && i < 360 ? { ...one, temperature: 15.5, humidity: 0.6 } : one));
    const { readings, bridges, aside } = cleanSeries(stuck);
    expect(aside).toHaveLength(1);
    expect(english(bridges).map(({ why }) => why)).toEqual([
      'nothing was read',
      'the sensor told 15.5 °C without a change',
    ]);
    expect(readings).toHaveLength(stuck.length - 1 - 159);
    expect(readings).not.toContainEqual(expect.objectContaining({ temperature: 48 }));
  });

  it('that is sound stays as it is, and a typed figure is not a stuck sensor', () => {
    const sound = series(300, (i) => 12 + (i % 40) / 10);
    expect(cleanSeries(sound)).toEqual({ readings: sound, bridges: [], aside: [] });
    expect(
      cleanSeries(series(4, () => 18, 12 * HOUR)).bridges.every(({ why }) => english(why) === 'nothing was read'),
    ).toBe(true);
  });

  it('is thinned to one of each step, with its last', () => {
    expect(
      thinned(
        series(144, (i) => i),
        6 * HOUR,
      ).length,
    ).toBeLessThan(7);
    expect(
      thinned(
        series(144, (i) => i),
        6 * HOUR,
      ).at(-1)!.temperature,
    ).toBe(143);
  });
});

describe('how a place follows the air outdoors', () => {
  const outdoors = series(168, (i) => 14 + 6 * Math.sin((i / 24) * 2 * Math.PI), HOUR);

  it('is found from both, and foretells the place', () => {
    const cellar = outdoors.map((one) => ({ ...one, temperature: 9 + 0.2 * one.temperature, humidity: 0.8 }));
    const following = follow(cellar, outdoors, 'shed');
    expect(following).toMatchObject({ share: expect.closeTo(0.2, 6), offset: expect.closeTo(9, 6), learnedFrom: 168 });
    expect(followed({ at: 0, temperature: 30 }, following).temperature).toBeCloseTo(15, 6);
  });

  it('is the handbook’s until there are a day of pairs, or while the air outdoors stands still', () => {
    expect(follow(outdoors.slice(0, 20), outdoors, 'cellar')).toBe(handbookFollowing.cellar);
    const still = outdoors.map((one) => ({ ...one, temperature: 10 }));
    expect(follow(still, still, 'shed').share).toBe(handbookFollowing.shed.share);
  });
});

describe('a file of readings', () => {
  const ways = { zone: 'Europe/Berlin', order: 'day-first' } as const;
  const read = (text: string, over = {}) => readAmbientCsv(text, { ...ways, ...over });

  it('is read in Fahrenheit, with commas for points, and with wind in metres a second', () => {
    const us = read('Date/Time,Temp (F),RH %\n06/18/2026 1:00 PM,77,40\n06/18/2026 1:10 PM,95,38', { zone: 'UTC' });
    expect(us.readings[0]).toEqual({ at: Date.UTC(2026, 5, 18, 13), temperature: 25, humidity: 0.4 });
    expect(english(us.notes)).toEqual(['Temperatures are in °F and were turned into °C.']);
    const comma = read(
      'Zeit;Temperatur °C;Feuchte;Wind m/s\n18.06.2026 14:00;21,5;0,62;2,5\n18.06.2026 14:10;21,7;0,61;3',
    );
    expect(comma.readings[0]).toEqual({ at: Date.UTC(2026, 5, 18, 12), temperature: 21.5, humidity: 0.62, wind: 9 });
    expect(english(comma.notes)).toEqual([
      'Commas were read as decimal points.',
      'Wind is in m/s and was turned into km/h.',
    ]);
    expect(read('time,temp\n2026-06-18T12:00:00Z,70\n2026-06-18T13:00:00Z,71').readings[0]!.temperature).toBeCloseTo(
      21.11,
      2,
    );
  });

  it('goes by a clock that is put back and forward, and says when it runs back', () => {
    const autumn = read('time,temp\n25.10.2026 02:30,9\n25.10.2026 02:50,9\n25.10.2026 02:30,8\n25.10.2026 03:00,8');
    const [first, , second, third] = autumn.readings.map(({ at }) => at);
    expect(second! - first!).toBe(HOUR);
    expect(third! - second!).toBe(30 * MINUTE);
    const spring = read('time,temp\n29.03.2026 01:30,4\n29.03.2026 02:30,4\n29.03.2026 03:30,4');
    expect(spring.readings).toHaveLength(2);
    expect(english(spring.unread)).toEqual([{ row: 3, why: expect.stringMatching(/go forward/) }]);
    const jump = read('time,temp\n2026-06-18 12:00,20\n2026-06-18 09:00,20\n2026-06-18 09:10,20');
    expect(english(jump.notes)).toEqual(['The clock runs back once: the readings were put in order of time.']);
  });

  it('tells of rows that say nothing, and of dates that could be read both ways', () => {
    const { unread, notes, readings } = read(
      'date,time,temp\n03/04/2026,12:00,15\n03/04/2026,13:00,n/a\nsoon,,15\n31/02/2026,10:00,3',
    );
    expect(readings[0]!.at).toBe(Date.UTC(2026, 3, 3, 10));
    expect(unread.map(({ row }) => row)).toEqual([3, 4, 5]);
    expect(notes).toEqual([]);
    expect(english(read('time,temp\n03/04/2026 12:00,15').notes[0])).toMatch(/both ways: the day/);
    expect(read('time,temp\n1781784000,15\n1781784600000,16').readings.map(({ at }) => at)).toEqual([
      1781784000000, 1781784600000,
    ]);
  });

  it.each([
    ['a picture, say', '\u0089PNG\n\u0000\u0001'],
    ['only heads', 'time,temp\n'],
    ['no temperature', 'time,pressure\n2026-06-18 12:00,1013'],
  ])('that is %s is refused with a remedy', (_, text) => {
    expect(() => read(text)).toThrow(InputError);
  });
});

describe('the air ahead of a place of which nobody knows the weather', () => {
  const start = Date.UTC(2026, 4, 4);
  it('goes on as the same hours of its last three days ran', () => {
    const readings = Array.from({ length: 24 * 5 }, (_, hour) => ({
      at: start + hour * HOUR,
      temperature: hour < 48 ? 30 : 10 + (hour % 24),
      humidity: 0.6,
      wind: 0,
    }));
    const end = start + 24 * 5 * HOUR;
    const ahead = repeatDays(readings, [end, end + 13 * HOUR, end + 61 * HOUR]);
    expect(ahead.map(({ temperature }) => temperature)).toEqual([10, 23, 23]);
    expect(repeatDays([], [end])).toEqual([]);
    expect(repeatDays(readings.slice(0, 1), [end + 5 * HOUR])[0]!.temperature).toBe(30);
  });

  it('by a table of months is each month’s own in its middle, straight between, and the same a year later', () => {
    const table = Array.from({ length: 12 }, (_, month) => ({ temperature: month * 2, humidity: 0.5 + month / 100 }));
    expect(seasonAt(table, Date.UTC(2026, 0, 16, 12)).temperature).toBeCloseTo(0, 1);
    expect(seasonAt(table, Date.UTC(2026, 6, 16, 12)).temperature).toBeCloseTo(12, 0);
    const newYear = seasonAt(table, Date.UTC(2026, 0, 1)).temperature;
    expect(newYear).toBeCloseTo(11, 0);
    expect(seasonAt(table, Date.UTC(2025, 11, 31, 23)).temperature).toBeCloseTo(newYear, 0);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 365 * 24 * 20 }), (hour) => {
        const { temperature, humidity } = seasonAt(table, Date.UTC(2010, 0, 1) + hour * HOUR);
        expect(temperature).toBeGreaterThanOrEqual(0);
        expect(temperature).toBeLessThanOrEqual(22);
        expect(humidity).toBeCloseTo(0.5 + temperature / 200, 9);
      }),
    );
  });
});
