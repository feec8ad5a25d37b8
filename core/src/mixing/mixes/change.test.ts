import { refusal } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import { InputError } from '../../foundation/units/index.js';
import { dose, material, recipeOfStarter, recipe, sandCement } from '../../testing/examples.js';
import {
  broughtWater,
  changeHolding,
  largestFromStore,
  lighten,
  massesPerPart,
  moistureByDrying,
  calculateMix,
  sizeToBucket,
  sizeToMass,
  sizeToVolume,
  starters,
  toldBy,
  tooWet,
  totalWater,
  wettest,
  type Held,
} from './index.js';

const week = { moistCuringDays: 7 };
const batchOf = (volume: number) => sizeToVolume(massesPerPart(sandCement(), week), volume);

describe('one line changed while something is held', () => {
  const panel = recipe([
    ['grey-cement', 1],
    ['fine-sand', 1],
    ['perlite', 2],
  ]);
  const measure = { 'water-cement': 'ratio', strength: 'strength', density: 'dryDensity' } as const;
  it.each<[Exclude<Held, 'ratio'>, number, number]>([
    ['water-cement', 1, 1.5],
    ['water-cement', 2, 1.5],
    ['strength', 2, 2.2],
    ['strength', 1, 0.6],
    ['density', 1, 1.4],
    ['density', 0, 1.2],
  ])('%s stays when line %d becomes %d', (hold, line, parts) => {
    const changed = changeHolding(panel, { line, parts, hold }, week);
    expect(changed.lines[line]!.parts).toBe(parts);
    const of = (mix: typeof panel) => calculateMix(mix, week)[measure[hold]].value;
    expect(of(changed) / of(panel)).toBeCloseTo(1, 6);
    expect(changed.lines.map(({ material: { id } }) => id)).toEqual(panel.lines.map(({ material: { id } }) => id));
  });

  it('the ratio stays when everything goes along', () => {
    const { lines } = changeHolding(panel, { line: 0, parts: 3, hold: 'ratio' }, week);
    expect(lines.map(({ parts }) => parts)).toEqual([3, 3, 6]);
  });

  it('a line that would give way to itself, and what cannot be held, are refused with the reason', () => {
    expect(refusal(() => changeHolding(panel, { line: 0, parts: 2, hold: 'strength', adjust: 0 }, week))).toMatch(
      /give way/,
    );
    expect(refusal(() => changeHolding(panel, { line: 9, parts: 2, hold: 'ratio' }, week))).toMatch(/no line 10/);
    const alone = recipe([['grey-cement', 1]]);
    expect(refusal(() => changeHolding(alone, { line: 0, parts: 2, hold: 'density' }, week))).toMatch(
      /cannot stay as it is/,
    );
    expect(() => changeHolding(panel, { line: 2, parts: 900, hold: 'strength' }, week)).toThrow(InputError);
    expect(refusal(() => changeHolding(panel, { line: 2, parts: -1, hold: 'strength' }, week))).toMatch(
      /lines\.2\.parts/,
    );
  });
});

describe('parts', () => {
  it('by volume, by mass, and by volume again are the same, for every mix of the library', () => {
    for (const starter of starters) {
      const mix = recipeOfStarter(starter);
      const back = toldBy(toldBy(mix, 'mass'), 'volume');
      const straight = toldBy(mix, 'volume');
      back.lines.forEach(({ parts }, i) => expect(parts).toBeCloseTo(straight.lines[i]!.parts, 9));
      expect(massesPerPart(toldBy(mix, 'mass'), week).volume).toBeCloseTo(massesPerPart(mix, week).volume, 6);
    }
  });

  it('of volume and of mass may stand in one recipe', () => {
    const mixed = {
      ...sandCement(),
      lines: [{ ...sandCement().lines[0]!, parts: 1.3, by: 'mass' as const }, sandCement().lines[1]!],
    };
    expect(massesPerPart(mixed, week)).toEqual(massesPerPart(sandCement(), week));
  });
});

describe('a lighter mix', () => {
  const heavy = sandCement(4);
  it('weighs less by what was asked, and says what that costs in strength', () => {
    const { after, before, reached, swapped, mix } = lighten(heavy, 0.3, material('perlite'), week);
    expect(reached).toBeCloseTo(0.3, 6);
    expect(after.dryDensity.value / before.dryDensity.value).toBeCloseTo(0.7, 6);
    expect(after.strength.value).toBeLessThan(before.strength.value);
    expect(swapped).toBeGreaterThan(0);
    expect(mix.lines.map(({ material: { id } }) => id)).toEqual(['grey-cement', 'sharp-sand', 'perlite']);
  });
  it('goes as far as it can where all the sand is not enough', () => {
    const { reached, swapped, mix } = lighten(heavy, 0.8, material('perlite'), week);
    expect(swapped).toBe(1);
    expect(reached).toBeLessThan(0.8);
    expect(mix.lines.some(({ material: { id } }) => id === 'sharp-sand')).toBe(false);
  });
  it('is refused without sand to give way, and with gravel for a light grain', () => {
    expect(refusal(() => lighten(recipe([['grey-cement', 1]]), 0.3, material('perlite'), week))).toMatch(
      /no sand or gravel/,
    );
    expect(refusal(() => lighten(heavy, 0.3, material('pea-gravel'), week))).toMatch(/no light grain/);
    expect(() => lighten(heavy, 0.9, material('perlite'), week)).toThrow(InputError);
  });
});

describe('the size of a batch', () => {
  const perPart = massesPerPart({ ...sandCement(), doses: [dose('red-oxide', 0.03)] }, week);
  const lot = (materialId: string, left: number, over = {}) => ({
    materialId,
    bought: 25000,
    left,
    price: 5,
    boughtAt: 0,
    ...over,
  });
  it('is linear in everything', () => {
    expect(sizeToVolume(perPart, 5000).volume).toBeCloseTo(5000, 9);
    expect(sizeToBucket(perPart, 12000).volume).toBeCloseTo(8000, 9);
    expect(sizeToMass(perPart, 'grey-cement', 25000).portions[0]!.mass).toBeCloseTo(25000, 9);
    expect(refusal(() => sizeToMass(perPart, 'lime', 25000))).toMatch(/not in the mix/);
    expect(() => sizeToVolume(perPart, 0)).toThrow(InputError);
  });
  it('is what the shortest lot allows; a lumpy one allows nothing', () => {
    const lots = [lot('grey-cement', 10000), lot('sharp-sand', 90000), lot('red-oxide', 100)];
    const { batch, shortest } = largestFromStore(perPart, lots)!;
    expect(shortest.id).toBe('red-oxide');
    expect(batch.doses[0]!.mass).toBeCloseTo(100, 9);
    expect(largestFromStore(perPart, lots.slice(0, 2))).toBeUndefined();
    expect(largestFromStore(perPart, [...lots.slice(1), lot('grey-cement', 9000, { lumpy: true })])).toBeUndefined();
  });
});

describe('a batch too wet', () => {
  const batch = { ...batchOf(4000) };
  it('comes right by every dry ingredient, as damp as it is, in ratio', () => {
    const moisture = { 'sharp-sand': 0.05 };
    const really = totalWater(batch.portions, 6);
    const { share, add } = tooWet(batch, really, moisture);
    const by = share.value;
    expect(add[0]!.mass / batch.portions[0]!.mass).toBeCloseTo(by, 12);
    expect(add[1]!.mass / batch.portions[1]!.mass).toBeCloseTo(by * 1.05, 12);
    // What is in the bucket then has its water again: the wanted water of the grown batch.
    expect(really + by * broughtWater(batch, moisture)).toBeCloseTo(batch.totalWater * (1 + by), 6);
  });
  it('is refused where it is not too wet, and where damp sand alone brings all the water', () => {
    expect(refusal(() => tooWet(batch, batch.totalWater, {}))).toMatch(/really/);
    expect(refusal(() => tooWet(batch, batch.totalWater + 100, { 'sharp-sand': 0.3 }))).toMatch(/cannot dry it/);
  });
});

describe('damp materials', () => {
  it('may be as wet as each can hold: sand before it flows, peat and coir before they drip', () => {
    expect([wettest(material('sharp-sand')), wettest(material('peat')), wettest(material('coir'))]).toEqual([
      0.3,
      expect.closeTo(2.7, 9),
      expect.closeTo(3.3, 9),
    ]);
    const mix = recipe([['grey-cement', 2], ['perlite', 3], ['peat', 3]], { grade: 3, packed: true }); // prettier-ignore
    const batch = sizeToVolume(massesPerPart(mix, week), 4715.94);
    expect(batch.totalWater).toBeCloseTo(2281, -1);
    expect(batch.totalWater - broughtWater(batch, { peat: 0.6 })).toBeCloseTo(2011, -1);
    expect(refusal(() => broughtWater(batch, { peat: 3 }))).toMatch(/moisture\.peat/);
    const sand = sizeToVolume(massesPerPart(sandCement(), week), 1000);
    expect(refusal(() => broughtWater(sand, { 'sharp-sand': 0.31 }))).toMatch(/moisture\.sharp-sand/);
  });
});

describe('moisture of a handful', () => {
  it('of peat is more than its dry mass, where that is what it can hold', () =>
    expect(moistureByDrying(180, 100, wettest(material('peat'))).value).toBeCloseTo(80, 9));
  it('is what dried out of it', () => {
    expect(moistureByDrying(525, 500).value).toBeCloseTo(5, 9);
    expect(moistureByDrying(500, 500).value).toBe(0);
  });
  it.each([
    [490, 500, 'damp'],
    [800, 500, 'damp'],
    [500, 0, 'dry'],
  ])('%d g damp, %d g dried is refused', (damp, dry, field) => {
    expect(() => moistureByDrying(damp, dry)).toThrow(new RegExp(`^${field}`));
  });
});
