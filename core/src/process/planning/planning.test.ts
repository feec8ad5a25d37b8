import { describe, expect, it } from 'vitest';
import { InputError } from '../../foundation/units/index.js';
import { finderOf, type Material } from '../../mixing/materials/index.js';
import { knownColours } from '../../mixing/tints/index.js';
import { can, keptMix, material, nestedPot, threePots } from '../../testing/examples.js';
import { calculateSheet, expectedByLog, lessonsOf, plannedLog } from '../pours/index.js';
import {
  benchOf,
  candidatesOf,
  castsOf,
  judgeContextOf,
  laidPace,
  partsOf,
  type PourChoices,
  type PourSources,
} from './index.js';

const cement = material('grey-cement');
const sand = material('sharp-sand');

const sources = (more: Partial<PourSources> = {}, materials: readonly Material[] = [cement, sand]): PourSources => {
  const find = finderOf(materials);
  return {
    moulds: [{ id: 'pot', name: 'Nested pot', shape: nestedPot, piece: 'pot' }],
    mixes: [keptMix('grey'), keptMix('face', { unfit: 'troughs' })],
    scoops: [can],
    find,
    tints: [{ id: 'ochre', name: 'Ochre', revision: 3, base: { binderId: cement.id }, doses: [] }],
    colours: knownColours([], find),
    lots: [],
    lessons: () => lessonsOf([]),
    runs: [],
    workshop: { bucket: 14_000, scaleStep: 1, liftLimit: 20 },
    now: 0,
    ...more,
  };
};

const choices = (more: Partial<PourChoices> = {}): PourChoices => ({
  items: [{ mouldId: 'pot', count: 3 }],
  mixId: 'grey',
  grade: 5,
  spare: 0.05,
  moisture: {},
  step: 0.25,
  temperature: 18,
  ...more,
});

const refusedField = (act: () => unknown): string | undefined => {
  try {
    act();
  } catch (error) {
    if (error instanceof InputError) return error.issues[0]?.field;
    throw error;
  }
  return undefined;
};

describe('the parts of a pour', () => {
  it('measure what a plan by hand measures', () => {
    const [part] = partsOf(choices(), sources());
    const byHand = calculateSheet(threePots());
    expect(part && calculateSheet(part.plan).batch.lines.map(({ room }) => room)).toEqual(
      byHand.batch.lines.map(({ room }) => room),
    );
  });

  it('are one for each mix, the pour’s own first, each with its own moulds', () => {
    const items = [
      { mouldId: 'pot', count: 1, mixId: 'face' },
      { mouldId: 'pot', count: 2 },
    ];
    const parts = partsOf(choices({ items }), sources());
    expect(parts.map(({ mixId, items: own }) => [mixId, own])).toEqual([
      ['grey', [1]],
      ['face', [0]],
    ]);
  });

  it('keep the tint and its version as they are now', () => {
    const colouring = { kind: 'solid', parts: [{ tint: 'ochre', share: 1 }] } as const;
    const [part] = partsOf(choices({ items: [{ mouldId: 'pot', count: 1, colouring }] }), sources());
    expect(part?.plan.items[0]?.colouring?.parts[0]?.tint).toMatchObject({ id: 'ochre', revision: 3 });
  });

  it('take as long as this bench’s runs took, shared among the hands', () => {
    const runs = [1, 2, 3].map(() => ({ mixId: 'grey', pace: { mixing: 20, filling: 12 }, tries: [] }));
    const minutes = (people: number, more: Partial<PourSources>) =>
      partsOf(choices({ people }), sources(more))[0]?.plan.times;
    const [alone, taught] = [minutes(1, {}), minutes(1, { runs })];
    expect(taught?.mixing).toBeGreaterThan(alone?.mixing ?? Infinity);
    expect(minutes(2, { runs })?.filling).toBeCloseTo((taught?.filling ?? 0) / 2, 9);
  });

  it('say what their minutes were laid with, however many hands shared them', () => {
    const runs = [1, 2, 3].map(() => ({ mixId: 'grey', pace: { mixing: 2, filling: 3 }, tries: [] }));
    for (const people of [1, 2]) {
      const [part] = partsOf(choices({ people }), sources({ runs }));
      expect(part && laidPace(part, people)).toMatchObject({
        mixing: expect.closeTo(1.5, 9),
        filling: expect.closeTo(2, 9),
      });
    }
    const [plain] = partsOf(choices(), sources());
    expect(plain && laidPace({ ...plain, plan: { ...plain.plan, times: undefined } as never }, 2)).toEqual({
      mixing: 1,
      filling: 1,
    });
  });

  it.each([
    ['a mould', choices({ items: [{ mouldId: 'none', count: 1 }] }), 'items.0.mouldId'],
    ['a mix', choices({ mixId: 'none' }), 'mixId'],
    ['a scoop', choices({ scoopId: 'none' }), 'scoopId'],
    [
      'a tint',
      choices({
        items: [{ mouldId: 'pot', count: 1, colouring: { kind: 'solid', parts: [{ tint: 'none', share: 1 }] } }],
      }),
      'colouring',
    ],
  ])('name %s that is gone', (_, given, field) => {
    expect(refusedField(() => partsOf(given, sources()))).toBe(field);
  });
});

describe('what a pour is judged by', () => {
  it('is what its mould is, what its mix is not for, and what was put aside for that mix', () => {
    const known = sources();
    const [part] = partsOf(choices({ mixId: 'face' }), known);
    const pot = {
      id: 'pot',
      name: 'Nested pot',
      shape: nestedPot,
      piece: 'pot',
      flexibility: 'rigid',
      meshOpening: 12,
    } as const;
    const aside = ['face', 'grey'].map((mixId) => ({ key: 'span', mouldId: 'pot', reason: mixId, mixId }) as const);
    const context = part && judgeContextOf({}, part, { moulds: [pot], mixes: known.mixes, aside, now: 0 });
    expect(context).toMatchObject({ moulds: { pot: { flexibility: 'rigid', meshOpening: 12 } }, unfit: 'troughs' });
    expect(context?.aside?.map(({ reason }) => reason)).toEqual(['face']);
  });

  it('may take any mix of the workshop in place of its own', () => {
    expect(candidatesOf(sources()).map(({ id }) => id)).toEqual(['grey', 'face']);
  });
});

it('the bench has a sheet and placings for each part, and steps for all', () => {
  const input = choices();
  const { parts, steps } = benchOf({ parts: partsOf(input, sources()), input });
  expect(parts[0]?.sheet.batch.lines).toHaveLength(2);
  expect(parts[0]?.placings.length).toBeGreaterThan(0);
  expect(steps.length).toBeGreaterThan(3);
});

describe('the casts of a finished pour', () => {
  const [part] = partsOf(choices(), sources());
  if (!part) throw new Error('The pour has a part.');
  const log = plannedLog(part.plan, calculateSheet(part.plan));
  const made = [
    { id: 'a', item: 0 },
    { id: 'b', item: 0 },
  ];

  it('are each of their item, and are expected to weigh and lose what really went in makes of it', () => {
    const casts = castsOf([{ ...part, log }], made);
    const [expected] = expectedByLog(part.plan, log);
    expect(casts.map((cast) => [cast.id, cast.mouldId, cast.expected])).toEqual([
      ['a', 'pot', expected],
      ['b', 'pot', expected],
    ]);
    expect(casts[0]?.snapshot).toMatchObject({ mixName: 'grey', binderClass: 'portland', lightweight: false });
  });

  it('have a weaker mix on record where more water went in', () => {
    const wetter = { ...log, tap: log.tap * 1.2 };
    const ratio = (of: typeof log) => castsOf([{ ...part, log: of }], made)[0]?.snapshot.ratio ?? NaN;
    expect(ratio(wetter)).toBeGreaterThan(ratio(log));
  });
});
