import fc from 'fast-check';
import { english, refusal } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import { stockFor } from '../mixes/index.js';
import {
  colourDifference,
  doseLadder,
  fromBottle,
  LADDER,
  leastBinder,
  matchWarnings,
  pickColour,
  spectrumOf,
  weighTint,
  type BatchColour,
  type Pixels,
  type TintDose,
} from './index.js';

const base = spectrumOf('#dcd7cc');
const dose = (name: string, hex: string, amount: number): TintDose => ({
  name,
  colourant: { spectrum: spectrumOf(hex), strength: 40, levelling: 4 },
  dose: amount,
});
const brick = [dose('Red', '#7a2418', 1.2), dose('Yellow', '#b07a1e', 0.4)];

describe('a tint on the scale', () => {
  it('is told in grams with what the rounding does to its colour', () => {
    const { grams, away } = weighTint(base, brick, 1000, 0.1);
    expect(grams).toEqual([12, 4]);
    expect(away).toBeCloseTo(0, 9);
    const coarse = weighTint(base, brick, 30, 1);
    expect(coarse.grams).toEqual([0, 0]);
    expect(coarse.away).toBeGreaterThan(5);
    expect(refusal(() => weighTint(base, brick, 0, 1))).toMatch(/binder/);
  });
  it('shows no rounding from its least batch on, however much more is made', () => {
    const least = leastBinder(base, brick, 1);
    fc.assert(
      fc.property(fc.double({ min: 1, max: 20, noNaN: true }), (times) => {
        expect(weighTint(base, brick, least * times, 1).away).toBeLessThanOrEqual(1 + 1e-9);
      }),
    );
    expect(leastBinder(base, brick, 0.1)).toBeLessThan(least);
    expect(refusal(() => leastBinder(base, [dose('Red', '#7a2418', 0.001)], 1000))).toMatch(/cannot be matched/);
  });
  it('too small for it is dosed out of a stock, so much pigment in so much water', () => {
    const { powder: pigment, water, dose: drops } = stockFor(0.7, 1);
    expect([pigment, water]).toEqual([50, 100]);
    expect((drops / water) * pigment).toBeCloseTo(0.7, 12);
    expect(refusal(() => stockFor(0, 1))).toMatch(/mass/);
  });
});

describe('chips', () => {
  it('stand in a ladder, each its own small batch', () => {
    const ladder = doseLadder('Red', 600);
    expect(ladder.map(({ dose: one }) => one)).toEqual(LADDER);
    expect(ladder[2]).toEqual({ dose: 2, label: 'Red 2 %', binder: 12, pigment: 0.24 });
    expect(refusal(() => doseLadder('Red', 600, [0]))).toMatch(/doses\.0/);
  });
  it('of a bottle are dosed by what left it, on its solids', () => {
    expect(fromBottle(240, 228, 0.4)).toBeCloseTo(4.8, 12);
    expect(refusal(() => fromBottle(228, 240))).toMatch(/after/);
  });
});

describe('a batch that is to match another', () => {
  const batch: BatchColour = { lots: { Red: 'a', Cement: 'c' }, ratio: 0.5, sand: 'fine', rounding: 0.2, cure: 'film' };
  it('like it is warned of nothing', () => expect(matchWarnings(batch, { ...batch, ratio: 0.515 })).toEqual([]));
  it.each<[Partial<BatchColour>, RegExp]>([
    [{ lots: { Red: 'b', Cement: 'c' } }, /Red comes from another lot/],
    [{ ratio: 0.53 }, /0\.03 higher: it dries paler/],
    [{ ratio: 0.47 }, /0\.03 lower: it dries darker/],
    [{ sand: 'sharp' }, /Another sand/],
    [{ rounding: 1.4 }, /ΔE 1\.4/],
    [{ cure: 'bag' }, /under bag, and not film/],
  ])('with %j is warned', (over, told) => {
    const warned = matchWarnings(batch, { ...batch, ...over });
    expect(warned).toHaveLength(1);
    expect(english(warned[0])).toMatch(told);
  });
});

describe('a colour out of a picture', () => {
  const CARD = [118, 118, 118] as const;
  /** Left half the face, right half the card, under light of that tint. */
  function picture(face: readonly number[], card: readonly number[], light: readonly number[]): Pixels {
    const data = new Uint8ClampedArray(40 * 20 * 4);
    for (let i = 0; i < 40 * 20; i++) {
      const of = i % 40 < 20 ? face : card;
      // Light falls on linear values; the camera writes them with the screen's own curve.
      const lit = of.map((n, k) => 255 * ((n / 255) ** 2.2 * light[k]!) ** (1 / 2.2));
      data.set([lit[0]!, lit[1]!, lit[2]!, 255], i * 4);
    }
    return { width: 40, height: 20, data };
  }
  const face = [170, 120, 90];
  const at = { x: 9, y: 10 };
  const card = { kind: 'grey-card', at: { x: 30, y: 10 } } as const;

  it('is the same under warm and under cold light where a grey card lies in it', () => {
    const [warm, cold] = [
      [1, 0.8, 0.6],
      [0.7, 0.85, 1],
    ].map((light) => pickColour(picture(face, CARD, light), at, card));
    expect(colourDifference(warm!.colour, cold!.colour)).toBeLessThan(2);
    expect(warm!.sure).toBe(true);
    const bare = [
      [1, 0.8, 0.6],
      [0.7, 0.85, 1],
    ].map((light) => pickColour(picture(face, CARD, light), at));
    expect(bare.every(({ sure }) => !sure)).toBe(true);
    expect(colourDifference(bare[0]!.colour, bare[1]!.colour)).toBeGreaterThan(6);
  });
  it('is not thrown off by a grain or a glint', () => {
    const clean = picture(face, CARD, [1, 1, 1]);
    const grained = { ...clean, data: new Uint8ClampedArray(clean.data) };
    for (const i of [9 + 40 * 10, 10 + 40 * 11, 8 + 40 * 9]) grained.data.set([255, 255, 255], i * 4);
    expect(colourDifference(pickColour(clean, at).colour, pickColour(grained, at).colour)).toBeLessThan(0.5);
  });
  it('off the picture, or by a card that is burnt out, is refused', () => {
    const burnt = picture(face, [255, 255, 255], [1, 1, 1]);
    expect(refusal(() => pickColour(burnt, at, card))).toMatch(/burnt out/);
    expect(refusal(() => pickColour(burnt, { x: 900, y: 10 }))).toMatch(/not in the picture/);
  });
});
