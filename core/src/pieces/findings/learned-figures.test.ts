import { describe, expect, it } from 'vitest';
import { learnDemouldAge } from '../../process/curing/index.js';
import { material } from '../../testing/examples.js';
import { fromHandbook, groupOfKind, isForgotten, learnedFigures, learnedKinds, lessonGroups, type LearnedKind, type LessonSources } from './index.js'; // prettier-ignore

const none: LessonSources = { mixes: [], pours: [], demoulds: [], dryings: [], overrides: [], materials: [], chips: [], forgotten: [] }; // prettier-ignore
const mixes = [{ id: 'grey', name: 'Sand-cement', binderClass: 'portland' }] as const;
const pour = (at: number, demand: number, more: object = {}) => ({
  id: `p${at}`,
  number: at,
  at,
  taught: [{ mixId: 'grey', demand, ...more }],
  runs: [],
});
const figureOf = (sources: Partial<LessonSources>, kind: LearnedKind) =>
  learnedFigures({ ...none, ...sources }).find((one) => one.kind === kind);

describe('what pours taught of a mix', () => {
  const pours = [pour(1, 1.1, { yield: 0.9 }), pour(2, 1.2), pour(3, 1.3)];

  it('is the shrunken mean of what they showed, three records weighing as much as the handbook', () => {
    const water = figureOf({ mixes, pours }, 'water');
    expect(water?.figure.value).toBeCloseTo((3 * 1.2 + 3) / 6, 9);
    expect(water?.figure.basis).toEqual({ kind: 'learned', records: 3 });
    expect(water && fromHandbook(water)).toBeCloseTo(0.1, 9);
    expect(water?.records.map(({ label, shows }) => [label, shows])).toEqual([['1', 1.1], ['2', 1.2], ['3', 1.3]]); // prettier-ignore
  });

  it('of its yield counts only pours whose leftover is on record', () => {
    const made = figureOf({ mixes, pours }, 'yield');
    expect(made?.records).toHaveLength(1);
    expect(made?.figure.value).toBeCloseTo((0.9 + 3) / 4, 9);
  });

  it('is forgotten from a time on; the older records stay, and no longer count', () => {
    const forgotten = [{ group: 'mix', of: ['grey'], since: 3 }] as const;
    const water = figureOf({ mixes, pours, forgotten }, 'water');
    expect(water?.records.map(({ counts }) => counts)).toEqual([false, false, true]);
    expect(water?.figure.value).toBeCloseTo((1.3 + 3) / 4, 9);
    expect(water?.since).toBe(3);
    const all = figureOf({ mixes, pours, forgotten: [{ ...forgotten[0], since: 9 }] }, 'water');
    expect(all?.figure).toMatchObject({ value: 1, basis: { kind: 'handbook' } });
  });

  it('of the bench are minutes, and its windows by every try', () => {
    const run = { mixId: 'grey', pace: { mixing: 1.5 }, tries: [{ kind: 'float', share: 0.1, went: 'early' }] } as const;
    const runs = [{ ...pour(1, 1), runs: [run] }];
    const mixing = figureOf({ mixes, pours: runs }, 'mixing');
    expect(mixing).toMatchObject({ handbook: 6, records: [{ shows: 9 }] });
    expect(mixing?.figure.value).toBeCloseTo(6 * ((1.5 + 3) / 4), 9);
    expect(figureOf({ mixes, pours: runs }, 'filling')).toBeUndefined();
    expect(figureOf({ mixes, pours: runs }, 'windows')?.figure.value).toBeGreaterThan(1);
  }); // prettier-ignore
});

describe('what pieces taught', () => {
  const pair = { mouldId: 'pot', mixId: 'grey', mould: 'Nested pot', mix: 'Sand-cement' };
  const demoulded = (at: number, age: number) => ({ id: `c${at}`, code: `A-${at}`, at, age, came: 'clean' as const });

  it('of demoulding is what the clock goes by', () => {
    const records = [demoulded(1, 30), demoulded(2, 26)];
    const told = figureOf({ demoulds: [{ ...pair, handbook: 36, records, ways: {} }] }, 'demould');
    expect(told?.figure.value).toBe(learnDemouldAge(36, records).age.value);
    const begun = figureOf({ demoulds: [{ ...pair, handbook: 36, records, ways: { since: 2 } }] }, 'demould');
    expect(begun?.figure.value).toBe(learnDemouldAge(36, records.slice(1)).age.value);
    expect(begun?.records.map(({ counts }) => counts)).toEqual([false, true]);
  });

  it('of drying is the geometric mean of their time constants', () => {
    const records = [60, 240].map((tau, at) => ({ id: `c${at}`, code: `A-${at}`, at, tau }));
    const told = figureOf({ dryings: [{ ...pair, records }] }, 'drying');
    expect(told?.figure.value).toBeCloseTo(120, 9);
    expect(told).toMatchObject({ handbook: 120, of: ['pot', 'grey'], names: ['Nested pot', 'Sand-cement'] });
  });

  it('of the gates moves a limit by those that held, films by themselves', () => {
    const overrides = [1.2, 1.3, 1.4].map((over, at) => ({ castId: `c${at}`, code: `A-${at}`, at, reason: 'a sale', over, film: false, held: true })); // prettier-ignore
    expect(figureOf({ overrides }, 'seal-open')?.figure.value).toBeCloseTo(1.2, 9);
    expect(figureOf({ overrides }, 'seal-film')).toBeUndefined();
    const forgotten = [{ group: 'sealing', of: [], since: 1 }] as const;
    expect(figureOf({ overrides, forgotten }, 'seal-open')?.figure.value).toBe(1);
  });
});

describe('what chips taught of a pigment', () => {
  const [cement, red] = [material('grey-cement'), material('red-oxide')];
  const chips = [{ id: 'k', name: 'Red, 2 %', at: 5, base: { binderId: cement.id }, doses: [{ materialId: red.id, amount: 0.02 }], measured: { colour: '#8d6a5c', by: 'reader' as const } }]; // prettier-ignore

  it('is its strength beside the one that it is taken to have', () => {
    const told = figureOf({ materials: [cement, red], chips }, 'strength');
    expect(told).toMatchObject({ of: [red.id], figure: { basis: { kind: 'learned', records: 1 } } });
    expect(told?.figure.value).not.toBe(told?.handbook);
  });

  it('is forgotten with the pigment', () => {
    const forgotten = [{ group: 'pigment', of: [red.id], since: 6 }] as const;
    expect(chips.map((chip) => isForgotten(chip, forgotten))).toEqual([true]);
    const told = figureOf({ materials: [cement, red], chips, forgotten }, 'strength');
    expect(told?.figure.value).toBe(told?.handbook);
  });
});

it('every kind is forgotten with a group, and every group has a kind', () => {
  expect(new Set(learnedKinds.map((kind) => groupOfKind[kind]))).toEqual(new Set(lessonGroups));
});

it('nothing is learned from nothing', () => {
  expect(learnedFigures(none)).toEqual([]);
});
