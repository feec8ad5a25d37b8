import fc from 'fast-check';
import { english, refusal } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import { recipeOfStarter, recipe } from '../../testing/examples.js';
import type { Scoop, ScoopStep } from '../materials/index.js';
import { massesPerPart, ratioCeiling, scaleMasses, starters, type BatchMasses, type Mix } from '../mixes/index.js';
import { fewestScoops } from './fewest-scoops.js';
import {
  isSound,
  measureBatch,
  measuredBatch,
  measuringFaults,
  measuringWays,
  proposeWay,
  scoopings,
  type Measuring,
} from './index.js';

const conditions = { moistCuringDays: 7 };
const scoopOf = (volume: number): Scoop => ({ id: `${volume}`, name: `the ${volume}`, volume });

/** A batch of a mix that makes `need` mL and its spare, and how it is measured. */
function asked(mix: Mix, need: number, over: Partial<Measuring['vessels']> & { spare?: number } = {}) {
  const { spare = 0, ...vessels } = over;
  const perPart = massesPerPart(mix, conditions);
  const batch: BatchMasses = scaleMasses(perPart, (need * (1 + spare)) / perPart.volume);
  const measuring: Measuring = {
    mix,
    conditions,
    moisture: {},
    spare,
    vessels: { scoop: scoopOf(400), scoops: [scoopOf(400)], step: 0.25, scaleStep: 1, ...vessels },
  };
  return { batch, measuring };
}

const starter = (key: string) => recipeOfStarter(starters.find((one) => one.key === key)!);

describe('the fewest scoops', () => {
  it('are as few as trying everything finds', () => {
    const volumes = fc.uniqueArray(fc.integer({ min: 40, max: 900 }), { minLength: 1, maxLength: 4 });
    const steps = fc.constantFrom<ScoopStep>(1, 0.5, 0.25);
    fc.assert(
      fc.property(volumes, steps, fc.integer({ min: 60, max: 4000 }), (sizes, step, wanted) => {
        const [least, most] = [wanted * 0.97, wanted * 1.03];
        let fewest = Infinity;
        for (const a of sizes)
          for (const b of sizes)
            for (let n = 0; n * a <= most + 1e-9; n += step)
              for (let m = 0; n * a + m * b <= most + 1e-9; m += step)
                if (n * a + m * b >= least - 1e-9) fewest = Math.min(fewest, scoopings(n) + (a === b ? Infinity : scoopings(m)), a === b ? scoopings(n + m) : Infinity); // prettier-ignore
        const found = fewestScoops([least, most], sizes.map(scoopOf), step);
        expect(found?.scoopings ?? Infinity).toBe(fewest > 60 ? Infinity : fewest);
        if (found) expect(found.volume >= least - 1e-6 && found.volume <= most + 1e-6).toBe(true);
      }),
      { numRuns: 300 },
    );
  });

  it('are whole ones of one scoop where that takes no more scoopings', () => {
    const found = fewestScoops([990, 1010], [scoopOf(500), scoopOf(510), scoopOf(1000)], 0.25)!;
    expect(found.measures).toEqual([{ kind: 'scoop', scoop: scoopOf(1000), count: 1 }]);
  });
});

describe('a batch that is measured', () => {
  it('by the scale comes to the gram: two jars of gypsum of 178 mL, and nothing left', () => {
    const { batch, measuring } = asked(starter('gypsum'), 2 * 178);
    const found = measureBatch(batch, 'scale', measuring);
    const [measure] = found.lines[0]!.measures;
    expect(measure).toEqual({ kind: 'scale', mass: Math.round(batch.portions[0]!.mass * found.factor) });
    expect(found.made).toBeGreaterThanOrEqual(356 - 1e-3);
    expect(found.made).toBeLessThan(357);
  });

  it('by whole scoops and the rest on the scale holds what it should, to the gram', () => {
    const { batch, measuring } = asked(starter('garden'), 5000);
    const { lines } = measureBatch(batch, 'scoop-and-scale', measuring);
    for (const { material, mass, measures, measured } of lines) {
      const grams = measures.reduce((sum, one) => sum + (one.kind === 'scoop' ? one.count * one.scoop.volume * material.bulk : one.mass), 0); // prettier-ignore
      expect(grams).toBeCloseTo(measured, 6);
      expect(Math.abs(grams - mass)).toBeLessThanOrEqual(1.001);
    }
  });

  it('never falls short, keeps its ratios and leaves no more than the spare wherever its way is sound', () => {
    const keys = starters.map(({ key }) => key);
    const any = fc.record({
      key: fc.constantFrom(...keys),
      need: fc.integer({ min: 150, max: 20_000 }),
      sizes: fc.uniqueArray(fc.integer({ min: 30, max: 1500 }), { minLength: 1, maxLength: 5 }),
      step: fc.constantFrom<ScoopStep>(1, 0.5, 0.25),
      spare: fc.constantFrom(0, 0.03, 0.05, 0.1),
      scaleStep: fc.constantFrom(0.1, 1, 5),
    });
    fc.assert(
      fc.property(any, ({ key, need, sizes, step, spare, scaleStep }) => {
        const scoops = sizes.map(scoopOf);
        const { batch, measuring } = asked(starter(key), need, {
          scoop: scoops[0]!,
          scoops,
          step,
          spare,
          scaleStep,
        });
        for (const way of measuringWays) {
          const found = measureBatch(batch, way, measuring);
          const faults = measuringFaults(found, batch, measuring);
          expect(faults.short, `${way} falls short`).toBe(0);
          const real = found.made / need - 1;
          expect(faults.over > 0 || real <= spare + (found.way.includes('scale') ? 0.005 : 0) + 1e-5).toBe(true);
          expect(faults.off > 0 || found.worst <= 0.03 + 1e-5).toBe(true);
          if (ratioCeiling[measuring.mix.exposure] >= found.ratio) expect(faults.wet).toBe(0);
        }
      }),
      { numRuns: 1000 },
    );
  });

  it('by several scoops takes as few scoopings as trying everything finds', () => {
    const sizes = fc.uniqueArray(fc.integer({ min: 150, max: 900 }), { minLength: 2, maxLength: 2 });
    fc.assert(
      fc.property(sizes, fc.integer({ min: 800, max: 4000 }), (given, need) => {
        const scoops = given.map(scoopOf);
        const { batch, measuring } = asked(starter('garden'), need, { scoops, step: 1, spare: 0.05 });
        const found = measureBatch(batch, 'scoops', measuring);
        const [cement, sand] = found.lines;
        const amounts = (most: number) => {
          const all: { volume: number; count: number }[] = [];
          for (let n = 0; n * given[0]! <= most; n++)
            for (let m = 0; n * given[0]! + m * given[1]! <= most; m++)
              if (n + m > 0) all.push({ volume: n * given[0]! + m * given[1]!, count: n + m });
          return all;
        };
        const measuredBy = ({ material }: { material: { bulk: number } }, volume: number) => ({
          measures: [],
          measured: volume * material.bulk,
        });
        let fewest = Infinity;
        const room = (at: number) => batch.portions[at]!.mass / batch.portions[at]!.material.bulk;
        for (const one of amounts(room(0) * 1.03))
          for (const other of amounts(room(1) * 1.07)) {
            if (one.count + other.count >= fewest) continue;
            const tried = measuredBatch(batch, 'scoop', [measuredBy(cement!, one.volume), measuredBy(sand!, other.volume)], measuring); // prettier-ignore
            if (isSound(measuringFaults(tried, batch, measuring))) fewest = one.count + other.count;
          }
        const sound = isSound(measuringFaults(found, batch, measuring));
        expect(sound || fewest === Infinity).toBe(true);
        if (sound) expect(found.measures).toBe(fewest);
      }),
      { numRuns: 80 },
    );
  });

  it('by several scoops takes no more scoopings than by any one of them that comes out right', () => {
    const sizes = fc.uniqueArray(fc.integer({ min: 80, max: 1200 }), { minLength: 2, maxLength: 4 });
    fc.assert(
      fc.property(sizes, fc.integer({ min: 1000, max: 12_000 }), (given, need) => {
        const scoops = given.map(scoopOf);
        const { batch, measuring } = asked(starter('garden'), need, { scoops, spare: 0.05 });
        const several = measureBatch(batch, 'scoops', measuring);
        for (const scoop of scoops) {
          const one = measureBatch(batch, 'scoop', { ...measuring, vessels: { ...measuring.vessels, scoop } });
          const { short, off, wet, over } = measuringFaults(one, batch, measuring);
          if (short + off + wet + over > 0 || one.measures > 60) continue;
          expect(several.measures).toBeLessThanOrEqual(one.measures);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('without a scoop is weighed', () => {
    const { batch, measuring } = asked(starter('garden'), 2000, { scoop: undefined, scoops: [] });
    for (const way of measuringWays)
      expect(measureBatch(batch, way, measuring).lines.every(({ measures }) => measures[0]!.kind === 'scale')).toBe(
        true,
      );
  });

  it('by more scoops than anyone owns is measured by the first sixteen', () => {
    const scoops = Array.from({ length: 200 }, (_, i) => scoopOf(60 + 7 * i));
    const { batch, measuring } = asked(starter('garden'), 9000, { scoops, spare: 0.05 });
    const few = { ...measuring, vessels: { ...measuring.vessels, scoops: scoops.slice(0, 16) } };
    expect(measureBatch(batch, 'scoops', measuring)).toEqual(measureBatch(batch, 'scoops', few));
  });

  it('refuses a scale and a scoop of no size by name', () => {
    const { batch, measuring } = asked(starter('garden'), 2000, { scaleStep: 0 });
    expect(refusal(() => measureBatch(batch, 'scale', measuring))).toMatch(/step of the scale/);
    const none = asked(starter('garden'), 2000, { scoop: scoopOf(0) });
    expect(refusal(() => measureBatch(none.batch, 'scoop', none.measuring))).toMatch(/volume of the 0/);
  });
});

describe('the way that is proposed', () => {
  const propose = (key: string, need: number, over: Parameters<typeof asked>[2] = {}) => {
    const { batch, measuring } = asked(starter(key), need, over);
    return proposeWay(batch, measuring, starters.find((one) => one.key === key)!.binderClass);
  };

  it('is the scale for what sets in minutes, with its reason', () => {
    expect(english(propose('gypsum', 400))).toEqual({
      way: 'scale',
      reason: expect.stringMatching(/gypsum is weighed/),
    });
    expect(english(propose('quick', 400))).toMatchObject({
      way: 'scale',
      reason: expect.stringMatching(/sets in minutes/),
    });
  });

  it('is one scoop where that comes out right, and more only where it does not', () => {
    expect(english(propose('garden', 8000, { spare: 0.05 }))).toMatchObject({ way: 'scoop' });
    const [can, cup] = [scoopOf(1000), scoopOf(150)];
    expect(propose('garden', 4000, { scoop: can, scoops: [can, cup], step: 0.5, spare: 0.05 }).way).toBe('scoops');
    expect(propose('garden', 200, { scoop: can, scoops: [can], step: 1 }).way).toBe('scoop-and-scale');
  });

  it('passes by a scale that is too coarse, and a scoop that is too large', () => {
    expect(propose('gypsum', 400, { scaleStep: 500, spare: 0.05 }).way).not.toBe('scale');
    expect(propose('garden', 200, { scoop: scoopOf(5000), scoops: [scoopOf(5000)], spare: 0.05 }).way).not.toBe(
      'scoop',
    );
  });
});

it('a mix of eight lines is measured with six scoops', () => {
  const keys = ['grey-cement', 'lime', 'fine-sand', 'sharp-sand', 'pea-gravel', 'perlite', 'vermiculite', 'peat'];
  const mix = recipe(keys.map((key, i) => [key, 1 + i / 4] as const));
  const scoops = [95, 140, 240, 410, 900, 1700].map(scoopOf);
  const { batch, measuring } = asked(mix, 9000, { scoops, spare: 0.05 });
  const found = measureBatch(batch, 'scoops', measuring);
  expect(measuringFaults(found, batch, measuring)).toEqual({ short: 0, off: 0, wet: 0, over: 0 });
});
