import { english, refusal } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import {
  calendarDays,
  dryingPace,
  dryingPaces,
  gainsHeld,
  learnedEase,
  likelyPiece,
  meanPace,
  readFilmTest,
  calculateDryDown,
  sampleSize,
  shareTogether,
  underForecast,
  type Weighing,
} from './index.js';

const prior = { dry: 3900, loss: 260 };
const pot = (days: number): Weighing[] =>
  Array.from({ length: days }, (_, day) => ({
    hour: 168 + 24 * day,
    mass: Math.round(3900 + 220 * Math.exp(-(((24 * day) / 100) ** 0.75))),
    step: 1,
  }));

describe('weighings that are not as they should be', () => {
  it('a gain of damp air counts as held', () => {
    const gained = [...pot(6), { hour: 168 + 24 * 6, mass: pot(6)[5]!.mass + 20, step: 1 }];
    const held = gainsHeld(gained);
    expect(held[6]!.mass).toBe(held[5]!.mass);
    expect(calculateDryDown(gained, prior, 'portland').strays).toEqual([]);
  });

  it('an outlier is set aside by name, with what was to be expected, and does not open or shut the gate', () => {
    const clean = pot(14);
    const wrong = clean.map((one, i) => (i === 5 ? { ...one, mass: one.mass - 300 } : one));
    const { strays, remaining } = calculateDryDown(wrong, prior, 'portland');
    expect(strays).toHaveLength(1);
    expect(strays[0]!.mass).toBe(clean[5]!.mass - 300);
    expect(Math.abs(strays[0]!.expected - clean[5]!.mass)).toBeLessThan(8);
    const without = calculateDryDown(clean, prior, 'portland').remaining!;
    expect(Math.abs(remaining!.value - without.value)).toBeLessThan(6);
  });

  it('the last weighing set aside keeps the gate shut until it is weighed again', () => {
    const dry = pot(30);
    expect(calculateDryDown(dry, prior, 'portland').dryEnough).toBe(true);
    const { dryEnough, missing } = calculateDryDown(
      [...dry, { hour: 168 + 24 * 30, mass: 3600, step: 1 }],
      prior,
      'portland',
    );
    expect(dryEnough).toBe(false);
    expect(english(missing).join()).toContain('The weighings are inconsistent');
  });

  it('names the rule that decides and how far off it is', () => {
    expect(calculateDryDown(pot(2), prior, 'portland').decides!.rule).toBe('water');
    const late = calculateDryDown(pot(10), prior, 'portland').decides!;
    expect(late.rule).toBe('water');
    expect(late.have).toBeGreaterThan(late.want);
    // 1.5 % of 3900 g is 58.5 g, 30 % of 260 g 78 g: the lesser decides.
    expect(late.want).toBeCloseTo(58.5, 6);
    expect(english(late.told)).toContain('1.5 % of its dry mass');
  });

  it('says which piece it may be, where it fits just one other', () => {
    const said = { code: '12a', mass: 3900, sd: 6 };
    const others = [
      { code: '12b', mass: 3990, sd: 6 },
      { code: '9c', mass: 2100, sd: 5 },
    ];
    expect(likelyPiece(3905, said, others).piece).toBe('as said');
    expect(english(likelyPiece(3988, said, others))).toMatchObject({ piece: 'another', code: '12b' });
    expect(likelyPiece(8600, said, others).piece).toBe('none');
  });
});

describe('many pieces', () => {
  it('weighed together share mass and step by what each should weigh', () => {
    const shares = shareTogether({ total: 1210, step: 1, dry: [300, 300, 600] });
    expect(shares.map(({ mass }) => mass)).toEqual([302.5, 302.5, 605]);
    expect(shares[0]!.step).toBeCloseTo(0.25, 9);
    expect(refusal(() => shareTogether({ total: 300, step: 1, dry: [300] }))).toContain(
      'One piece is not weighed together',
    );
  });

  it('are sampled from four on', () => {
    expect([1, 3, 4, 9, 10, 40].map(sampleSize)).toEqual([1, 3, 2, 2, 3, 3]);
  });
});

describe('drying in its own air', () => {
  it('is at pace 1 at 20 °C and half damp, slower in a cellar, faster in a heatwave', () => {
    expect(dryingPace({ temperature: 20, humidity: 0.5 })).toBeCloseTo(1, 9);
    expect(dryingPace({ temperature: 8, humidity: 0.9 })).toBeLessThan(0.5);
    expect(dryingPace({ temperature: 32, humidity: 0.35 })).toBeGreaterThan(1.4);
    expect(meanPace([], 0, 10)).toBe(1);
  });

  it('a forecast of the same air moves the date by nothing, of damper air puts it off, of drier brings it on', () => {
    const ambient = { temperature: 20, humidity: 0.5 };
    const ahead = (humidity: number) =>
      dryingPaces([0, 24, 48].map((hour) => ({ hour: 200 + hour, ...ambient, humidity })));
    expect(underForecast(260, 200, 1, ahead(0.5))).toBeCloseTo(260, 6);
    expect(underForecast(260, 200, 1, ahead(0.85))).toBeGreaterThan(290);
    expect(underForecast(260, 200, 1, ahead(0.3))).toBeLessThan(255);
    expect(underForecast(190, 200, 1, ahead(0.85))).toBe(190);
    expect(underForecast(260, 248, 1, ahead(0.85))).toBe(260);
  });

  it('by the calendar waits longest: about two weeks at 20 °C, four before a film, longer in a cellar', () => {
    const piece = { dry: 3900, loss: 260 };
    expect(calendarDays(piece, 1)).toBeGreaterThan(14);
    expect(calendarDays(piece, 1)).toBeLessThan(22);
    expect(calendarDays(piece, 1, { film: true })).toBeGreaterThan(25);
    expect(calendarDays(piece, 0.5)).toBeGreaterThan(1.9 * calendarDays(piece, 1) - 1);
  });

  it('by a taped film wants sixteen hours without drops', () => {
    expect(readFilmTest({ hours: 16, drops: false }).dry).toBe(true);
    expect(english(readFilmTest({ hours: 12, drops: false }).told)).toContain('16 h');
    expect(english(readFilmTest({ hours: 20, drops: true }).told)).toContain('drops');
  });
});

describe('a gate that is overridden again and again', () => {
  const good = (over: number) => ({ over, film: false, held: true });

  it('moves after three good ones, to the third of them, and says so', () => {
    expect(learnedEase([good(1.4), good(1.3)], false).ease).toBe(1);
    const { ease, told } = learnedEase([good(1.4), good(1.3), good(1.2)], false);
    expect(ease).toBeCloseTo(1.2, 9);
    expect(english(told)).toContain('came out well');
  });

  it('moves at most half as much again, stays under what went wrong, and learns films by themselves', () => {
    const many = [3, 2.5, 2, 1.9].map(good);
    expect(learnedEase(many, false).ease).toBe(1.5);
    expect(learnedEase([...many, { over: 1.3, film: false, held: false }], false).ease).toBeCloseTo(1.17, 9);
    expect(learnedEase(many, true).ease).toBe(1);
    expect(
      learnedEase(
        many.map(({ held: _, ...one }) => one),
        false,
      ).ease,
    ).toBe(1);
  });
});
