import fc from 'fast-check';
import { refusal } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import { calculateMix } from '../../mixing/mixes/index.js';
import { nestedPot, sandCement } from '../../testing/examples.js';
import { coversInOrder } from '../curing/index.js';
import { expectedOf } from '../pours/index.js';
import {
  lessons,
  simulationClimates,
  simulationPieceOf,
  simulationPieces,
  simulate,
  SIMULATED,
  usualChoices,
  type LessonKey,
  type SimulationChoices,
} from './index.js';

const gradeOf = (key: LessonKey, changed: Partial<SimulationChoices> = {}) => {
  const { piece, start, learned } = lessons[key];
  const { outcomes } = simulate(simulationPieces[piece], { ...start, ...changed });
  return outcomes.filter(({ of }) => learned.includes(of)).map(({ grade }) => grade);
};

describe('a lesson', () => {
  it.each([
    ['heatwave', { cover: 'bag', uncover: 168 }],
    ['cold shed', { climate: 'warm room', demould: 30 }],
    ['sealed too soon', { climate: 'warm room', coat: 14 * 24 }],
    ['lightweight left bare', { cover: 'bag', uncover: 14 * 24 }],
  ] as const)('%s goes wrong as most would do it, and right by what it teaches', (key, better) => {
    expect(gradeOf(key)).toContain('bad');
    expect(gradeOf(key, better).every((grade) => grade === 'good')).toBe(true);
    expect(Object.keys(better).every((choice) => lessons[key].open.includes(choice as keyof SimulationChoices))).toBe(
      true,
    );
  });
});

it('water never comes back and strength never falls, whatever is chosen', () => {
  const choices = fc.record({
    climate: fc.constantFrom(...(Object.keys(simulationClimates) as SimulationChoices['climate'][])),
    cover: fc.constantFrom(...coversInOrder),
    demould: fc.integer({ min: 1, max: 96 }),
    uncover: fc.integer({ min: 1, max: 700 }),
    wettings: fc.integer({ min: 0, max: 8 }),
    coat: fc.integer({ min: 24, max: 900 }),
  });
  fc.assert(
    fc.property(choices, fc.constantFrom(...Object.values(simulationPieces)), (chosen, piece) => {
      const { hours } = simulate(piece, chosen);
      expect(hours).toHaveLength(SIMULATED + 1);
      hours.slice(1).forEach(({ water, strength }, i) => {
        expect(water).toBeLessThanOrEqual(hours[i]!.water + 1e-9);
        expect(water).toBeGreaterThanOrEqual(0);
        expect(strength).toBeGreaterThanOrEqual(hours[i]!.strength - 1e-9);
      });
    }),
    { numRuns: 25 },
  );
});

it.each(Object.entries(simulationPieces))('%s comes out well as a learner begins', (_, piece) => {
  const { outcomes } = simulate(piece, usualChoices(piece));
  expect(outcomes.filter(({ grade }) => grade === 'bad')).toEqual([]);
});

describe('a piece of one’s own', () => {
  const own = {
    name: 'Nested pot',
    shape: nestedPot,
    piece: 'pot',
    mix: sandCement(),
    conditions: { moistCuringDays: 7 },
    binderClass: 'portland',
  } as const;

  it('has the masses, faces and strength that a pour of it would have', () => {
    const piece = simulationPieceOf(own);
    const figures = calculateMix(own.mix, own.conditions);
    const { dry, loss } = expectedOf(figures.perPart, 2014.89);
    expect(piece.dry).toBeCloseTo(dry, 0);
    expect(piece.loss).toBeCloseTo(loss, 0);
    expect(piece.strength).toBe(figures.strength.value);
    expect(piece).toMatchObject({ lightweight: false, demouldAge: 24 });
    // Cylinders of the mean diameters: pi (d·h) outside and inside, both ends and the rim.
    const about = Math.PI * (180 * 180 + 142 * 162 + (160 ** 2 + 200 ** 2) / 4);
    expect(piece.area / about).toBeCloseTo(1, 1);
  });

  it('dries in the same shape as any, and one of thicker walls in the same air no faster', () => {
    const piece = simulationPieceOf(own);
    const chosen = { ...lessons['cold shed'].start, climate: 'warm room', uncover: 24 } as const;
    const left = (loss: number) => simulate({ ...piece, loss }, chosen).hours[400]!.waterShare;
    expect(left(piece.loss)).toBeLessThan(0.5);
    expect(left(4 * piece.loss)).toBeGreaterThanOrEqual(left(piece.loss));
  });

  it('of a mix that cannot be mixed is refused with what to do', () => {
    expect(refusal(() => simulationPieceOf({ ...own, mix: { ...own.mix, lines: [] } }))).toContain('no materials');
  });
});
