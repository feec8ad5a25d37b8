import fc from 'fast-check';
import { english } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import { InputError } from '../../foundation/units/index.js';
import { fullVolume } from '../../geometry/moulds/index.js';
import { sayScoops, inScoops, canVolume, pricePerGram } from '../../mixing/materials/index.js';
import { starters } from '../../mixing/mixes/index.js';
import {
  can,
  material,
  recipeOfStarter,
  nested,
  nestedPot,
  said,
  sandCement,
  threePots as plan,
} from '../../testing/examples.js';
import { judgePour } from '../judging/index.js';
import {
  expectedByLog,
  expectedOf,
  plannedLog,
  mouldsPerBatch,
  calculateSheet,
  splitIntoBatches,
  type PourPlan,
} from './index.js';

describe('this mould, three times, in my own can', () => {
  it('takes exactly what three pots and the spare hold', () => {
    const sheet = calculateSheet(plan());
    const held = 3 * fullVolume(nestedPot);
    expect(sheet.amount.value).toBeGreaterThan(held);
    expect(sheet.amount.value).toBeLessThanOrEqual(1.05 * held);
    expect(sheet.batches.count).toBe(1);
    const [cement, sand] = sheet.batch.lines;
    expect(sand!.room / cement!.room).toBeCloseTo(2.5, 9);
    expect(sheet.way.way).toBe('scoop');
    expect(cement!.measures).toEqual([{ kind: 'scoop', scoop: can, count: 5.75 }]);
    expect(sand!.measures).toEqual([{ kind: 'scoop', scoop: can, count: 14.5 }]);
    expect(sayScoops(14.5)).toBe('14½');
    expect(sheet.leftover.value / held).toBeLessThanOrEqual(0.05);
  });

  it('weighs what went into it, water and all', () => {
    const sheet = calculateSheet(plan());
    const dry = sheet.batch.lines.reduce((sum, { mass }) => sum + mass.value, 0);
    const pieces = sheet.pieces.reduce((sum, piece) => sum + piece.fresh.value * piece.count, 0);
    const share = sheet.amount.value / (3 * fullVolume(nestedPot));
    expect(pieces * share).toBeCloseTo(dry + sheet.batch.water.tap.value, 3);
  });

  it('keeps its ratio in batches, and its amount over them', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 60 }), (count) => {
        const sheet = calculateSheet(plan({ items: [{ ...plan().items[0]!, count }] }));
        expect(sheet.batch.volume * sheet.batches.count).toBeCloseTo(sheet.amount.value, 3);
        expect(sheet.batch.volume).toBeLessThanOrEqual((14000 * 2) / 3 + 1e-6);
      }),
      { numRuns: 20 },
    );
  });
});

describe('damp sand on the sheet', () => {
  it('takes more scoops of sand and less from the tap, and the water in all stays', () => {
    const dry = calculateSheet(plan());
    const damp = calculateSheet(plan({ moisture: { 'sharp-sand': 0.05 } }));
    expect(damp.batch.lines[1]!.room).toBeCloseTo(1.2 * dry.batch.lines[1]!.room, 6);
    expect(damp.batch.water.tap.value + damp.batch.water.brought).toBeCloseTo(dry.batch.water.tap.value, 6);
    expect(damp.batch.lines[1]!.mass.value).toBeCloseTo(1.05 * dry.batch.lines[1]!.mass.value, 6);
  });
});

describe('water of the sheet', () => {
  it('is held back to four fifths, with splashes of a twentieth, and knows its ceiling', () => {
    const { water } = calculateSheet(plan()).batch;
    expect(water.first / water.tap.value).toBeCloseTo(0.8, 9);
    expect(water.splash / water.tap.value).toBeCloseTo(0.05, 9);
    expect(water.ceiling).toBeGreaterThan(water.tap.value);
  });
});

describe('store and cost', () => {
  const lots = [
    { materialId: 'grey-cement', bought: 25000, left: 2500, price: 10, boughtAt: 1 },
    { materialId: 'sharp-sand', bought: 40000, left: 40000, price: 4, boughtAt: 1 },
  ];
  it('says the cost, what is short, and which lot prices', () => {
    const sheet = calculateSheet(plan({ lots }));
    const [cement, sand] = sheet.batch.lines;
    expect(sheet.cost!.value).toBeCloseTo(cement!.mass.value * (10 / 25000) + sand!.mass.value * (4 / 40000), 6);
    expect(sheet.short).toEqual([
      expect.objectContaining({ materialId: 'grey-cement', missing: cement!.mass.value - 2500 }),
    ]);
    expect(pricePerGram('lime', lots)).toBeUndefined();
    expect(calculateSheet(plan()).cost).toBeUndefined();
  });
});

describe('batches', () => {
  it('are as few as bucket and pot life allow', () => {
    const fills = Array.from({ length: 5 }, (_, i) => ({ id: `${i}`, volume: 2000 }));
    expect(splitIntoBatches(fills, { volume: 5000, moulds: 10 })).toMatchObject({ count: 3, shared: false });
    expect(splitIntoBatches(fills, { volume: 50000, moulds: 2 })).toMatchObject({ count: 3 });
    expect(splitIntoBatches(fills, { volume: 1500, moulds: 9 })).toMatchObject({ count: 7, shared: true });
    expect(splitIntoBatches(fills, { volume: 5000, moulds: 0 })).toBeUndefined();
    expect(mouldsPerBatch(60, 6, 3)).toBeCloseTo(12, 9);
    expect(mouldsPerBatch(62, 6, 3)).toBeCloseTo(12.467, 3);
  });

  it('share moulds that are larger than the bucket by volume and by time, parts of a mould counted', () => {
    const troughs = Array.from({ length: 5 }, (_, i) => ({ id: String(i), volume: 20 }));
    const shared = splitIntoBatches(troughs, { volume: 15, moulds: 9 })!;
    expect(shared).toMatchObject({ count: 7, shared: true });
    expect(shared.dealt[0]!.map(({ volume }) => volume)).toEqual([expect.closeTo(100 / 7, 9)]);
    expect(splitIntoBatches(troughs, { volume: 19, moulds: 1.25 })!.count).toBe(6);
    expect(splitIntoBatches(troughs, { volume: 25, moulds: 1.25 })).toMatchObject({ count: 5, shared: false });
  });

  it('are no more than the fewest that brute force finds', () => {
    const fewest = (volumes: readonly number[], most: number, moulds: number): number => {
      let best = volumes.length;
      const place = (at: number, batches: readonly (readonly [volume: number, moulds: number])[]): void => {
        if (batches.length >= best && at < volumes.length) return;
        const volume = volumes[at];
        if (volume === undefined) {
          best = Math.min(best, batches.length);
          return;
        }
        batches.forEach(([filled, n], i) => {
          if (filled + volume <= most && n < moulds) place(at + 1, batches.with(i, [filled + volume, n + 1]));
        });
        place(at + 1, [...batches, [volume, 1]]);
      };
      place(0, []);
      return best;
    };
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 5, max: 60 }), { minLength: 1, maxLength: 8 }),
        fc.integer({ min: 1, max: 5 }),
        (volumes, moulds) => {
          const split = splitIntoBatches(
            volumes.map((volume, i) => ({ id: `${i}`, volume })),
            { volume: 100, moulds },
          )!;
          expect(split.count).toBe(fewest(volumes, 100, moulds));
          expect(split.dealt.flat()).toHaveLength(volumes.length);
          for (const parts of split.dealt) {
            expect(parts.length).toBeLessThanOrEqual(moulds);
            expect(parts.reduce((sum, { id }) => sum + volumes[Number(id)]!, 0)).toBeLessThanOrEqual(100);
          }
        },
      ),
    );
  });

  it('add up to the plan, each within the bucket, and what is made is what the moulds take and what is left', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 9 }),
        fc.integer({ min: 1, max: 9 }),
        fc.integer({ min: 1500, max: 20000 }),
        (pots, small, bucket) => {
          const items = [
            { ...plan().items[0]!, count: pots },
            { ...plan().items[0]!, count: small, fillTo: 60 },
          ];
          const sheet = calculateSheet(plan({ items, bucket, scoop: { id: 's', name: 'a spoon', volume: 15 } }));
          const volumes = sheet.bucketfuls.map(({ volume }) => volume.value);
          expect(volumes.reduce((sum, one) => sum + one, 0)).toBeCloseTo(sheet.amount.value, 4);
          for (const volume of volumes) expect(volume).toBeLessThanOrEqual((bucket * 2) / 3 + 1e-6);
          const held = sheet.bucketfuls
            .flatMap(({ fillings }) => fillings)
            .reduce((sum, { each, copies }) => sum + each * copies.length, 0);
          expect(held).toBeCloseTo(
            sheet.pieces.reduce((sum, one) => sum + one.volume.value * one.count, 0),
            4,
          );
          const made = sheet.bucketfuls.reduce((sum, one) => sum + one.measured.made, 0);
          expect(made).toBeCloseTo(held + sheet.leftover.value, 4);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('deal out every mould once', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 100, max: 4000, noNaN: true }), { minLength: 1, maxLength: 30 }),
        (volumes) => {
          const fills = volumes.map((volume, i) => ({ id: `${i}`, volume }));
          const split = splitIntoBatches(fills, { volume: 6000, moulds: 8 })!;
          const dealt = split.dealt.flat().map(({ id }) => id);
          expect(dealt.sort()).toEqual(fills.map(({ id }) => id).sort());
        },
      ),
    );
  });

  it('that stiffen before one mould is filled say so with remedies', () => {
    const sheetPlan = plan({ binderClass: 'gypsum', temperature: 45 });
    const sheet = calculateSheet(sheetPlan);
    expect(said(judgePour(sheetPlan, sheet).findings)).toContain('cooler water');
  });
});

describe('scoops', () => {
  it('round to the step and never to none', () => {
    expect(inScoops(1010, can, 0.25).count).toBe(2.5);
    expect(inScoops(20, can, 0.25).count).toBe(0.25);
    expect([0.5, 2.25, 7, 0.75].map(sayScoops)).toEqual(['½', '2¼', '7', '¾']);
    expect(canVolume(100, 110)).toBeCloseTo(863.94, 2);
    expect(() => inScoops(100, { ...can, volume: 0 }, 1)).toThrow(InputError);
  });

  it.each<[string, Partial<PourPlan>, RegExp]>([
    ['a scale of 50 g', { scaleStep: 50, measuring: 'scale' }, /% more than asked for is left over: use a finer scale/],
    ['a scoop of 5 L', { scoop: { ...can, name: 'the pail', volume: 5000 }, measuring: 'scoop', step: 1 }, /the pail of 5\.00 L is too large for this batch/],
  ])('%s for 200 mL is told by name with the way out', (_, over, told) => {
    const jar = { ...plan().items[0]!, count: 2, shape: nested([60, 64, 70], [44, 48], 8) };
    const { mix, binderClass } = { mix: recipeOfStarter(starters.find(({ key }) => key === 'gypsum')!), binderClass: 'gypsum' as const };
    expect(english(calculateSheet(plan({ items: [jar], mix, binderClass, moisture: {}, spare: 0, ...over })).warnings).join()).toMatch(told);
  }); // prettier-ignore

  it('whose rounding bends the ratio are warned of', () => {
    const sheet = calculateSheet(plan({ measuring: 'scoop', scoop: { ...can, volume: 3100 }, step: 1 }));
    expect(english(sheet.warnings).join()).toContain('ratio');
  });
});

describe('cautions and bad plans', () => {
  it('put dust at measuring, caustic at mixing and two people at a heavy piece', () => {
    const sheet = calculateSheet(plan({ liftLimit: 2000 }));
    expect(english(sheet.cautions).map(({ step }) => step)).toEqual(['measure', 'mix', 'clean', 'place', 'lift']);
  });

  it('are refused by field', () => {
    const refused = (over: Partial<PourPlan>) => {
      try {
        calculateSheet(plan(over));
      } catch (error) {
        return (error as InputError).issues[0]!.field;
      }
      return undefined;
    };
    expect(refused({ items: [] })).toBe('items');
    expect(refused({ items: [{ ...plan().items[0]!, count: 0 }] })).toBe('items.0.count');
    expect(refused({ items: [{ ...plan().items[0]!, count: 1.5 }] })).toBe('items.0.count');
    expect(refused({ spare: -1 })).toBe('spare');
    expect(refused({ moisture: { 'sharp-sand': 0.9 } })).toBe('moisture.sharp-sand');
    expect(refused({ mix: { ...sandCement(), lines: [{ material: material('sharp-sand'), parts: 1 }] } })).toBe(
      'lines',
    );
  });
});

it('what a piece is expected to lose is what it weighs fresh less what it weighs dry', () => {
  const { mix } = calculateSheet(plan());
  const expected = expectedOf(mix.perPart, 2000);
  expect(expected.fresh - expected.dry).toBeCloseTo(expected.loss, 9);
  expect(expected.loss).toBeGreaterThan(0);
});

describe('the log', () => {
  const sheet = calculateSheet(plan({ moisture: { 'sharp-sand': 0.05 } }));
  const wet = plan({ moisture: { 'sharp-sand': 0.05 } });

  it('as planned expects what the sheet expects', () => {
    const [expected] = expectedByLog(wet, plannedLog(wet, sheet));
    expect(expected!.fresh).toBeCloseTo(sheet.pieces[0]!.fresh.value, 3);
    expect(expected!.dry).toBeCloseTo(sheet.pieces[0]!.dry.value, 3);
  });

  it('with more water expects more to leave', () => {
    const log = plannedLog(wet, sheet);
    const [more] = expectedByLog(wet, { ...log, tap: log.tap * 1.1 });
    expect(more!.loss).toBeGreaterThan(sheet.pieces[0]!.expected.loss);
  });

  it('without binder or with a negative mass is refused by field', () => {
    const log = plannedLog(wet, sheet);
    const refused = (over: object) => {
      try {
        expectedByLog(wet, { ...log, ...over });
      } catch (error) {
        return (error as InputError).issues.map(({ field }) => field);
      }
      return [];
    };
    expect(refused({ used: { ...log.used, 'grey-cement': 0 } })).toEqual(['used.grey-cement']);
    expect(refused({ tap: -1 })).toEqual(['tap']);
  });
});

it('water is kept from the batch to the dry piece: what went in is bound, held or leaves', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 2000, max: 20_000, noNaN: true }),
      fc.double({ min: 200, max: 5000, noNaN: true }),
      fc.double({ min: 0.05, max: 0.4, noNaN: true }),
      fc.double({ min: 0.1, max: 1, noNaN: true }),
      (solids, totalWater, stays, share) => {
        const bound = totalWater * stays;
        const water = { totalWater, liquidWater: 0, absorbed: 0, freeWater: totalWater, bound, held: bound / 3 };
        const batch = {
          portions: [{ material: material('sharp-sand'), mass: solids }],
          doses: [],
          ...water,
          volume: 4000,
        };
        const { fresh, dry, loss, solids: own } = expectedOf(batch, 4000 * share);
        expect(own).toBeCloseTo(solids * share, 6);
        expect(fresh).toBeCloseTo((solids + totalWater) * share, 6);
        expect(fresh - dry).toBeCloseTo(loss, 6);
        expect(dry).toBeCloseTo((solids + batch.bound + batch.held) * share, 6);
      },
    ),
  );
});
