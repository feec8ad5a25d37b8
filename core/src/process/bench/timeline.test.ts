import fc from 'fast-check';
import { english } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import { MINUTE } from '../../foundation/units/index.js';
import { fullVolume } from '../../geometry/moulds/index.js';
import { cone, dose, nestedPot, said, sandCement, threePots } from '../../testing/examples.js';
import { judgePour } from '../judging/index.js';
import {
  calculateSheet,
  windowFactor,
  type PourItem,
  type PourPlan,
  type PourTint,
  type CalculatedPart,
} from '../pours/index.js';
import { learnedTimes, stepsOf, timelineOf, type RunWays, type Step, type StepTimes, type Timeline } from './index.js';

const START = 1_000_000_000_000;
const ways: RunWays = { release: 'wax', finish: 'broom', people: 1 };

const tint = (id: string, colour: string): PourTint => ({
  id,
  name: id,
  revision: 1,
  colour,
  doses: [dose('red-oxide', 0.02)],
});
const [pale, dark] = [tint('pale', '#e0d0c0'), tint('dark', '#503020')];

const pot = (over: Partial<PourItem> = {}): PourItem => ({ ...threePots().items[0]!, ...over });
const round = (count = 2): PourItem => ({
  mouldId: 'round',
  name: 'Stepping round',
  shape: { outer: cone(300, 300, 45), cores: [], inserts: [] },
  piece: 'slab',
  count,
});
const banded = (edge: 'crisp' | 'blended', count = 1) =>
  pot({
    count,
    colouring: { kind: 'banded', edge, parts: [{ tint: dark, share: 0.5 }, { tint: pale, share: 0.5 }] }, // prettier-ignore
  });
const part = (items: readonly PourItem[], over: Partial<PourPlan> = {}): CalculatedPart => {
  const plan = threePots({ items, ...over });
  return { plan, sheet: calculateSheet(plan) };
};
const laid = (parts: readonly CalculatedPart[], over: Partial<RunWays> = {}): [Step[], Timeline] => {
  const steps = stepsOf(parts, { ...ways, ...over });
  return [steps, timelineOf(steps, { start: START })];
};
const kinds = (steps: readonly Step[]) => steps.map(({ kind }) => kind);

describe('what is laid in', () => {
  const letters = { name: '12', face: 'mould' as const, thickness: 3, loops: [[[-20, -20], [20, -20], [0, 20]]] as const }; // prettier-ignore
  it('is laid before the cores where it lies on the bottom, and mesh once a mould is half full', () => {
    const [steps] = laid([part([pot({ mesh: true, count: 1 }), { ...round(), inset: letters }])]);
    expect(kinds(english(steps)).slice(0, 5)).toEqual(['lay-out', 'release', 'release-dries', 'insets', 'cores']);
    expect(steps.find(({ kind }) => kind === 'insets')!.minutes).toBe(6);
    const at = kinds(steps).indexOf('mesh');
    expect(steps[at]!.moulds.map(({ name }) => name)).toEqual(['Nested pot']);
    const poured = steps.slice(0, at).filter(({ kind }) => kind === 'fill');
    const taken = poured.flatMap(({ moulds }) => moulds).filter(({ name }) => name === 'Nested pot');
    expect(taken.reduce((sum, { volume }) => sum + volume, 0)).toBeCloseTo(fullVolume(nestedPot) / 2, 6);
    expect(kinds(english(laid([part([pot()])])[0]))).not.toContain('mesh');
  });

  it('of a banded piece goes into the layer that reaches half its depth', () => {
    const [steps] = laid([part([{ ...banded('blended'), mesh: true }])]);
    const mesh = kinds(steps).indexOf('mesh');
    const before = steps.slice(0, mesh).filter(({ kind }) => kind === 'fill').flatMap(({ moulds }) => moulds); // prettier-ignore
    expect(kinds(steps).filter((kind) => kind === 'mesh')).toHaveLength(1);
    expect(before.reduce((sum, { volume }) => sum + volume, 0)).toBeGreaterThanOrEqual(fullVolume(nestedPot) / 2 - 1e-6); // prettier-ignore
  });
});

describe('a mould that takes more than a bucket', () => {
  const trough = (over: Partial<PourPlan> = {}) =>
    part([pot({ count: 1, name: 'Trough', shape: nestedPot })], { bucket: 1500, ...over });
  it('has its next bucket while the last is plastic, and is told of by name with the way out', () => {
    const [steps, timeline] = laid([trough()]);
    const next = steps.filter(({ kind }) => kind === 'fill').filter(({ after }) => after);
    expect(next.length).toBeGreaterThan(0);
    expect(next[0]!.after).toMatchObject({ from: 0, edge: 'blended' });
    expect(timeline.warnings).toEqual([]);
    expect(said(judgePour(trough().plan, trough().sheet).findings)).toMatch(
      /Trough takes [0-9.]+ L, and the bucket mixes 1\.0\d L at once: each bucket goes in while the last is plastic/,
    );
  });

  it('is warned of where the next bucket comes too late to grow on', () => {
    const slow = trough({ times: { mixing: 9, filling: 3 } });
    const [steps] = laid([slow]);
    const second = steps.filter(({ kind, after }) => kind === 'fill' && after)[0]!;
    const first = second.after!.below[0]!;
    const times = new Map<string, StepTimes>([
      [first, { start: START, end: START }],
      [second.key, { start: START + (second.after!.to + 5) * MINUTE }],
    ]);
    const { warnings } = timelineOf(steps, { start: START, times });
    expect(
      english(warnings)
        .map(({ text }) => text)
        .join(),
    ).toContain('More into Trough comes 5 min after the lift below');
    const cold = new Map([[second.key, { start: START + (second.after!.cold + 5) * MINUTE }], [first, { start: START, end: START }]]); // prettier-ignore
    expect(english(timelineOf(steps, { start: START, times: cold }).warnings).map(({ kind }) => kind)).toContain(
      'cold-joint',
    );
  });
});

describe('the steps of a pour', () => {
  it('go from laying out to cleaning up, a deep mould in two lifts with tapping after each', () => {
    const [steps] = laid([part([pot()])]);
    expect(kinds(english(steps))).toEqual([
      'lay-out',
      'release',
      'release-dries',
      'cores',
      'weigh',
      'mix',
      'rest',
      'fill',
      'tap',
      'fill',
      'tap',
      'cover',
      'clean',
    ]);
    const [first, second] = steps.filter(({ kind }) => kind === 'fill');
    expect(first!.moulds.map(({ name }) => name)).toEqual(['Nested pot 1', 'Nested pot 2', 'Nested pot 3']);
    expect(first!.moulds[0]!.volume + second!.moulds[0]!.volume).toBeCloseTo(fullVolume(nestedPot), 6);
    expect(second!.moulds[0]!.to).toBeCloseTo(180, 1);
    expect(first!.moulds[0]!.to).toBeGreaterThan(18);
  });

  it('of a slab are one lift, struck off, and finished in its windows; covered only then', () => {
    const [steps] = laid([part([round()])]);
    expect(kinds(english(steps))).toEqual(
      expect.arrayContaining(['strike', 'float', 'first-edge', 'second-edge', 'broom']),
    );
    expect(kinds(english(steps))).not.toContain('cover');
    expect(steps.filter(({ kind }) => kind === 'fill')).toHaveLength(1);
    expect(kinds(english(laid([part([round()])], { finish: 'struck' })[0]))).toContain('cover');
  });

  it('of pressed faces are a press, and a damp glove while it is green', () => {
    const pressed = pot({ shape: { outer: cone(160, 200, 180), cores: [], inserts: [], pressed: { side: 'over', thickness: 30 } } }); // prettier-ignore
    const [steps] = laid([part([pressed], { mix: sandCement(2), bucket: 60000 })], { release: 'none' });
    expect(kinds(english(steps))).toEqual(['lay-out', 'weigh', 'mix', 'rest', 'press', 'smooth', 'clean']);
  });

  it('have keys of their own, and the same ones each time', () => {
    const parts = [part([banded('crisp', 2), round()]), part([pot({ count: 12 })])];
    const [steps] = laid(parts);
    expect(new Set(steps.map(({ key }) => key)).size).toBe(steps.length);
    expect(laid(parts)[0].map(({ key }) => key)).toEqual(steps.map(({ key }) => key));
  });
});

const items = fc.array(
  fc.oneof(
    fc.integer({ min: 1, max: 6 }).map((count) => pot({ count })),
    fc.integer({ min: 1, max: 6 }).map(round),
    fc.tuple(fc.constantFrom('crisp' as const, 'blended' as const), fc.integer({ min: 1, max: 3 })).map(([edge, n]) => banded(edge, n)), // prettier-ignore
  ),
  { minLength: 1, maxLength: 4 },
);

describe('a pour in time', () => {
  it('keeps its order and every wait, and takes both hands for one thing at once', () => {
    fc.assert(
      fc.property(
        items,
        fc.integer({ min: 5, max: 30 }),
        fc.integer({ min: 4000, max: 30000 }),
        (of, temperature, bucket) => {
          // prettier-ignore
          const [steps, timeline] = laid([part(of, { temperature, bucket })]);
          expect(timeline.steps).toHaveLength(steps.length);
          const ends = new Map(timeline.steps.map(({ step, end }) => [step.key, end]));
          const busy = timeline.steps.filter(({ step }) => step.hands).sort((a, b) => a.start - b.start);
          busy.slice(1).forEach((one, i) => expect(one.start).toBeGreaterThanOrEqual(busy[i]!.end - 1e-3));
          for (const { step, start, window } of timeline.steps) {
            if (window) expect(start).toBeGreaterThanOrEqual(window.from - 1e-3);
            for (const below of step.after?.below ?? [])
              expect(start).toBeGreaterThanOrEqual(ends.get(below)! + step.after!.from * MINUTE - 1e-3);
          }
          const chain = timeline.steps.filter(({ step }) => !step.window);
          chain.slice(1).forEach((one, i) => expect(one.start).toBeGreaterThanOrEqual(chain[i]!.end - 1e-3));
        },
      ),
      { numRuns: 60 },
    );
  });

  it('mixes the upper layer so that it is ready when the lower one is firm', () => {
    const [, timeline] = laid([part([banded('crisp')], { temperature: 20 })]);
    const upper = timeline.steps.find(({ step }) => step.after)!;
    const lower = timeline.steps.find(({ step }) => step.key === upper.step.after!.below[0])!;
    expect((upper.start - lower.end) / MINUTE).toBeCloseTo(0.6 * 4.5 * 60, 3);
    const mixing = timeline.steps.filter(({ step }) => step.kind === 'mix')[1]!;
    expect((upper.start - mixing.start) / MINUTE).toBeCloseTo(6, 6);
    expect(timeline.free.some(({ from, to }) => to - from > 2 * 60 * MINUTE)).toBe(true);
    expect(timeline.warnings).toEqual([]);
  });

  it('finishes slabs in their windows, and while a layer sets', () => {
    const [, timeline] = laid([part([round()], { temperature: 20 })]);
    const strike = timeline.steps.find(({ step }) => step.kind === 'strike')!;
    const broom = timeline.steps.find(({ step }) => step.kind === 'broom')!;
    expect((broom.start - strike.end) / MINUTE).toBeCloseTo(0.35 * 4.5 * 60, 3);
    const [, both] = laid([part([round(1), banded('crisp')], { temperature: 20 })]);
    const end = (kind: string) => both.steps.find(({ step }) => step.kind === kind)!.end;
    expect(end('first-edge')).toBeLessThan(both.steps.find(({ step }) => step.after)!.start);
    expect(both.warnings).toEqual([]);
  });

  it('warns where a bucket stiffens, where hands are wanted twice, and where a layer comes cold', () => {
    const told = ([, timeline]: [Step[], Timeline]) => [...new Set(timeline.warnings.map(({ kind }) => kind))];
    const slow = part([pot({ count: 4 })], { temperature: 38, bucket: 60000, times: { mixing: 5, filling: 14 } });
    expect(told(laid([slow]))).toContain('stiffens');
    const times = { mixing: 8, filling: 4 };
    const over = { temperature: 30, times, bucket: 60000 };
    const [slabs, pots] = [part([round(4)], over), part([pot()], over)];
    expect(told(laid([slabs, pots]))).toEqual([]);
    expect(told(laid([slabs, pots], { windows: [0.3, 1] }))).toEqual(['both-hands']);
    const steps = stepsOf([part([banded('crisp')])], ways);
    const fill = steps.find(({ after }) => after)!;
    const late = (hours: number) => {
      const lower = timelineOf(steps, { start: START }).steps.find(({ step }) => step.key === fill.after!.below[0])!;
      return timelineOf(steps, {
        start: START,
        times: new Map([[fill.key, { start: lower.end + hours * 60 * MINUTE }]]),
      });
    };
    const joint = (hours: number) => late(hours).warnings.filter(({ kind }) => kind !== 'stiffens');
    expect(english(joint(7)).map(({ kind }) => kind)).toEqual(['edge']);
    expect(english(joint(9)).map(({ kind, step }) => [kind, step])).toEqual([['cold-joint', fill.key]]);
  });

  it('is laid again when a step runs over: what is done stays, the rest moves', () => {
    const steps = stepsOf([part([pot()])], ways);
    const planned = timelineOf(steps, { start: START });
    const weigh = planned.steps.find(({ step }) => step.kind === 'weigh')!;
    const times = new Map<string, StepTimes>([
      ...planned.steps.slice(0, 4).map(({ step, start, end }) => [step.key, { start, end }] as const),
      [weigh.step.key, { start: weigh.start }] as const,
    ]);
    const late = timelineOf(steps, { start: START, now: weigh.end + 20 * MINUTE, times });
    expect(
      english(late.steps)
        .map(({ state }) => state)
        .slice(0, 6),
    ).toEqual(['done', 'done', 'done', 'done', 'begun', 'ahead']);
    expect(late.poured - planned.poured).toBeCloseTo(20 * MINUTE, -2);
  });

  it('of thirty moulds in six mixes has a pot life for each bucket, and ends with cleaning up', () => {
    const parts = Array.from({ length: 6 }, () => part([pot({ count: 3 }), round(2)]));
    const [, timeline] = laid(parts);
    expect(timeline.potLives.length).toBeGreaterThanOrEqual(6);
    expect(english(timeline.steps).at(-1)!.step.kind).toBe('clean');
  });
});

describe('what a bench teaches', () => {
  it('are its own minutes, drawn towards the usual', () => {
    const usual = { mixing: 6, filling: 3 };
    expect(learnedTimes(usual, [])).toEqual(usual);
    const learned = learnedTimes(usual, [{ mixing: 1.5, filling: 0.5 }, { mixing: 1.5 }, { mixing: 1.5 }]);
    expect(learned.mixing).toBeCloseTo(6 * 1.25, 9);
    expect(learned.filling).toBeCloseTo(3 * (0.25 * 0.5 + 0.75), 9);
  });

  it('are windows of finishing: later after tries that were early, sooner after late ones', () => {
    expect(windowFactor([])).toBe(1);
    expect(windowFactor([{ kind: 'broom', share: 0.4, went: 'early' }])).toBeGreaterThan(1);
    expect(windowFactor([{ kind: 'broom', share: 0.4, went: 'late' }])).toBeLessThan(1);
    expect(windowFactor([{ kind: 'broom', share: 0.5, went: 'good' }])).toBe(1);
    expect(windowFactor([{ kind: 'broom', share: 0.9, went: 'good' }])).toBeGreaterThan(1);
    expect(windowFactor([{ kind: 'smooth', share: 0.1, went: 'early' }])).toBe(1);
  });
});
