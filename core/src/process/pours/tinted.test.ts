import fc from 'fast-check';
import { english, refusal } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import { InputError } from '../../foundation/units/index.js';
import { fullVolume, rimOf, volumeTo } from '../../geometry/moulds/index.js';
import { initialSet } from '../../mixing/binders/index.js';
import { goods, type Dose } from '../../mixing/mixes/index.js';
import { learnColours, matchWarnings } from '../../mixing/tints/index.js';
import { dose, material, nestedPot, recipe, sandCement, threePots } from '../../testing/examples.js';
import {
  averaged,
  batchColourOf,
  batchOfSheet,
  bucketfulsOf,
  layersOf,
  layerWait,
  mainColour,
  plannedLog,
  loggedBatch,
  calculateSheet,
  faceColouringOf,
  turnsOf,
  type PourItem,
  type PourPlan,
  type PourTint,
} from './index.js';

const tint = (id: string, colour: string, ...doses: [string, number][]): PourTint => ({
  id,
  name: id,
  revision: 1,
  colour,
  doses: doses.map(([key, amount]) => dose(key, amount)),
});
const pale = tint('pale', '#e8e0d0', ['yellow-oxide', 0.005]);
const brick = tint('brick', '#a5684f', ['red-oxide', 0.03]);
const dark = tint('dark', '#4a4744', ['carbon-black', 0.01], ['red-oxide', 0.01]);

const item = (over: Partial<PourItem> = {}): PourItem => ({
  mouldId: 'pot',
  name: 'Nested pot',
  shape: nestedPot,
  piece: 'pot',
  count: 2,
  ...over,
});
const banded = (tints: readonly PourTint[], over: Partial<NonNullable<PourItem['colouring']>> = {}): PourItem =>
  item({
    colouring: { kind: 'banded', parts: tints.map((one) => ({ tint: one, share: 1 / tints.length })), ...over },
  });
const coloured = (one: PourItem) => ({ ...one, colouring: one.colouring! });
const plan = (items: PourItem[], over: Partial<PourPlan> = {}) => threePots({ items, ...over });

describe('layers', () => {
  it('add up to what the mould takes, whatever their shares and however they are told', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 20 }), { minLength: 2, maxLength: 7 }),
        fc.constantFrom('height' as const, 'volume' as const),
        fc.option(fc.integer({ min: 30, max: 180 }), { nil: undefined }),
        (weights, by, fillTo) => {
          const whole = weights.reduce((sum, one) => sum + one, 0);
          const parts = weights.map((weight) => ({ tint: pale, share: weight / whole }));
          const piece = item({
            colouring: { kind: 'banded', by, parts },
            ...(fillTo !== undefined && { fillTo }),
          });
          const layers = layersOf(coloured(piece));
          const sum = layers.reduce((total, { volume }) => total + volume.value, 0);
          expect(sum).toBeCloseTo(fillTo === undefined ? fullVolume(nestedPot) : volumeTo(nestedPot, fillTo), 6);
          expect(layers[0]!.from).toBe(0);
          expect(layers.at(-1)!.to).toBe(fillTo ?? rimOf(nestedPot));
          layers.forEach(({ from, to, volume }, i) => {
            expect(to).toBeGreaterThan(from);
            expect(volume.value).toBeGreaterThan(0);
            if (i > 0) expect(from).toBe(layers[i - 1]!.to);
          });
        },
      ),
      { numRuns: 60 },
    );
  });

  it('by height follow the fill curve of the worked pot', () => {
    const parts = [
      { tint: pale, share: 60 / 180 },
      { tint: brick, share: 40 / 180 },
      { tint: dark, share: 80 / 180 },
    ];
    const [first, second] = layersOf(coloured(item({ colouring: { kind: 'banded', by: 'height', parts } })));
    expect(first!.volume.value).toBeCloseTo(758.25, 1);
    expect(first!.volume.value + second!.volume.value).toBeCloseTo(1154.79, 1);
  });

  it('by volume end where the worked pot is a quarter, half and three quarters full', () => {
    const parts = [pale, brick, dark, pale].map((one) => ({ tint: one, share: 0.25 }));
    const layers = layersOf(coloured(item({ colouring: { kind: 'banded', by: 'volume', parts } })));
    expect(layers.map(({ to }) => Math.round(to * 100) / 100)).toEqual([33.05, 85.4, 134.16, 180]);
  });

  it('wait while the layer below sets: crisp 0.6 to 1.2 of its initial set, blended until 0.35, cold from 1.5', () => {
    const crisp = layerWait('crisp', initialSet('portland', 20), 20);
    expect([crisp.from.value, crisp.to.value, crisp.coldJoint.value]).toEqual(
      [2.7, 5.4, 6.75].map((n) => expect.closeTo(n, 6)),
    );
    expect(layerWait('blended', initialSet('portland', 20), 20).to.value).toBeCloseTo(0.35 * 4.5, 6);
    expect(layerWait('crisp', initialSet('portland', 10), 10).from.value).toBeGreaterThan(crisp.from.value);
  });
});

describe('a pour in tints', () => {
  it('goes from pale to dark, and moulds that want one tint are filled from one batch', () => {
    const other = item({
      mouldId: 'b',
      name: 'Bowl',
      colouring: { kind: 'solid', parts: [{ tint: brick, share: 1 }] },
    });
    const turns = turnsOf([banded([pale, brick]), other]);
    expect(english(turns).map(({ tint: { id }, shares }) => [id, shares.map((share) => share.item.name)])).toEqual([
      ['pale', ['Nested pot']],
      ['brick', ['Nested pot', 'Bowl']],
    ]);
  });

  it('keeps layers that lie on each other in their order, though the lower one is darker', () => {
    expect(english(turnsOf([banded([dark, pale, dark])])).map(({ tint: { id } }) => id)).toEqual([
      'dark',
      'pale',
      'dark',
    ]);
    const [, second] = bucketfulsOf(plan([banded([dark, pale], { edge: 'blended' })])).all;
    expect(english(second!.wash)).toMatch(/until the water stays clear/);
    expect(english(second!.wait)).toMatchObject({ edge: 'blended' });
  });

  it('is the sum of its tints’ batches: no gram more, none less', () => {
    const items = [
      banded([pale, brick, dark], { by: 'volume' }),
      item({ mouldId: 'b', name: 'Plain one', count: 1 }),
      item({
        mouldId: 'c',
        name: 'Marbled one',
        count: 1,
        colouring: { kind: 'marbled', parts: [{ tint: pale, share: 0.7 }, { tint: dark, share: 0.3 }] }, // prettier-ignore
      }),
    ];
    const mix = { ...sandCement(), doses: [dose('pp-fibre', 0.9), dose('red-oxide', 0.01)] };
    const sheet = calculateSheet(plan(items, { mix, moisture: {} }));
    const whole = new Map(
      goods(batchOfSheet(sheet)).map(({ material, mass }) => [material.id, mass * sheet.batches.count]),
    );
    const summed = new Map<string, number>();
    for (const { materialId, mass } of sheet.bucketfuls.flatMap(({ lines }) => lines))
      summed.set(materialId, (summed.get(materialId) ?? 0) + mass.value);
    for (const id of ['grey-cement', 'sharp-sand']) expect(summed.get(id)).toBeCloseTo(whole.get(id)!, 4);
    const grams = (id: string) =>
      sheet.bucketfuls.reduce(
        (sum, { doses }) => sum + (doses.find(({ materialId }) => materialId === id)?.mass.value ?? 0),
        0,
      );
    for (const id of ['red-oxide', 'carbon-black', 'yellow-oxide', 'pp-fibre'])
      expect(grams(id)).toBeCloseTo(whole.get(id)!, 4);
    const volume = sheet.bucketfuls.reduce((sum, one) => sum + one.volume.value, 0);
    expect(volume).toBeCloseTo(sheet.amount.value, 6);
  });

  it('is that sum too where the binder has parts, comes in a bag, or the colour is a liquid', () => {
    const liquid: Dose = {
      material: { ...material('red-oxide'), id: 'liquid', additive: 'liquid-pigment', solids: 0.4 },
      amount: 0.03,
    };
    const wet: PourTint = { ...brick, id: 'wet', doses: [liquid] };
    const mixes = [
      recipe([['white-cement', 1], ['metakaolin', 0.2], ['lime', 0.3], ['fine-sand', 2]], { grade: 5 }), // prettier-ignore
      recipe([['bagged-sand-mix', 1]], { grade: 5 }),
    ];
    for (const mix of mixes) {
      const sheet = calculateSheet(plan([banded([pale, wet], { by: 'volume' })], { mix }));
      const whole = goods(batchOfSheet(sheet)).find((one) => one.material.id === 'liquid')!.mass * sheet.batches.count;
      const summed = sheet.bucketfuls.reduce(
        (sum, { doses }) => sum + (doses.find((one) => one.materialId === 'liquid')?.mass.value ?? 0),
        0,
      );
      expect(summed).toBeCloseTo(whole, 6);
    }
  });

  it('comes to the same when it is averaged twice, and its log tells what its tints take', () => {
    const once = averaged(plan([banded([pale, brick]), item({ mouldId: 'b' })]));
    const twice = averaged(once);
    const amounts = ({ mix: { doses = [] } }: PourPlan) => doses.map(({ material: { id }, amount }) => [id, amount]);
    for (const [i, [id, amount]] of amounts(twice).entries())
      expect([id, amount]).toEqual([amounts(once)[i]![0], expect.closeTo(amounts(once)[i]![1] as number, 12)]);
    const sheet = calculateSheet(once);
    const log = plannedLog(once, sheet);
    expect(log.used['red-oxide']).toBeGreaterThan(0);
    expect(loggedBatch(once, log).volume).toBeCloseTo(sheet.amount.value, 4);
  });

  it('that is swirled is one batch, of which the second pigment is strewn in late', () => {
    const parts = [
      { tint: pale, share: 0.8 },
      { tint: dark, share: 0.2 },
    ];
    const { all: batches } = bucketfulsOf(plan([item({ colouring: { kind: 'swirled', parts } })]));
    expect(batches).toHaveLength(1);
    const [{ late, doses, lines }] = batches as [(typeof batches)[number]];
    const black = doses.find(({ materialId }) => materialId === 'carbon-black')!;
    expect(late.map(({ name }) => name)).toEqual(['Carbon black', 'Iron oxide, red']);
    expect(late[0]!.mass).toBeCloseTo(black.mass.value, 9);
    expect(late[0]!.mass).toBeCloseTo(0.2 * 0.01 * lines[0]!.mass.value, 6);
  });

  it('warns of what will not show: flakes in a thick mix, stiff tints that do not marble', () => {
    const glint = tint('glint', '#96703a', ['bronze-mica', 0.03]);
    const parts = [{ tint: glint, share: 0.5 }, { tint: pale, share: 0.5 }]; // prettier-ignore
    const warned = (grade: 3 | 6) =>
      bucketfulsOf(plan([item({ colouring: { kind: 'marbled', parts } })], { mix: sandCement(grade) })).all.flatMap(
        ({ warnings }) => warnings,
      );
    expect(english(warned(3)).join(' ')).toMatch(/thinner mix to show.*do not marble/s);
    expect(warned(6).filter(({ key }) => key !== 'tints.roundingShows')).toEqual([]);
  });

  it('splits a tint that is more than a bucket into bucketfuls, and washes only between tints', () => {
    const { all } = bucketfulsOf(plan([banded([pale, brick])], { bucket: 1500 }));
    expect(all.filter((one) => one.tint!.id === 'pale').length).toBeGreaterThan(1);
    for (const { volume } of all) expect(volume.value).toBeLessThanOrEqual(1000 + 1e-6);
    expect(all.filter(({ wash }) => wash)).toHaveLength(1);
  });

  it('marks a tint of which no mould can be filled before it stiffens', () => {
    const hot = plan([banded([pale, brick])], { binderClass: 'gypsum', temperature: 45 });
    expect(bucketfulsOf(hot).inTime).toBe(false);
    expect(bucketfulsOf({ ...hot, times: { mixing: 0.2, filling: 0.2 } }).inTime).toBe(true);
  });

  it('without tints is what it was', () => {
    const plain = plan([item()]);
    expect(averaged(plain)).toBe(plain);
    expect(calculateSheet(plain).bucketfuls.map(({ tint: own }) => own)).toEqual([undefined]);
  });

  it('whose shares do not come to the whole is refused by name', () => {
    const parts = [{ tint: pale, share: 0.5 }, { tint: brick, share: 0.2 }]; // prettier-ignore
    expect(() => calculateSheet(plan([item({ colouring: { kind: 'banded', parts } })]))).toThrow(InputError);
    expect(refusal(() => calculateSheet(plan([item({ colouring: { kind: 'banded', parts } })])))).toMatch(
      /Nested pot come to 70 %/,
    );
  });
});

describe('the face of a piece', () => {
  it('tells its bands by share of its height, and the largest part stands for it', () => {
    const parts = [
      { tint: pale, share: 0.25 },
      { tint: brick, share: 0.75 },
    ];
    const faceColouring = faceColouringOf(item({ colouring: { kind: 'banded', by: 'height', parts, edge: 'crisp' } }))!;
    expect(faceColouring.parts.map(({ to }) => to)).toEqual([0.25, 1]);
    expect(mainColour(faceColouring)).toBe(brick.colour);
    expect(faceColouringOf(item())).toBeUndefined();
  });
});

describe('a batch that is to match another', () => {
  const known = learnColours([]);
  const lot = (materialId: string, boughtAt: number) => ({ materialId, bought: 9000, left: 9000, price: 5, boughtAt });
  const inBrick = (over: Partial<PourPlan> = {}) =>
    plan([item({ colouring: { kind: 'solid', parts: [{ tint: brick, share: 1 }] } })], over);
  const colourOf = (one: PourPlan, cover = 'film') => batchColourOf(one, calculateSheet(one), known, { cover });

  it('is warned of by lot, water, sand, cure and rounding, and not where it is the same', () => {
    const before = colourOf(averaged(inBrick({ lots: [lot('red-oxide', 1), lot('grey-cement', 1)] })));
    expect(matchWarnings(before, before)).toEqual([]);
    const now = averaged(
      inBrick({ lots: [lot('red-oxide', 2), lot('grey-cement', 1)], mix: sandCement(3), scaleStep: 100 }),
    );
    expect(english(matchWarnings(before, colourOf(now, 'bag'))).join(' ')).toMatch(
      /Iron oxide, red comes from another lot.*water–cement ratio.*lower: it dries darker.*Rounding.*cures under bag/s,
    );
  });

  it('is told that it cannot match where another material made the colour, and that a cover was not noted', () => {
    const before = colourOf(averaged(inBrick({ lots: [lot('red-oxide', 1), lot('grey-cement', 1)] })));
    const plain = averaged(plan([item()], { lots: [lot('grey-cement', 1)] }));
    expect(english(matchWarnings(before, colourOf(plain, ''))).join(' ')).toMatch(
      /Iron oxide, red is in the other batch and not in this one.*keep film on each/s,
    );
  });

  it('is judged by the water that really went in, once it is logged', () => {
    const one = averaged(inBrick());
    const sheet = calculateSheet(one);
    const log = plannedLog(one, sheet);
    const wetter = batchColourOf(one, sheet, known, { log: { ...log, tap: log.tap * 1.2 } });
    expect(wetter.ratio).toBeGreaterThan(batchColourOf(one, sheet, known, { log }).ratio + 0.05);
    expect(batchColourOf(one, sheet, known, { log }).ratio).toBeCloseTo(sheet.mix.ratio.value, 2);
  });
});
