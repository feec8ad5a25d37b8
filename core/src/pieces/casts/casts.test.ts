import fc from 'fast-check';
import { english } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import { DAY, InputError } from '../../foundation/units/index.js';
import { sealers } from '../../mixing/materials/index.js';
import { appendEvent, castCode, lifeOf, sealingGate, wetness, type CastEvent, type CastEventBody } from './index.js';

const expected = { fresh: 4300, dry: 4000, solids: 3850, loss: 300 };
const start = Date.UTC(2026, 3, 1, 9);
const event = (n: number, day: number, eventBody: CastEventBody): CastEvent => ({
  id: `e${String(n).padStart(2, '0')}`,
  at: start + day * DAY,
  ...eventBody,
});

const life: CastEvent[] = [
  event(0, 0, { type: 'poured' }),
  event(1, 1, { type: 'demoulded', damage: [{ spot: 'rim', size: 'chip' }], force: 'tapped' }),
  event(2, 8, { type: 'uncovered' }),
  event(3, 9, { type: 'weighed', mass: 4200, step: 1 }),
  event(4, 10, { type: 'weighed', mass: 4150, step: 1 }),
  event(5, 12, { type: 'weighed', mass: 4090, step: 1 }),
  event(6, 30, { type: 'coated', sealer: 'penetrating', side: 'both' }),
  event(7, 33, { type: 'finished' }),
];
const now = start + 40 * DAY;

function issueOf(work: () => unknown) {
  try {
    work();
  } catch (error) {
    return (error as InputError).issues[0]!;
  }
  return undefined;
}

describe('a cast’s life', () => {
  it('goes through its stages', () => {
    const stages = life.map((_, i) => lifeOf(life.slice(0, i + 1)).stage);
    expect(stages).toEqual(['setting', 'curing', 'drying', 'drying', 'drying', 'drying', 'sealed', 'finished']);
  });

  it('is the same however its events were batched or ordered', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray(life, { minLength: life.length }), (shuffled) => {
        expect(lifeOf(shuffled)).toEqual(lifeOf(life));
      }),
    );
  });

  it('goes back one step by undoing, and undoing twice is refused', () => {
    const undo = event(8, 34, { type: 'voided', event: 'e07' });
    const back = appendEvent(life, undo, expected, now);
    expect(lifeOf(back).stage).toBe('sealed');
    expect(issueOf(() => appendEvent(back, { ...undo, id: 'e09' }, expected, now))!.field).toBe('event');
  });

  it('is not undone from under what came after', () => {
    const issue = issueOf(() => appendEvent(life, event(8, 34, { type: 'voided', event: 'e01' }), expected, now))!;
    expect(english(issue.remedy)).toContain('Undo');
    const weighing = appendEvent(life, event(8, 34, { type: 'voided', event: 'e04' }), expected, now);
    expect(lifeOf(weighing).weighings).toHaveLength(2);
  });
});

describe('what cannot have happened is refused', () => {
  const binderClass = life.slice(0, 1);
  const drying = life.slice(0, 6);
  it.each<[string, CastEvent[], CastEvent, string]>([
    ['sealing in the mould', binderClass, event(9, 2, { type: 'coated', sealer: 'wax', side: 'both' }), 'type'],
    ['lifting out twice', drying, event(9, 13, { type: 'demoulded', damage: [] }), 'type'],
    ['the future', drying, event(9, 400, { type: 'weighed', mass: 4000, step: 1 }), 'at'],
    ['before the pour', drying, event(9, -1, { type: 'weighed', mass: 4000, step: 1 }), 'at'],
    ['heavier than fresh', drying, event(9, 13, { type: 'weighed', mass: 6000, step: 1 }), 'mass'],
    ['far too light', drying, event(9, 13, { type: 'weighed', mass: 400, step: 1 }), 'mass'],
    ['no mass', drying, event(9, 13, { type: 'weighed', mass: 0, step: 1 }), 'mass'],
    ['undoing the pour', drying, event(9, 13, { type: 'voided', event: 'e00' }), 'event'],
  ])('%s', (_, events, next, field) => {
    const issue = issueOf(() => appendEvent(events, next, expected, now))!;
    expect(issue.field).toBe(field);
    expect(issue.remedy).not.toBe('');
  });
});

describe('the gate before sealing', () => {
  it('names its reasons while water is leaving', () => {
    const gate = sealingGate(lifeOf(life.slice(0, 6)), expected, 'portland', sealers.penetrating, start + 12 * DAY);
    expect(gate.open).toBe(false);
    expect(english(gate.reasons).join()).toContain('may still hold');
  });

  it('opens for a piece that has dried, and is stricter for a film', () => {
    const masses = [
      4200, 4140, 4100, 4070, 4050, 4036, 4026, 4018, 4012, 4008, 4005, 4003, 4002, 4001, 4001, 4000, 4000,
    ];
    const dried = [
      ...life.slice(0, 3),
      ...masses.map((mass, i) => event(10 + i, 9 + i, { type: 'weighed', mass, step: 1 })),
    ];
    const gate = sealingGate(lifeOf(dried), expected, 'portland', sealers.penetrating, start + 27 * DAY);
    expect(gate.reasons).toEqual([]);
    const film = sealingGate(lifeOf(dried), expected, 'portland', sealers.acrylic, start + 27 * DAY);
    expect(film.dryDown.limit).toBeLessThan(gate.dryDown.limit);
  });

  it('stays shut on a piece that is too young', () => {
    const young = lifeOf([life[0]!]);
    expect(english(sealingGate(young, expected, 'portland', sealers.wax, start + DAY).reasons).join()).toContain(
      'days old',
    );
  });
});

describe('how wet it looks', () => {
  it('is all wet until uncovered, then pales', () => {
    const drying = lifeOf(life.slice(0, 3));
    expect(wetness(lifeOf(life.slice(0, 1)), 300, now)).toBe(1);
    const days = [9, 12, 20, 60].map((day) => wetness(drying, 300, start + day * DAY));
    expect(days).toEqual([...days].sort((a, b) => b - a));
    const fitted = wetness(lifeOf(life.slice(0, 6)), 300, start + 12 * DAY, {
      final: 4000,
      amplitude: 200,
      tau: 100,
      beta: 0.75,
    });
    expect(fitted).toBeGreaterThan(0);
    expect(fitted).toBeLessThan(0.7);
  });
});

it('codes run through the alphabet and on', () => {
  expect([0, 25, 26, 27].map((index) => castCode(23, index))).toEqual(['23a', '23z', '23aa', '23ab']);
});
