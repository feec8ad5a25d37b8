import { english } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import { HOUR, DAY } from '../../foundation/units/index.js';
import type { PlacedSolid } from '../../geometry/moulds/index.js';
import type { BinderClass } from '../../mixing/binders/index.js';
import { ageCourse, ageBetween, handbookDemouldAge, hourOfAge, mistingPlan } from '../../process/curing/index.js';
import { coreKind, pulledCores } from '../../process/curing/index.js';
import { demouldRecords } from './demould-record.js';
import { duesOf, phaseOf, postponementCost, type DueContext } from './due.js';
import type { CastEvent, CastEventBody } from './events.js';
import { lifeOf } from './life.js';
import { wakingAt } from './wetting.js';

const START = Date.UTC(2026, 3, 20, 12);
let count = 0;
const at = (hours: number, eventBody: CastEventBody): CastEvent => ({
  id: `e${count++}`,
  at: START + hours * HOUR,
  ...eventBody,
});
const poured = at(0, { type: 'poured' });
const out = at(30, { type: 'demoulded', damage: [] });

function context(
  temperature: number,
  over: Partial<DueContext> = {},
  binderClass: BinderClass = 'portland',
): DueContext {
  const course = ageCourse([{ hour: 0, temperature }], binderClass);
  const reach = (age: number) => {
    const hour = hourOfAge(course, 0, age, 24 * 90);
    return hour === undefined ? undefined : START + hour * HOUR;
  };
  return { now: START + 40 * HOUR, binderClass, reach, demouldAge: handbookDemouldAge(binderClass, 'pot'), ...over };
}

const hoursOf = (time: number) => (time - START) / HOUR;
const pipe: PlacedSolid = {
  name: 'Drain pipe',
  bottom: 0,
  solid: { kind: 'round-frustum', bottomDiameter: 19, topDiameter: 19, height: 40 },
};

describe('what is due', () => {
  it('is lifting out a day after a pour at 20 °C, later in the cold, and as was learned', () => {
    const [warm] = duesOf(lifeOf([poured]), context(20));
    expect(warm!.task).toBe('demould');
    expect(hoursOf(warm!.good)).toBeCloseTo(24, 3);
    expect([0, 20, 30, 100].map((hour) => phaseOf(warm!, START + hour * HOUR))).toEqual([
      'before',
      'early',
      'good',
      'late',
    ]);
    expect(hoursOf(duesOf(lifeOf([poured]), context(8))[0]!.good)).toBeGreaterThan(40);
    expect(hoursOf(duesOf(lifeOf([poured]), context(20, { demouldAge: 19 }))[0]!.good)).toBeCloseTo(19, 3);
  });

  it('is pulling each core while the piece is green, by its kind and what was put on it', () => {
    const plug = { ...pipe, name: 'Plug', soft: true };
    const inner = { ...pipe, solid: { ...pipe.solid, topDiameter: 30, height: 150 } as PlacedSolid['solid'] };
    expect([pipe, plug, inner, { ...pipe, stays: true }].map((core) => coreKind(core, false))).toEqual([
      'stiff',
      'soft plug',
      'tapered',
      undefined,
    ]);
    const shape = { outer: pipe.solid, cores: [inner], inserts: [pipe, plug] };
    const dues = duesOf(lifeOf([poured]), context(20, { cores: pulledCores(shape, 'plant oil') }));
    expect(english(dues).map(({ task, core }) => core ?? task)).toEqual(['Drain pipe', 'Plug', 'demould']);
    expect(hoursOf(dues[0]!.good)).toBeCloseTo(4.5, 3);
    expect(hoursOf(dues[1]!.late)).toBeCloseTo(27, 3);
    const bare = duesOf(lifeOf([poured]), context(20, { cores: pulledCores(shape, 'none') }));
    expect(hoursOf(bare[0]!.late)).toBeCloseTo(1.8 * 4.5, 3);
    const pulled = lifeOf([poured, at(6, { type: 'pulled', core: 'Drain pipe' })]);
    expect(
      english(duesOf(pulled, context(20, { cores: pulledCores(shape, 'none') }))).map(({ core }) => core),
    ).not.toContain('Drain pipe');
  });

  it('follows the work to the door, and ends a moist curing by share, days or school, later for lightweight pieces', () => {
    const life = lifeOf([poured, out]);
    const end = (over: Partial<DueContext>) => hoursOf(duesOf(life, context(20, over)).at(-1)!.good) / 24;
    expect(end({})).toBeCloseTo(2.8 / (1 - 0.85 * 0.7), 3);
    expect(end({ moistCuring: { by: 'days', days: 4 } })).toBe(4);
    expect(end({ moistCuring: { by: 'school', school: 'patient' } })).toBe(28);
    expect(end({ longer: true, moistCuring: { by: 'share', share: 0.4 } })).toBe(7);
    const dry = lifeOf([poured, out, at(200, { type: 'uncovered' })]);
    expect(duesOf(dry, context(20))[0]!.task).toBe('weigh');
    expect(duesOf(dry, context(20, { dryEnough: true }))[0]!.task).toBe('coat');
    expect(duesOf(lifeOf([poured, at(50, { type: 'broken' })]), context(20))).toEqual([]);
  });

  it('is wetting in waking hours, and a cover where no wetting keeps up', () => {
    const wetting = { plan: mistingPlan(0.06, false), waking: { from: 7, to: 22 }, zone: 'UTC' };
    const [wet] = duesOf(lifeOf([poured, out]), context(20, { wetting }));
    expect(english(wet)).toMatchObject({ task: 'wet', good: START + 43 * HOUR });
    const later = lifeOf([poured, out, at(32, { type: 'wetted' })]);
    expect(duesOf(later, context(20, { wetting }))[0]!.good).toBe(START + 43 * HOUR);
    const storm = { ...wetting, plan: mistingPlan(1.2, true) };
    const [cover] = duesOf(lifeOf([poured, out]), context(20, { wetting: storm }));
    expect(english(cover)).toMatchObject({ task: 'cover', told: expect.stringMatching(/cover it instead/) });
    expect(
      duesOf(lifeOf([poured, out]), context(20, { wetting: { ...wetting, plan: mistingPlan(0, false) } })),
    ).toHaveLength(1);
  });

  it('is taking it out of a bath before it etches, and no wetting meanwhile', () => {
    const soaked = lifeOf([poured, out, at(32, { type: 'soaked', bath: 'vinegar', hours: 8 })]);
    const wetting = { plan: mistingPlan(0.06, false), waking: { from: 7, to: 22 }, zone: 'UTC' };
    expect(english(duesOf(soaked, context(20, { wetting }))[0])).toMatchObject({
      task: 'end-soak',
      good: START + 40 * HOUR,
      late: START + 41 * HOUR,
    });
  });

  it('is postponed with its consequence told: free within the window, told where it closes', () => {
    const [due] = duesOf(lifeOf([poured]), context(20));
    expect(english(postponementCost(due!, due!.late - 1))).toMatchObject({ costs: 'nothing' });
    expect(english(postponementCost(due!, due!.late + 1))).toMatchObject({ costs: 'window', at: due!.late });
    expect(postponementCost({ ...due!, task: 'weigh' }, due!.late + DAY).costs).toBe('time');
    const until = START + 60 * HOUR;
    const postponed = lifeOf([poured, at(26, { type: 'postponed', task: 'demould', until })]);
    expect(duesOf(postponed, context(20))[0]).toMatchObject({ postponedUntil: until });
    expect(duesOf(postponed, context(20, { now: until }))[0]).not.toHaveProperty('postponedUntil');
  });
});

describe('waking', () => {
  it('is at once by day, and in the morning by night, across a change of clocks', () => {
    const waking = { from: 7, to: 22 };
    expect(wakingAt(START, waking, 'UTC')).toBe(START);
    expect(wakingAt(START + 11 * HOUR, waking, 'UTC')).toBe(START + 19 * HOUR);
    expect(wakingAt(START - 9 * HOUR, waking, 'UTC')).toBe(START - 5 * HOUR);
    const berlin = wakingAt(Date.UTC(2026, 5, 1, 2), waking, 'Europe/Berlin');
    expect(new Date(berlin).toISOString()).toBe('2026-06-01T05:00:00.000Z');
  });
});

describe('what a demoulding teaches', () => {
  const demoulded = (damage: Extract<CastEventBody, { type: 'demoulded' }>['damage'], more: object = {}) =>
    lifeOf([poured, at(20, { type: 'demoulded', damage, equivalentAge: 20, ...more })]);
  it('counts only what came too early; what stuck or was dropped is left out, and the caster’s word goes first', () => {
    const rim = [{ spot: 'rim', size: 'chip' }] as const;
    const lives = [
      demoulded([]),
      demoulded(rim),
      demoulded(rim, { cause: 'dropped' }),
      demoulded(rim, { force: 'fought' }),
      demoulded([{ spot: 'core-end', size: 'chip' }]),
      demoulded([], { force: 'fought' }),
      lifeOf([poured]),
      lifeOf([poured, at(20, { type: 'demoulded', damage: [] })]),
    ];
    expect(demouldRecords(lives).map(({ came }) => came)).toEqual([
      'clean',
      'too-early',
      'otherwise',
      'otherwise',
      'otherwise',
      'otherwise',
    ]);
  });
});

describe('a piece that is moved', () => {
  it('gathers age from place to place', () => {
    const warm = ageCourse([{ hour: 0, temperature: 20 }], 'portland');
    expect(ageBetween(warm, 0, 24)).toBeCloseTo(24, 9);
    const moved = lifeOf([
      poured,
      at(5, { type: 'moved', place: 'the yard', placeId: 'y' }),
      at(9, { type: 'covered', cover: 'bag' }),
    ]);
    expect(moved.stays).toEqual([{ from: START + 5 * HOUR, place: 'the yard', placeId: 'y' }]);
    expect(moved.cover).toBe('bag');
  });
});
