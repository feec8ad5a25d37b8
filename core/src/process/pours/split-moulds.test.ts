import fc from 'fast-check';
import { english } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import { InputError } from '../../foundation/units/index.js';
import { dose, threePots } from '../../testing/examples.js';
import { judgePour } from '../judging/index.js';
import { calculateSheet, splitIntoBatches, type PourItem, type PourPlan } from './index.js';

const plan = (item: Partial<PourItem>, over: Partial<PourPlan> = {}): PourPlan => {
  const { items, ...rest } = threePots();
  return { ...rest, items: [{ ...items[0]!, ...item }], spare: 0, ...over };
};

describe('moulds that may be split between batches', () => {
  it('come to the handbook’s number of batches: the larger of volume ÷ bucket and moulds × filling ÷ time', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 40 }),
        fc.double({ min: 1, max: 60, noNaN: true }),
        fc.double({ min: 0.2, max: 12, noNaN: true }),
        (count, volume, moulds) => {
          const fills = Array.from({ length: count }, (_, i) => ({ id: `${i}`, volume, split: true }));
          const limits = { volume: 50, moulds };
          const expected = Math.max(Math.ceil((count * volume) / 50 - 1e-9), Math.ceil(count / moulds - 1e-9));
          expect(splitIntoBatches(fills, limits)!.count).toBe(expected);
        },
      ),
    );
  });

  it('get all that they take, among whole ones, within volume and time of every batch', () => {
    const fill = fc.record({ volume: fc.double({ min: 1, max: 90, noNaN: true }), split: fc.boolean() });
    fc.assert(
      fc.property(
        fc.array(fill, { minLength: 1, maxLength: 15 }),
        fc.double({ min: 1, max: 5, noNaN: true }),
        (given, moulds) => {
          const fills = given.map((one, i) => ({ ...one, id: `${i}` }));
          const { dealt, shared } = splitIntoBatches(fills, { volume: 60, moulds })!;
          const got = (id: string) => dealt.flat().reduce((sum, part) => sum + (part.id === id ? part.volume : 0), 0);
          for (const { id, volume } of fills) expect(got(id)).toBeCloseTo(volume, 4);
          for (const parts of dealt) {
            expect(parts.reduce((sum, { volume }) => sum + volume, 0)).toBeLessThanOrEqual(60 + 1e-6);
            const filled = parts.reduce((sum, { id, volume }) => sum + volume / fills[Number(id)]!.volume, 0);
            expect(filled).toBeLessThanOrEqual(moulds + 1e-6);
          }
          const inTwo = (id: string) => dealt.filter((parts) => parts.some((part) => part.id === id)).length > 1;
          for (const { id, volume, split } of fills) if (!split && volume <= 60) expect(inTwo(id)).toBe(false);
          expect(shared).toBe(fills.some(({ id }) => inTwo(id)));
        },
      ),
    );
  });

  it('never want more batches than whole ones do', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 5, max: 60 }), { minLength: 1, maxLength: 9 }), (volumes) => {
        const count = (split: boolean) =>
          splitIntoBatches(
            volumes.map((volume, i) => ({ id: `${i}`, volume, split })),
            { volume: 70, moulds: 4 },
          )!.count;
        expect(count(true)).toBeLessThanOrEqual(count(false));
      }),
    );
  });

  it('save a bucket on the sheet, and say how soon the next must follow', () => {
    // A pot takes 2.01 L: four fit whole into 9.33 L, and nine into two batches where one of them is split.
    const whole = calculateSheet(plan({ count: 9 }));
    const split = calculateSheet(plan({ count: 9, split: true }));
    expect([whole.batches, split.batches]).toEqual([
      { count: 3, shared: false },
      { count: 2, shared: true },
    ]);
    expect(english(split.warnings).join()).toMatch(
      /filled from more than one bucket: each goes in while the last is plastic, within 1\.8 h/,
    );
    expect(english(whole.warnings).join()).not.toMatch(/more than one bucket/);
  });

  it('are filled by parts where a batch does not last for a whole one', () => {
    const slow = { mixing: 6, filling: 50 };
    const judged = (split: boolean) => {
      const given = plan({ count: 2, split }, { times: slow });
      return judgePour(given, calculateSheet(given), {}).findings.map(({ key }) => key);
    };
    expect(judged(false)).toContain('pot-life');
    expect(judged(true)).not.toContain('pot-life');
    const { batches } = calculateSheet(plan({ count: 2, split: true }, { times: slow }));
    // 70 % of an hour less 6 minutes of mixing is 36: two pots of 50 minutes want three batches.
    expect(batches).toEqual({ count: 3, shared: true });
  });

  it.each([
    ['in tints', { colouring: { kind: 'solid', parts: [] } } as unknown as Partial<PourItem>, {}],
    ['with pigment in the mix', {}, { mix: { ...threePots().mix, doses: [dose('red-oxide', 0.03)] } }],
    ['to match an earlier pour', {}, { matches: true }],
  ])('are not those whose faces must match: %s', (_, item, over) => {
    let fields: readonly string[] = [];
    try {
      calculateSheet(plan({ ...item, split: true }, over));
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      fields = error.issues.map(({ field }) => field);
    }
    expect(fields).toEqual(['items.0.split']);
  });
});
