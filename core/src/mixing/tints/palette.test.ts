import fc from 'fast-check';
import { english } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import { InputError } from '../../foundation/units/index.js';
import { dose, material, recipe, sandCement } from '../../testing/examples.js';
import {
  afterCure,
  baseOf,
  binderPerLitre,
  checkColouring,
  checkTint,
  chipGrams,
  colourDifference,
  colourantOf,
  dryColour,
  faceCover,
  gritsFor,
  hexOf,
  knownBase,
  labOf,
  learnColours,
  lightness,
  marble,
  calculateTint,
  sandingDepth,
  spectrumOf,
  tintBaseOf,
  tintedBase,
  tintWarnings,
  washBetween,
  type KnownColours,
  type MeasuredChip,
  type Tint,
} from './index.js';

const nothing: KnownColours = learnColours([]);
const white = { binder: material('white-cement'), sand: material('fine-sand') };
const grey = { binder: material('grey-cement'), sand: material('sharp-sand') };
const tint = (...doses: [string, number][]): Tint => ({
  base: white,
  doses: doses.map(([key, amount]) => dose(key, amount)),
});
const issues = (act: () => unknown) => {
  try {
    act();
  } catch (error) {
    if (error instanceof InputError) return error.issues.map(({ field }) => field);
    throw error;
  }
  return [];
};

/** A chip out of a world in which a pigment has that strength. */
const chip = (key: string, amount: number, strength: number, base = white): MeasuredChip => {
  const own = { ...colourantOf(material(key)), strength };
  const { spectrum } = knownBase(base, nothing);
  return {
    base,
    doses: [dose(key, amount)],
    measured: hexOf(tintedBase(spectrum, [{ colourant: own, dose: amount * 100 }])),
  };
};

describe('a base without pigment', () => {
  it('of one material has that material’s colour', () => {
    expect(colourDifference(baseOf([{ material: material('white-cement'), mass: 1000 }]), '#ece9e1')).toBeLessThan(0.1);
  });

  it('lies between its cement and its sand, and a coarser sand shows less', () => {
    const off = (sand: string) =>
      colourDifference(
        baseOf([
          { material: material('white-cement'), mass: 1000 },
          { material: { ...material(sand), colour: '#8a5a2a' }, mass: 2500 },
        ]),
        '#ece9e1',
      );
    expect(off('fine-sand')).toBeGreaterThan(off('sharp-sand'));
    expect(off('sharp-sand')).toBeGreaterThan(off('pea-gravel'));
    expect(off('pea-gravel')).toBeGreaterThan(0);
  });

  it('whose cement has no colour is refused with what to do, until a chip of it tells', () => {
    const { colour: _, ...bare } = material('grey-cement');
    const unknown = { binder: bare };
    expect(issues(() => calculateTint({ base: unknown, doses: [] }, nothing))).toEqual(['base']);
    const known = learnColours([{ base: unknown, doses: [], measured: '#aaa49a' }]);
    expect(calculateTint({ base: unknown, doses: [] }, known).looks[1]!.colour).toBe('#aaa49a');
    expect(english(calculateTint({ base: unknown, doses: [] }, known).restsOn)).toContain(
      'a measured chip of the base',
    );
  });

  it('of a mix is its heaviest binder and its most sand', () => {
    const mix = recipe([
      ['lime', 1],
      ['white-cement', 1],
      ['fine-sand', 1],
      ['sharp-sand', 2],
      ['perlite', 3],
    ]);
    expect(tintBaseOf(mix)).toMatchObject({ binder: { id: 'white-cement' }, sand: { id: 'sharp-sand' } });
  });
});

describe('what chips teach', () => {
  it('is each pigment’s strength, the better the more there are', () => {
    const far = (count: number) => {
      const known = learnColours([0.01, 0.02, 0.04].slice(0, count).map((amount) => chip('red-oxide', amount, 90)));
      return Math.abs((known.pigments.get('red-oxide')?.fit.strength ?? 40) - 90);
    };
    expect(far(1)).toBeLessThan(far(0));
    expect(far(3)).toBeLessThan(far(1));
    expect(far(3)).toBeLessThan(9);
    const { fit } = learnColours([chip('red-oxide', 0.02, 90)]).pigments.get('red-oxide')!;
    expect(fit.after).toBeLessThan(fit.before);
  });

  it('comes out of chips with two pigments too, once one of them is known', () => {
    const both: MeasuredChip = {
      base: white,
      doses: [dose('red-oxide', 0.02), dose('yellow-oxide', 0.02)],
      measured: hexOf(
        tintedBase(knownBase(white, nothing).spectrum, [
          { colourant: { ...colourantOf(material('red-oxide')), strength: 80 }, dose: 2 },
          { colourant: { ...colourantOf(material('yellow-oxide')), strength: 25 }, dose: 2 },
        ]),
      ),
    };
    const reds = [0.01, 0.03].map((amount) => chip('red-oxide', amount, 80));
    const strength = learnColours([...reds, both]).pigments.get('yellow-oxide')!.fit.strength;
    expect(Math.abs(strength - 25)).toBeLessThan(Math.abs(40 - 25) / 2);
  });

  it('is nothing from a chip whose pigment has no colour', () => {
    const { colour: _, ...bare } = material('red-oxide');
    const known = learnColours([{ base: white, doses: [{ material: bare, amount: 0.02 }], measured: '#a05040' }]);
    expect(known.pigments.size).toBe(0);
  });
});

describe('a tint', () => {
  it('is darker wet than dry, and a film takes it most of the way', () => {
    const { looks } = calculateTint(tint(['red-oxide', 0.02]), nothing);
    const light = Object.fromEntries(looks.map(({ look, colour }) => [look, lightness(colour)]));
    expect(light.wet).toBeLessThan(light.film!);
    expect(light.film).toBeLessThan(light.matt!);
    expect(light.matt).toBeLessThan(light.penetrating!);
    expect(light.penetrating).toBeLessThan(light.dry!);
    expect(light.fresh).toBe(light.wet);
  });

  it('that no chip told of is drawn as neighbours further apart, and says so', () => {
    const width = (known: KnownColours) => {
      const { doubt } = calculateTint(tint(['red-oxide', 0.02]), known);
      return colourDifference(doubt[0]!, doubt[doubt.length - 1]!);
    };
    const known = learnColours([chip('red-oxide', 0.01, 44), chip('red-oxide', 0.03, 44)]);
    expect(width(nothing)).toBeGreaterThan(2 * width(known));
    expect(english(calculateTint(tint(['red-oxide', 0.02]), nothing).restsOn)).toMatch(
      /No chip yet of iron oxide, red/,
    );
    expect(english(calculateTint(tint(['red-oxide', 0.02]), known).restsOn)).toMatch(/your chips \(2\)/);
  });

  it('of a blue that fades and of flakes that want a thin mix warns of it', () => {
    expect(english(tintWarnings([dose('ultramarine', 0.02)])[0])).toMatch(/does not last in cement, lime or the sun/);
    expect(english(tintWarnings([dose('bronze-mica', 0.02)])[0])).toMatch(/thin mix/);
    expect(english(tintWarnings([dose('acrylic-paint', 0.02)], { family: 'lime' })[0])).toMatch(/seals lime off/);
    expect(tintWarnings([dose('red-oxide', 0.02)])).toEqual([]);
  });

  it('costs strength over five per cent of pigment, and none under', () => {
    expect(calculateTint(tint(['red-oxide', 0.04]), nothing).strength).toBe(1);
    expect(calculateTint(tint(['red-oxide', 0.04], ['yellow-oxide', 0.04]), nothing).strength).toBeCloseTo(0.94, 6);
  });

  it('that cannot be is refused by field', () => {
    const { colour: _, ...bare } = material('red-oxide');
    expect(issues(() => checkTint({ base: { binder: material('fine-sand') }, doses: [] }))).toEqual(['base.binder']);
    expect(issues(() => checkTint({ base: { ...white, sand: material('perlite') }, doses: [] }))).toEqual([
      'base.sand',
    ]);
    expect(issues(() => checkTint({ base: white, doses: [{ material: bare, amount: 0.02 }] }))).toEqual([
      'doses.0.material',
    ]);
    expect(issues(() => checkTint(tint(['red-oxide', 0.12])))).toEqual(['doses.0.amount']);
  });

  it('in a mix is calculated on that mix’s own base: paler on white than on grey', () => {
    const doses = [dose('red-oxide', 0.02)];
    const onWhite = dryColour(recipe([['white-cement', 1], ['fine-sand', 2]]), nothing, doses); // prettier-ignore
    expect(labOf(onWhite)[0]).toBeGreaterThan(labOf(dryColour(sandCement(), nothing, doses))[0]);
  });
});

describe('one small chip', () => {
  it('is weighed to fill 20 mL: its grams are a share of a litre’s', () => {
    const { binder, sand, water, pigments } = chipGrams(tint(['red-oxide', 0.03]));
    expect(pigments[0]!.value).toBeCloseTo(0.03 * binder.value, 9);
    expect(sand!.value).toBeGreaterThan(binder.value);
    expect(binder.value / 20).toBeCloseTo(binderPerLitre(white) / 1000, 1);
    const room = binder.value / 3.1 + sand!.value / 2.65 + pigments[0]!.value / 4.8 + water.value;
    expect(room).toBeGreaterThan(18);
    expect(room).toBeLessThan(20.5);
    expect(chipGrams({ base: { binder: material('gypsum-cement') }, doses: [] }).sand).toBeUndefined();
    expect(binderPerLitre(grey)).toBeGreaterThan(400);
  });
});

describe('terrazzo', () => {
  it('is bare before it is ground, half covered at half a chip, and full past one', () => {
    expect(faceCover(0.2, 8, 0)).toBe(0);
    expect(faceCover(0.2, 8, sandingDepth(8))).toBeCloseTo(0.1, 12);
    expect(faceCover(0.2, 8, 8)).toBeCloseTo(0.2, 12);
    expect(faceCover(0.2, 8, 30)).toBeCloseTo(0.2, 12);
  });

  it('shows what a plane through strewn spheres shows', () => {
    // 2,000,000 mm³ under the face: middles even from half a chip inwards, by a sequence without chance.
    const [size, share, depth] = [6, 0.15, 2];
    const count = 20000;
    const volume = (count * Math.PI * size ** 3) / 6 / share;
    const deep = 60;
    const area = volume / deep;
    let cut = 0;
    for (let i = 0; i < count; i++) {
      const z = size / 2 + (((i + 0.5) * 0.6180339887) % 1) * deep;
      const away = Math.abs(z - depth);
      if (away < size / 2) cut += Math.PI * ((size / 2) ** 2 - away ** 2);
    }
    expect(cut / area).toBeCloseTo(faceCover(share, size, depth), 3);
  });

  it('is sanded through more grits the finer the face', () => {
    expect(gritsFor('matt').length).toBeLessThan(gritsFor('smooth').length);
    expect(gritsFor('shine').map(({ grit }) => grit)).toEqual([50, 100, 200, 400, 800, 1500]);
    expect(issues(() => faceCover(0.9, 0, -1))).toEqual(['share']);
  });
});

describe('a marbling', () => {
  it('is the same picture for the same seed, and another for another', () => {
    const one = marble([1, 1], 3, 80, 60);
    expect(marble([1, 1], 3, 80, 60).at).toEqual(one.at);
    expect(marble([1, 1], 4, 80, 60).at).not.toEqual(one.at);
  });

  it('runs in veins, and not in grains: most points are of the tint of the one beside them', () => {
    const { at, width } = marble([1, 1], 1, 120, 90);
    const alike = at.filter((tint, i) => i % width > 0 && tint === at[i - 1]).length;
    expect(alike / at.length).toBeGreaterThan(0.85);
  });

  it('shows each tint by its share', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 2, maxLength: 4 }),
        fc.nat(999),
        (shares, seed) => {
          const { at } = marble(shares, seed, 60, 50);
          const whole = shares.reduce((sum, share) => sum + share, 0);
          shares.forEach((share, i) => {
            const seen = at.filter((one) => one === i).length / at.length;
            expect(Math.abs(seen - share / whole)).toBeLessThan(0.01);
          });
        },
      ),
      { numRuns: 30 },
    );
  });
});

describe('kinds of colouring', () => {
  const part = (share: number) => ({ tint: 'a', share });
  it('take the tints they can take, in shares that come to all of the piece', () => {
    expect(issues(() => checkColouring({ kind: 'banded', parts: [part(0.4), part(0.6)] }))).toEqual([]);
    expect(issues(() => checkColouring({ kind: 'banded', parts: [part(0.4), part(0.4)] }))).toEqual([
      'colouring.parts',
    ]);
    expect(issues(() => checkColouring({ kind: 'solid', parts: [part(0.5), part(0.5)] }))).toEqual(['colouring.parts']);
    expect(issues(() => checkColouring({ kind: 'marbled', parts: [part(-1), part(2)] }))).toEqual([
      'colouring.parts.0.share',
      'colouring.parts.1.share',
    ]);
  });

  it('after the cure say how dry the piece must be and where they stand to the sealer', () => {
    expect(english(afterCure).map(({ key }) => key)).toEqual(['dye', 'wash', 'powder', 'foil']);
    expect(english(afterCure).find(({ key }) => key === 'foil')!.caution).toMatch(/Never in the mould/);
    expect(afterCure.every(({ sealer, steps }) => english(sealer).length > 0 && steps.length > 2)).toBe(true);
  });

  it('are washed for when the next is paler', () => {
    expect(english(washBetween('#eeeeee', '#333333'))).toMatch(/rinse/);
    expect(english(washBetween('#333333', '#eeeeee'))).toMatch(/until the water stays clear/);
    expect(spectrumOf('#333333').length).toBe(16);
  });
});
