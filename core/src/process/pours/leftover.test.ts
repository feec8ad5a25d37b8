import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { ScoopStep } from '../../mixing/materials/index.js';
import { threePots } from '../../testing/examples.js';
import { plannedLog, expectedByLog, dryUsed, pourCost, pourShopping, calculateSheet } from './index.js';

describe('what is left over', () => {
  it('is about the spare, where scoops are fine', () => {
    const sheet = calculateSheet(threePots({ scoop: { id: 's', name: 'a spoon', volume: 15 } }));
    const held = sheet.amount.value / 1.05;
    expect(sheet.leftover.value / held).toBeGreaterThan(0.045);
    expect(sheet.leftover.value / held).toBeLessThan(0.055);
  });

  it('goes up and down with the rounding of the scoops, and below nothing it is warned of', () => {
    const scoop = fc.integer({ min: 100, max: 3000 });
    fc.assert(
      fc.property(
        scoop,
        fc.constantFrom<ScoopStep>(1, 0.5, 0.25),
        fc.integer({ min: 1, max: 9 }),
        (volume, step, count) => {
          const plan = threePots({ step, scoop: { id: 's', name: 'the tin', volume }, bucket: 100000, spare: 0 });
          const sheet = calculateSheet({ ...plan, items: [{ ...plan.items[0]!, count }] });
          const short = sheet.warnings.some(({ key }) => key === 'pours.shortMeasured');
          // A millionth of what the moulds hold is nothing that a scoop could mend.
          const hair = 1e-6 * sheet.leftover.working[1]!.value!;
          expect(short).toBe(sheet.leftover.value < -hair);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('has a working that ends in it', () => {
    const { leftover } = calculateSheet(threePots());
    const [made, held, last] = leftover.working;
    expect(last!.value).toBe(leftover.value);
    expect(made!.value! - held!.value!).toBeCloseTo(leftover.value, 9);
  });
});

describe('damp sand through to the log', () => {
  it('weighs more in the scoop, holds the same dry sand, and expects the same of the piece', () => {
    const dry = threePots();
    const damp = threePots({ moisture: { 'sharp-sand': 0.05 } });
    const [ofDry, ofDamp] = [dry, damp].map((plan) => plannedLog(plan, calculateSheet(plan)));
    expect(ofDamp!.used['sharp-sand']! / ofDry!.used['sharp-sand']!).toBeCloseTo(1.05, 9);
    expect(dryUsed(damp, ofDamp!)['sharp-sand']).toBeCloseTo(dryUsed(dry, ofDry!)['sharp-sand']!, 6);
    expect(expectedByLog(damp, ofDamp!)[0]!.fresh).toBeCloseTo(expectedByLog(dry, ofDry!)[0]!.fresh, 3);
  });
});

describe('a pour of several mixes', () => {
  const lots = [{ id: 'l', materialId: 'grey-cement', bought: 25000, left: 9000, boughtAt: 0, price: 7.5 }];
  const one = threePots({ lots });
  const part = (count: number) => {
    const plan = { ...one, items: [{ ...one.items[0]!, count }] };
    return { plan, sheet: calculateSheet(plan) };
  };

  it('buys for all of them together, though each by itself would find enough', () => {
    const bought = (parts: ReturnType<typeof part>[]) =>
      pourShopping(parts).find(({ materialId }) => materialId === 'grey-cement');
    expect(bought([part(5)])).toBeUndefined();
    expect(bought([part(5), part(5)])?.missing).toBeCloseTo(
      2 * part(5).sheet.batch.lines[0]!.mass.value * part(5).sheet.batches.count - 9000,
      3,
    );
  });

  it('costs what its mixes cost', () => {
    const cost = pourCost([part(2), part(3)])!;
    expect(cost.value).toBeCloseTo(part(2).sheet.cost!.value + part(3).sheet.cost!.value, 9);
    expect(cost.working.at(-1)!.value).toBe(cost.value);
  });
});
