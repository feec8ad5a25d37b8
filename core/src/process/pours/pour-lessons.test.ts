import { english } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import { fullVolume } from '../../geometry/moulds/index.js';
import { askedOf } from '../../mixing/measuring/index.js';
import { dose, threePots } from '../../testing/examples.js';
import { expectedByLog, lessonOf, lessonsOf, loggedBatch, plannedLog, calculateSheet, type PourLog } from './index.js';

const plan = threePots();
const planned = plannedLog(plan, calculateSheet(plan));
const wanted = 3 * fullVolume(plan.items[0]!.shape);

describe('what a pour taught', () => {
  it('of water: one poured as planned shows the handbook’s thirst, one that drank more shows more', () => {
    expect(lessonOf({ plan, log: planned }).demand).toBeCloseTo(1, 9);
    expect(lessonOf({ plan, log: { ...planned, tap: planned.tap * 1.1 } }).demand).toBeGreaterThan(1.05);
    expect(lessonOf({ plan, log: { ...planned, grade: 6 } }).demand).toBeLessThan(1);
  });

  it('of water: the moisture of damp sand counts, so that it teaches nothing of the mix', () => {
    const damp = threePots({ moisture: { 'sharp-sand': 0.05 } });
    expect(lessonOf({ plan: damp, log: plannedLog(damp, calculateSheet(damp)) }).demand).toBeCloseTo(1, 9);
  });

  it('of yield: only where the leftover was looked at, or it fell short', () => {
    const { volume } = loggedBatch(plan, planned);
    expect(lessonOf({ plan, log: planned }).yield).toBeUndefined();
    expect(lessonOf({ plan, log: { ...planned, leftover: 200 } }).yield).toBeCloseTo((wanted + 200) / volume, 9);
    expect(lessonOf({ plan, log: { ...planned, leftover: 0, short: 300 } }).yield).toBeCloseTo(
      (wanted - 300) / volume,
      9,
    );
  });

  it('changes the next sheet: more water, more mix, and says from how many', () => {
    const log: PourLog = { ...planned, tap: planned.tap * 1.1, leftover: 0, short: 400 };
    const lessons = lessonsOf(Array.from({ length: 5 }, () => lessonOf({ plan, log })));
    expect(lessons.demand.batches).toBe(5);
    const { factor, batches } = lessons.demand;
    const taught = threePots({
      conditions: { moistCuringDays: 7, learnedDemand: { factor, batches } },
      learnedYield: lessons.yield,
    });
    const [before, after] = [calculateSheet(plan), calculateSheet(taught)];
    const wantedOf = ({ bucketfuls }: typeof before) => askedOf(bucketfuls[0]!.measured).volume;
    expect(wantedOf(after)).toBeCloseTo(wantedOf(before) / lessons.yield.factor, 6);
    expect(after.amount.basis).toEqual({ kind: 'learned', records: 5 });
    const perLitre = (sheet: typeof before) => sheet.batch.water.tap.value / sheet.batch.volume;
    expect(perLitre(after)).toBeGreaterThan(perLitre(before));
    expect(after.leftover.value).toBeGreaterThan(0);
    expect(lessonsOf([])).toEqual({ pours: [], demand: { factor: 1, batches: 0 }, yield: { factor: 1, batches: 0 } });
  });
});

describe('doses on the sheet', () => {
  const dosed = threePots({
    mix: { ...plan.mix, doses: [dose('red-oxide', 0.03), dose('acrylic-polymer', 0.05)] },
    scaleStep: 0.1,
  });
  const sheet = calculateSheet(dosed);

  it('are weighed for each batch, and come out of the store with what to buy', () => {
    const cement = sheet.batch.lines[0]!.mass.value;
    expect(english(sheet.batch.doses).map(({ materialId }) => materialId)).toEqual(['red-oxide', 'acrylic-polymer']);
    expect(sheet.batch.doses[0]!.mass.value).toBeCloseTo(0.03 * cement, 6);
    expect(sheet.short.map(({ name }) => name)).toContain('Iron oxide, red');
    expect(
      english(sheet.method)
        .map(({ text }) => text)
        .join(),
    ).toContain('iron oxide, red');
  });

  it('bring water that does not come from the tap again, and weigh in the pieces', () => {
    const { water, lines, doses } = sheet.batch;
    const liquid = doses[1]!.mass.value;
    expect(water.brought).toBeCloseTo(liquid * 0.55, 6);
    const all = [...lines, ...doses].reduce((sum, { mass }) => sum + mass.value, 0) + water.tap.value;
    const pieces = sheet.pieces.reduce((sum, { fresh, count }) => sum + fresh.value * count, 0);
    expect((pieces * sheet.amount.value) / wanted).toBeCloseTo(all, 3);
    expect(expectedByLog(dosed, plannedLog(dosed, sheet))[0]!.fresh).toBeCloseTo(sheet.pieces[0]!.fresh.value, 3);
  });

  it('powder that goes into water is what is held back', () => {
    const sifted = calculateSheet(threePots({ ways: { order: 'powder-to-water' } }));
    const { water, lines } = sifted.batch;
    expect(water.first).toBe(water.tap.value);
    expect(water.powderHeld).toBeCloseTo(0.1 * lines.reduce((sum, { mass }) => sum + mass.value, 0), 6);
    expect(calculateSheet(plan).batch.water.powderHeld).toBeUndefined();
  });

  it('goes by the cement as it is measured, so that no scoop takes water to cement over its ceiling', () => {
    for (let volume = 450; volume < 1250; volume += 40) {
      const { bucketfuls, mix, warnings } = calculateSheet(
        threePots({
          mix: { ...plan.mix, exposure: 'frost', grade: 2 },
          step: 1,
          measuring: 'scoop',
          items: [{ ...plan.items[0]!, count: 1 }],
          scoop: { id: 'can', name: 'the can', volume },
        }),
      );
      expect(mix.ratio.value).toBeLessThan(0.5);
      expect(bucketfuls[0]!.measured.ratio).toBeCloseTo(mix.ratio.value, 1);
      expect(english(warnings).join(' ')).not.toContain('the water–cement ratio comes');
    }
  });
});
