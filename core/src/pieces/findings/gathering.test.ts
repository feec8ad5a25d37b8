import { describe, expect, it } from 'vitest';
import { HOUR } from '../../foundation/units/index.js';
import { nestedPot, threePots } from '../../testing/examples.js';
import { benchRecordOf, runOf, type Step } from '../../process/bench/index.js';
import { ageCourse } from '../../process/curing/index.js';
import { calculateSheet, plannedLog } from '../../process/pours/index.js';
import { lifeOf, type CastEvent, type CastEventBody, type CastSnapshot } from '../casts/index.js';
import { foundFaults, gatherRecord, type GatheredFrom } from './index.js';

let next = 0;
const event = (hour: number, body: CastEventBody): CastEvent => ({ ...body, id: `e${next++}`, at: hour * HOUR });
const poured = event(0, { type: 'poured' });
const clean = event(30, { type: 'demoulded', damage: [], equivalentAge: 20 });

describe('what was found wrong with a cast', () => {
  it('comes from whichever step it was told at, each fault once and as badly as it was seen', () => {
    const faults = foundFaults([
      poured,
      event(30, { type: 'demoulded', damage: [{ spot: 'rim', size: 'chip' }, { spot: 'corner', size: 'piece' }], equivalentAge: 20 }),
      event(31, { type: 'bubbles', face: 'face', grade: 5 }),
      event(40, { type: 'fault-seen', fault: 'crazing', severity: 'slight', drawn: { x: 0.5, y: 0.9 } }),
      event(400, { type: 'came-later', came: 'bloom' }),
    ]); // prettier-ignore
    expect(faults).toEqual([
      { fault: 'broken-edge', severity: 'clear', spot: 'corner' },
      { fault: 'pinholes', severity: 'clear', spot: 'face' },
      { fault: 'crazing', severity: 'slight', drawn: { x: 0.5, y: 0.9 } },
      { fault: 'bloom', severity: 'clear' },
    ]);
  });

  it('is nothing where it was dropped, looked well, or was taken back', () => {
    const seen = event(40, { type: 'fault-seen', fault: 'crack', severity: 'spoilt' });
    const dropped = event(30, { type: 'demoulded', damage: [{ spot: 'rim', size: 'piece' }], cause: 'dropped' });
    expect(foundFaults([poured, dropped, event(31, { type: 'bubbles', face: 'rim', grade: 3 }), seen, event(41, { type: 'voided', event: seen.id }), event(42, { type: 'found-sound' })])).toEqual([]); // prettier-ignore
  });

  it('is a stuck core where it was fought for', () => {
    expect(foundFaults([poured, event(30, { type: 'demoulded', damage: [], force: 'fought' })])).toEqual([{ fault: 'stuck-core', severity: 'slight' }]); // prettier-ignore
    expect(foundFaults([poured, event(30, { type: 'demoulded', damage: [{ spot: 'face', size: 'through' }] })])[0]).toMatchObject({ fault: 'crack', severity: 'spoilt' }); // prettier-ignore
  });
});

describe('how a mix was placed', () => {
  const step = (key: string, kind: Step['kind'], more: Partial<Step> = {}): Step => ({ key, kind, part: 0, bucket: 0, minutes: 2, hands: true, moulds: [{ key: '0.0.0', item: 0, name: 'pot', volume: 900 }], ...more }); // prettier-ignore
  const steps = [step('m', 'mix', { potLife: 40 }), step('f1', 'fill', { lift: { n: 1, of: 2 } }), step('t1', 'tap'), step('f2', 'fill', { lift: { n: 2, of: 2 } })]; // prettier-ignore
  const timed = (times: Record<string, [number, number]>) =>
    runOf(Object.entries(times).flatMap(([key, [start, end]]) => [
      { id: `${key}b`, kind: 'begin' as const, step: key, at: start * 60_000 },
      { id: `${key}d`, kind: 'done' as const, step: key, at: end * 60_000 },
    ])); // prettier-ignore

  it('is told by the clock of its run', () => {
    const run = timed({ m: [0, 5], f1: [6, 8], t1: [8, 9], f2: [24, 30] });
    expect(benchRecordOf(steps, run, 0)).toEqual({
      each: 14,
      placing: 30 / 40,
      liftWait: 16 / 60,
      lifts: 2,
      tapping: 1,
    });
  });

  it('knows nothing without a run, and that nothing was tapped', () => {
    expect(benchRecordOf(steps, timed({}), 0)).toEqual({});
    expect(benchRecordOf(steps, timed({ m: [0, 5], f1: [6, 8], f2: [10, 12] }), 0)).toMatchObject({ tapping: 0 });
    expect(benchRecordOf(steps, timed({ m: [0, 5], f1: [6, 8] }), 1)).toEqual({});
  });
});

describe('what a cast stood under', () => {
  const snapshot = { mouldName: 'Pot', mixName: 'Grey', shape: nestedPot, piece: 'pot', binderClass: 'portland', colour: '#999999', ratio: 0.5, strength: 30, cover: 'none', place: 'Yard', release: 'oil' } as unknown as CastSnapshot; // prettier-ignore
  const hot = Array.from({ length: 60 }, (_, hour) => ({ at: hour * HOUR, temperature: hour < 6 ? 34 : 18, humidity: hour < 6 ? 0.25 : 0.7, wind: hour < 6 ? 18 : 2 })); // prettier-ignore
  const course = ageCourse(hot.map(({ at, temperature }) => ({ hour: at / HOUR, temperature })), 'portland'); // prettier-ignore
  const cast = (events: CastEvent[], more: Partial<GatheredFrom> = {}): GatheredFrom => ({
    snapshot, life: lifeOf(events), events, ambient: hot, courses: [{ from: 0, course }], proposed: 25, moistCuring: { by: 'share', share: 0.7 }, expected: { fresh: 5000, dry: 4500, solids: 4400, loss: 400 }, ...more,
  }); // prettier-ignore

  it('holds the worst hour of the first day and how long it was too much', () => {
    const { under } = gatherRecord(cast([poured, clean]));
    expect(under.evaporation?.value).toBeGreaterThan(1);
    expect(under.evaporation?.most).toBe(1);
    expect(under.evaporationHours?.value).toBe(6);
    expect(under.demouldAge).toEqual({ value: 0.8, least: 1 });
    expect(under.uncovered).toEqual({ value: 1 });
  });

  it('goes by what lay over it at the time', () => {
    const covered = [poured, event(2, { type: 'covered', cover: 'bag' }), clean];
    const { under } = gatherRecord(cast(covered));
    expect(under.evaporationHours?.value).toBe(2);
  });

  it('finds the frost before it was proof against it, not after', () => {
    const frosty = hot.map((one) => ({ ...one, temperature: one.at === 3 * HOUR ? -3 : one.at === 50 * HOUR ? -8 : 18 })); // prettier-ignore
    expect(gatherRecord(cast([poured, clean], { ambient: frosty })).under.coldest).toEqual({ value: -3, least: 0 });
  });

  it('takes a shorter moist curing as a share of what was asked', () => {
    const { under } = gatherRecord(cast([poured, clean, event(48, { type: 'uncovered' })]));
    expect(under.moistCuring?.least).toBe(1);
    expect(under.moistCuring?.value).toBeLessThan(0.6);
  });

  it('says nothing of what is not on record', () => {
    const { under, ways } = gatherRecord(cast([poured, clean], { ambient: [], courses: [] }));
    expect(under.evaporation).toBeUndefined();
    expect(under.water).toBeUndefined();
    expect(under.corePull).toBeUndefined();
    expect(ways).toMatchObject({
      mix: 'Grey',
      mould: 'Pot',
      release: 'oil',
      cover: 'none',
      place: 'Yard',
      month: '1970-01',
    });
    expect(ways.person).toBeUndefined();
  });

  it('holds the mix as it really was', () => {
    const plan = threePots();
    const sheet = calculateSheet(plan);
    const log = { ...plannedLog(plan, sheet), temperature: 35 };
    const pour = { plan, log: { ...log, tap: log.tap * 1.4 }, shape: nestedPot, piece: 'pot' as const, mesh: false, noRelease: false, initialSet: 3, cycles: 7, bench: { placing: 1.2, liftWait: 1.5, lifts: 1, tapping: 0 } }; // prettier-ignore
    const { under, ways } = gatherRecord(cast([poured, clean], { poured: pour, person: 'p' }));
    expect(under.water?.value).toBeGreaterThan(1.1);
    expect(under.temperature).toMatchObject({ value: 35, most: 32 });
    expect(under.placing).toEqual({ value: 1.2, most: 1 });
    expect(under.liftWait).toEqual({ value: 0.5, most: 1 });
    expect(under.notTapped?.value).toBe(1);
    expect(under.cycles).toEqual({ value: 7 });
    expect(ways).toMatchObject({ compaction: 'none', person: 'p', grade: `${log.grade}` });
    expect(gatherRecord(cast([poured, clean], { poured: { ...pour, log } })).under.water?.value).toBeCloseTo(1, 1);
  });

  it('weighs soon after demoulding against what was expected', () => {
    expect(gatherRecord(cast([poured, clean, event(31, { type: 'weighed', mass: 5100, step: 5 })])).measured).toEqual({ mass: 1.02 }); // prettier-ignore
    expect(gatherRecord(cast([poured, clean, event(90, { type: 'weighed', mass: 4800, step: 5 })])).measured).toEqual({}); // prettier-ignore
  });

  it('takes the latest count of voids and the latest colour that were not taken back', () => {
    const counted = (share: number) => ({ share, per100: 4, patch: { x: 0, y: 0, width: 1, height: 1 }, across: 60 });
    const seen = (difference: number) => event(50, { type: 'colour-seen', colour: '#888888', wanted: '#999999', difference }); // prettier-ignore
    const wrong = seen(9);
    const { measured } = gatherRecord(cast([
      poured, clean,
      event(40, { type: 'bubbles', face: 'face', grade: 4, counted: counted(0.02) }),
      event(41, { type: 'bubbles', face: 'face', grade: 3, counted: counted(0.004) }),
      event(42, { type: 'bubbles', face: 'rim', grade: 2 }),
      seen(2.5), wrong, event(52, { type: 'voided', event: wrong.id }),
    ])); // prettier-ignore
    expect(measured).toEqual({ voids: 0.004, colour: 2.5 });
  });
});
