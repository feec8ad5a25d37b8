import fc from 'fast-check';
import { english } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import { HOUR, InputError } from '../../foundation/units/index.js';
import { appendEvent, castCode, lifeOf, phaseOf, standing, type CastEvent, type Window } from './index.js';

const expected = { fresh: 4400, dry: 4100, solids: 4000, loss: 300 };
let counter = 0;
const event = (hour: number, rest: object): CastEvent =>
  ({ id: `e${counter++}`, at: hour * HOUR, ...rest }) as CastEvent;
const poured = event(0, { type: 'poured' });
const demoulded = event(24, { type: 'demoulded', damage: [] });
const uncovered = event(200, { type: 'uncovered' });

/** What is said against an event. */
function against(events: readonly CastEvent[], one: CastEvent, now = 5000 * HOUR) {
  try {
    appendEvent(events, one, expected, now);
    return [];
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return error.issues.map(({ field, message, remedy }) => `${field}: ${english(message)} ${english(remedy)}`);
  }
}

describe('appending', () => {
  it('changes nothing that was there', () => {
    const before = Object.freeze([poured, demoulded]);
    const after = appendEvent(before, uncovered, expected, 5000 * HOUR);
    expect(before).toHaveLength(2);
    expect(after).toEqual([poured, demoulded, uncovered]);
  });

  it.each([
    [
      'weighing a piece in its mould',
      [poured],
      { type: 'weighed', mass: 4200, step: 1 },
      30,
      /^type: It cannot be weighed: it is still setting in its mould\. Demould it first\./,
    ],
    [
      'coating one in its moist curing',
      [poured, demoulded],
      { type: 'coated', sealer: 'wax', side: 'both' },
      30,
      /End its moist curing first/,
    ],
    ['lifting one out twice', [poured, demoulded], { type: 'demoulded', damage: [] }, 30, /in its moist curing/],
    [
      'a weighing above the fresh mass',
      [poured, demoulded, uncovered],
      { type: 'weighed', mass: 9500, step: 1 },
      240,
      /^mass: 9\.50 kg is heavier than the piece was fresh \(4\.40 kg\)/,
    ],
    [
      'a weighing far below the dry mass',
      [poured, demoulded, uncovered],
      { type: 'weighed', mass: 410, step: 1 },
      240,
      /^mass: 410 g is far lighter/,
    ],
    ['a scale with no step', [poured, demoulded, uncovered], { type: 'weighed', mass: 4200, step: 0 }, 240, /^step: /],
    ['a time to come', [poured], { type: 'demoulded', damage: [] }, 9000, /^at: That time is in the future/],
    ['a time before the pour', [poured], { type: 'demoulded', damage: [] }, -5, /^at: That time is before the pour/],
    ['undoing the pour', [poured], { type: 'voided', event: poured.id }, 30, /cannot be undone here/],
  ] as const)('refuses %s', (_, before, given, hour, said) => {
    expect(against([...before], event(hour, given)).join('\n')).toMatch(said);
  });

  it('judges what happened earlier by the stage it had then', () => {
    const wetted = event(60, { type: 'wetted' });
    expect(against([poured, demoulded, uncovered], wetted)).toEqual([]);
    expect(against([poured, demoulded, uncovered], event(300, { type: 'pulled', core: 'x' }))).toHaveLength(1);
  });
});

describe('what is told late', () => {
  it('leaves room for what is on record after it', () => {
    const weighed = event(300, { type: 'weighed', mass: 4200, step: 1 });
    const record = [poured, demoulded, uncovered, weighed];
    expect(against(record, event(20, { type: 'demoulded', damage: [] }))).toEqual([
      'type: It was demoulded after that, which then could not have been. Undo “demoulded” first.',
    ]);
    expect(against(record, event(250, { type: 'broken' }))[0]).toMatch(/^type: It was weighed after that/);
    expect(against(record, event(310, { type: 'broken' }))).toEqual([]);
    expect(against(record, event(150, { type: 'wetted' }))).toEqual([]);
  });

  it('is not judged by what was out of place before', () => {
    const twice = [poured, demoulded, event(30, { type: 'demoulded', damage: [] })];
    expect(against(twice, event(26, { type: 'wetted' }))).toEqual([]);
  });
});

describe('what stands', () => {
  it('is what was not voided, in the order of time whatever order it came in', () => {
    const weighed = event(240, { type: 'weighed', mass: 4200, step: 1 });
    const voided = event(241, { type: 'voided', event: weighed.id });
    const all = [poured, demoulded, uncovered, weighed, voided];
    fc.assert(
      fc.property(fc.shuffledSubarray(all, { minLength: all.length }), (shuffled) => {
        expect(standing(shuffled)).toEqual([poured, demoulded, uncovered]);
        expect(lifeOf(shuffled)).toEqual(lifeOf(all));
      }),
    );
  });
  it('makes the life: coats in order, the last weighing’s time, damage of the demoulding', () => {
    const hurt = event(24, { type: 'demoulded', damage: [{ spot: 'rim', size: 'chip' }] });
    const coats = [400, 430].map((hour) => event(hour, { type: 'coated', sealer: 'wax', side: 'inside' }));
    const weighed = event(390, { type: 'weighed', mass: 4105, step: 1, temperature: 12, humidity: 0.7 });
    const life = lifeOf([poured, hurt, uncovered, weighed, ...coats]);
    expect(english(life)).toMatchObject({
      stage: 'sealed',
      demouldedAt: 24 * HOUR,
      weighedAt: 390 * HOUR,
      damage: [{ spot: 'rim' }],
    });
    expect(life.coats.map(({ at }) => at / HOUR)).toEqual([400, 430]);
    expect(life.weighings).toEqual([{ hour: 390, mass: 4105, step: 1, temperature: 12, humidity: 0.7 }]);
  });
});

describe('codes and phases', () => {
  it('codes are told apart, however many pieces a pour has', () => {
    const codes = Array.from({ length: 800 }, (_, i) => castCode(23, i));
    expect(new Set(codes).size).toBe(800);
    expect([codes[0], codes[25], codes[26], codes[701], codes[702]]).toEqual(['23a', '23z', '23aa', '23zz', '23aaa']);
  });
  it('a window is before, early, good, then late', () => {
    const window: Window = { task: 'weigh', early: 10, good: 20, late: 30 };
    expect([5, 10, 19, 20, 30, 31].map((now) => phaseOf(window, now))).toEqual([
      'before',
      'early',
      'early',
      'good',
      'good',
      'late',
    ]);
  });
});
