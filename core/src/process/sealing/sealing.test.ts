import { english, refusal } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import { HOUR } from '../../foundation/units/index.js';
import { sealers } from '../../mixing/materials/index.js';
import {
  againstDecoration,
  againstSealer,
  checksFor,
  coatPace,
  coatRemarks,
  readTile,
  recoatWindow,
  resealMonths,
  sealAdvice,
  sealerVolume,
} from './index.js';

const usual = { temperature: 20, humidity: 0.5 };

describe('how a piece is sealed', () => {
  it.each([
    [['plants'], 'penetrating', 'both'],
    [['frost', 'outdoors'], 'penetrating', 'both'],
    [['food', 'indoors'], 'oil', 'both'],
    [['candle', 'indoors'], 'polyurethane', 'both'],
    [['water'], 'acrylic', 'both'],
    [['bare plants', 'outdoors'], undefined, 'both'],
    [['animals', 'outdoors'], undefined, 'both'],
    [['indoors'], 'wax', 'both'],
    [[], 'wax', 'both'],
  ] as const)('for %j it is %s', (uses, sealer, side) => {
    const advice = sealAdvice(uses);
    expect(advice.sealer).toBe(sealer);
    expect(advice.side).toBe(side);
    expect(english(advice.reason).length).toBeGreaterThan(20);
  });

  it('asks for what only the label may allow, and says where it does not', () => {
    expect(sealAdvice(['food']).claims).toEqual(['dry food']);
    expect(english(againstSealer(sealers.oil, ['food'], 'both')).join()).toContain(
      'does not say that it is for dry food',
    );
    expect(againstSealer({ ...sealers.oil, claims: ['dry food'] }, ['food'], 'both')).toEqual([]);
  });

  it('warns of a film on the outside only of a pot that stays wet within', () => {
    expect(english(againstSealer(sealers.acrylic, ['plants'], 'outside')).join()).toContain('wet within');
    expect(againstSealer(sealers.acrylic, ['plants'], 'both')).toEqual([]);
  });

  it('takes the litres from a product’s own sheet: 0.5 m², two coats at 10 m² a litre, and a tenth more', () => {
    expect(sealerVolume(500_000, 2, { dense: 10, porous: 5 }, 'dense').value).toBeCloseTo(110, 6);
    expect(sealerVolume(500_000, 2, { dense: 10, porous: 5 }, 'porous').value).toBeCloseTo(220, 6);
    expect(sealerVolume(300_000, 1, 'wax', 'dense').value).toBeCloseTo(16.5, 6);
    expect(refusal(() => sealerVolume(1, 2, { dense: 0, porous: 5 }, 'dense'))).toContain('The coverage of a litre');
  });
});

describe('coats', () => {
  const last = { at: 0, sealer: sealers.acrylic };

  it('follow each other in the sheet’s window at 20 °C, later in cold and damp', () => {
    const { from, to } = recoatWindow(sealers.acrylic, 0, usual);
    expect([from / HOUR, to / HOUR]).toEqual([2, 24]);
    expect(recoatWindow(sealers.acrylic, 0, { temperature: 10, humidity: 0.5 }).from / HOUR).toBeCloseTo(4, 9);
    expect(coatPace({ temperature: 20, humidity: 0.85 })).toBeCloseTo(0.3, 9);
  });

  it('go by the forecast: a warm afternoon brings the window on, a cold night puts it off', () => {
    const hours = (ambient: readonly (readonly [hour: number, temperature: number])[]) =>
      recoatWindow(
        sealers.acrylic,
        0,
        ambient.map(([hour, temperature]) => ({ at: hour * HOUR, temperature, humidity: 0.5 })),
      ).from / HOUR;
    expect(hours([[0, 20]])).toBeCloseTo(2, 9);
    // An hour at 20 °C, then at 10 °C half as fast: the other hour takes two.
    expect(
      hours([
        [0, 20],
        [1, 10],
        [20, 10],
      ]),
    ).toBeCloseTo(3, 9);
    expect(
      hours([
        [-3, 20],
        [1, 30],
        [20, 30],
      ]),
    ).toBeCloseTo(1.5, 9);
  });

  it('are refused before the last is dry, and told to rub a hard film dull', () => {
    const [early] = coatRemarks({ sealer: sealers.acrylic, at: HOUR, ambient: usual, last });
    expect(english(early)).toMatchObject({ rule: 'recoat', severity: 'refuse' });
    expect(english(early!.told)).toContain('needs 2.0 h in this air, and it has had 1.0 h');
    expect(coatRemarks({ sealer: sealers.acrylic, at: 3 * HOUR, ambient: usual, last })).toEqual([]);
    expect(english(coatRemarks({ sealer: sealers.acrylic, at: 48 * HOUR, ambient: usual, last })[0])).toMatchObject({
      rule: 'late',
      severity: 'tell',
    });
  });

  it('are told of cold, damp, an old product and a decoration that is not dry', () => {
    const remarks = coatRemarks({
      sealer: sealers.wax,
      at: HOUR,
      ambient: { temperature: 4, humidity: 0.95 },
      openMonths: 50,
      decorationDryAt: 5 * HOUR,
    });
    expect(english(remarks).map(({ rule }) => rule)).toEqual(['decoration', 'ambient', 'ambient', 'age']);
    expect(english(remarks[3]!.told)).toContain('50 months');
  });

  it('are looked after: a bead, standing water for what holds it, and again by use', () => {
    expect(checksFor(['water'], 'acrylic')).toEqual(['bead', 'look', 'standing water']);
    expect(checksFor(['plants'], undefined)).toEqual([]);
    expect(resealMonths('wax', ['indoors'])).toBe(12);
    expect(resealMonths('penetrating', ['frost'])).toBe(60);
  });
});

describe('decorating', () => {
  const asked = { at: 0, dryEnough: true, sealed: false } as const;

  it.each([
    ['paint on a damp piece', { ...asked, decoration: 'paint', dryEnough: false }, 'not dry enough'],
    ['paint on a sealed piece', { ...asked, decoration: 'paint', sealed: true }, 'goes under the sealer'],
    ['a label on a bare one', { ...asked, decoration: 'label' }, 'seal it first'],
    ['a wash on wet paint', { ...asked, decoration: 'wash', dryAt: 3 * HOUR }, 'another 3 h'],
  ] as const)('is told of %s', (_, given, said) => {
    expect(english(againstDecoration(given)).join()).toContain(said);
  });

  it('lets a dye bath on a damp, bare piece', () => {
    expect(againstDecoration({ ...asked, decoration: 'dye bath', dryEnough: false })).toEqual([]);
  });
});

it('a trial tile says whether to seal that way, and why not', () => {
  const tile = {
    sealer: 'acrylic',
    tool: 'brush',
    coats: 1,
    sheen: 'satin',
    streaks: 'none',
    smells: false,
    bead: 'stands',
    stain: 'wipes off',
    liked: true,
  } as const;
  expect(readTile(tile).good).toBe(true);
  expect(english(readTile({ ...tile, bead: 'soaks in' }))).toMatchObject({
    good: false,
    told: [expect.stringContaining('one more')],
  });
  expect(english(readTile({ ...tile, streaks: 'plain' }).told).join()).toContain('cloth or a spray');
});
