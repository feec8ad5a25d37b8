import fc from 'fast-check';
import { english } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import { MINUTE } from '../../foundation/units/index.js';
import { dose, sandCement, threePots } from '../../testing/examples.js';
import { loggedBatch, plannedLog, calculateSheet, type PourPlan, type CalculatedPart } from '../pours/index.js';
import {
  bucketNow,
  castItems,
  logsOf,
  paceOf,
  partNow,
  runOf,
  stepsOf,
  triesOf,
  type RunEventBody,
  type RunEvent,
} from './index.js';

const calculated = (over: Partial<PourPlan> = {}): CalculatedPart => {
  const plan = threePots(over);
  return { plan, sheet: calculateSheet(plan) };
};
const events = (eventBodies: readonly RunEventBody[], every = MINUTE): RunEvent[] =>
  eventBodies.map((eventBody, i) => ({ ...eventBody, id: String(i), at: (i + 1) * every }));
const ways = { finish: 'broom', people: 1 } as const;
/** Three pots in two buckets. */
const parts = [calculated({ bucket: 7000 })];
const steps = stepsOf(parts, ways);
const through = (keys: readonly string[]): RunEventBody[] =>
  keys.flatMap((step) => [
    { kind: 'begin' as const, step },
    { kind: 'done' as const, step },
  ]);
const upTo = (key: string) => steps.slice(0, steps.findIndex((step) => step.key === key) + 1).map((step) => step.key);

describe('a run', () => {
  it('is the same however often its events arrive, and forgets what was taken back', () => {
    const all = events([
      { kind: 'done', step: 'lay-out' },
      { kind: 'water', bucket: '0.0', mass: 500 },
      { kind: 'water', bucket: '0.0', mass: 60 },
      { kind: 'void', of: '2' },
      { kind: 'done', step: 'lay-out' },
    ]);
    const run = runOf(all);
    expect(run.water.get('0.0')).toBe(500);
    expect(run.times.get('lay-out')).toEqual({ end: MINUTE });
    fc.assert(
      fc.property(fc.array(fc.nat(4)), (again) => {
        expect(runOf([...all, ...again.map((i) => all[i]!)])).toEqual(run);
      }),
    );
  });

  it('puts what was weighed in place of what was planned, and tells water to cement', () => {
    const planned = bucketNow(parts, runOf([]), 0, 0);
    const bucketful = parts[0]!.sheet.bucketfuls[0]!;
    expect(planned.ratio.value).toBeCloseTo(parts[0]!.sheet.mix.ratio.value, 9);
    expect(planned.made.value).toBeCloseTo(bucketful.volume.value, 6);
    const wet = runOf(events([{ kind: 'water', bucket: '0.0', mass: planned.tap * 1.6 }]));
    expect(bucketNow(parts, wet, 0, 0).ratio.value).toBeGreaterThan(planned.ratio.value * 1.5);
    expect(english(bucketNow(parts, wet, 0, 0).warnings).join()).toMatch(/never cement or sand alone/);
    const lean = runOf(events([{ kind: 'weighed', bucket: '0.0', material: 'grey-cement', mass: planned.used['grey-cement']! / 2 }])); // prettier-ignore
    expect(bucketNow(parts, lean, 0, 0).used['sharp-sand']).toBe(planned.used['sharp-sand']);
    expect(bucketNow(parts, lean, 0, 0).made.value).toBeLessThan(planned.made.value);
  });

  it('keeps the mass: what is mixed is in the moulds, lost, or left', () => {
    const fills = steps.filter(({ kind }) => kind === 'fill').map(({ key }) => key);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: fills.length - 1 }), fc.integer({ min: 0, max: 900 }), (to, leak) => {
        const eventBodies = [...through(upTo(fills[to]!)), { kind: 'leak', mould: '0.0.0', volume: leak } as const];
        const now = partNow(parts, steps, runOf(events(eventBodies)), 0);
        expect(now.placed + now.lost + now.left.value).toBeCloseTo(now.made.value, 6);
      }),
    );
  });

  it('says which moulds can still be filled once one leaked, one was left out, or a bucket was added', () => {
    const begun = through(upTo('0.0.rest'));
    const now = (...more: RunEventBody[]) => partNow(parts, steps, runOf(events([...begun, ...more])), 0);
    expect(now()).toMatchObject({ short: [], fills: { length: 3 } });
    const leak: RunEventBody = { kind: 'leak', mould: '0.0.0', volume: 800 };
    expect(now(leak).short).toHaveLength(1);
    expect(now(leak, { kind: 'more', bucket: '0.1', share: 0.6 }).short).toEqual([]);
    expect(now(leak, { kind: 'skip', mould: '0.0.2' })).toMatchObject({ short: [], fills: { length: 2 } });
  });

  it('that went as planned logs what was planned, and only what was mixed', () => {
    const all = runOf(events(through(steps.map(({ key }) => key))));
    const [log] = logsOf(parts, all);
    const planned = plannedLog(parts[0]!.plan, parts[0]!.sheet);
    expect(log!.tap).toBeCloseTo(planned.tap, 6);
    for (const [id, mass] of Object.entries(planned.used)) expect(log!.used[id]).toBeCloseTo(mass, 6);
    const [half] = logsOf(parts, runOf(events(through(upTo('0.0.mix')))));
    expect(half!.tap).toBeLessThan(0.8 * planned.tap);
    expect(loggedBatch(parts[0]!.plan, log!).volume).toBeCloseTo(parts[0]!.sheet.amount.value, 3);
  });

  it('logs pigments bucket by bucket, and makes a cast of every mould that was not left out', () => {
    const red = [calculated({ mix: { ...sandCement(), doses: [dose('red-oxide', 0.03)] } })];
    const more = runOf(events([{ kind: 'weighed', bucket: '0.0', material: 'red-oxide', mass: 99 }, { kind: 'skip', mould: '0.0.1' }])); // prettier-ignore
    expect(logsOf(red, more)[0]!.used['red-oxide']).toBe(99);
    expect(castItems([{ ...red[0]!, items: [4] }], more)).toEqual([
      { item: 4, copy: 0 },
      { item: 4, copy: 2 },
    ]);
  });
});

describe('what a run teaches', () => {
  it('is how long mixing and filling took against what is usual; an interrupted step teaches nothing', () => {
    const own = stepsOf(parts, ways);
    const at = new Map(own.map(({ key }, i) => [key, i * 60 * MINUTE]));
    const took = (factor: number): RunEvent[] =>
      own.flatMap(({ key, minutes }) => [
        { kind: 'begin', step: key, id: `${key} b`, at: at.get(key)! } as const,
        { kind: 'done', step: key, id: `${key} d`, at: at.get(key)! + minutes * factor * MINUTE } as const,
      ]);
    const pace = paceOf(own, runOf(took(1.4)), 0);
    expect(pace.mixing).toBeCloseTo(1.4, 9);
    expect(pace.filling).toBeCloseTo(1.4, 9);
    expect(paceOf(own, runOf(took(1.4)), 0, { mixing: 1.5, filling: 1 }).mixing).toBeCloseTo(2.1, 9);
    expect(paceOf(own, runOf(took(9)), 0)).toEqual({});
    expect(paceOf(own, runOf([]), 0)).toEqual({});
  });

  it('is when a face was ready, as a share of its set', () => {
    const slab = threePots().items[0]!;
    const flat = [calculated({ items: [{ ...slab, piece: 'slab', count: 1 }], temperature: 20 })];
    const own = stepsOf(flat, ways);
    const strike = own.find(({ kind }) => kind === 'strike')!.key;
    const broom = own.find(({ kind }) => kind === 'broom')!.key;
    const run = runOf([
      { kind: 'done', step: strike, id: 'a', at: 0 },
      { kind: 'tried', step: broom, went: 'early', id: 'b', at: 0.4 * 4.5 * 60 * MINUTE },
    ]);
    expect(triesOf(own, run, 0)).toEqual([{ kind: 'broom', share: expect.closeTo(0.4, 9), went: 'early' }]);
  });
});
