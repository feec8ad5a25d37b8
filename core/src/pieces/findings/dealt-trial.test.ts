import { describe, expect, it } from 'vitest';
import { defined } from '../../foundation/math/index.js';
import type { TrialSide } from '../casts/index.js';
import {
  copiesOf,
  dealItems,
  isDealtTo,
  markedBy,
  markOf,
  trialStandings,
  type DealtTrial,
  type FindingRecord,
  type TrialPlan,
} from './index.js';

const plan: TrialPlan = { kind: 'release', a: 'plant oil', b: 'paste wax', worse: 0.6, better: 0.9, mouldId: 'pot' };
const items = [
  { mouldId: 'pot', mixId: 'mortar', count: 5 },
  { mouldId: 'slab', mixId: 'mortar', count: 4 },
  { mouldId: 'pot', mixId: 'tufa', count: 3 },
];
const none = { a: 0, b: 0 };
const dealt = (seed = 7): DealtTrial => ({ ...plan, id: 't', name: 'Wax', sides: dealItems(plan, items, seed, none) });

describe('a pour in a trial', () => {
  it('deals each copy that the trial is about, evenly within each mould and over all', () => {
    for (let seed = 0; seed < 60; seed++) {
      const { sides } = dealt(seed);
      expect(sides.map(({ length }) => length)).toEqual([5, 0, 3]);
      const ahead = (of: readonly TrialSide[]) => Math.abs(of.reduce((sum, side) => sum + (side === 'a' ? 1 : -1), 0));
      expect(Math.max(...sides.map(ahead), ahead(sides.flat()))).toBeLessThanOrEqual(1);
    }
  });

  it('gives the odd copy to the side that had fewer', () => {
    for (let seed = 0; seed < 20; seed++) {
      const [first] = dealItems(plan, [defined(items[0])], seed, { a: 3, b: 2 });
      expect(defined(first).filter((side) => side === 'b')).toHaveLength(3);
    }
  });

  it('marks a cast with the way that its copy got, and with the release itself', () => {
    const trial = dealt();
    const side = defined(defined(trial.sides[0])[2]);
    const mark = defined(markOf(trial, 0, 2));
    expect(mark).toMatchObject({ id: 't', side, way: trial[side] });
    expect(markedBy(mark)).toEqual({ trial: mark, release: trial[side] });
    expect(markedBy({ ...mark, kind: 'other' })).toEqual({ trial: { ...mark, kind: 'other' } });
    expect(copiesOf(trial, 0, side)).toContain(3);
    expect(markOf(trial, 1, 0)).toBeUndefined();
    expect(markOf(trial, 0, 5)).toBeUndefined();
  });

  it('keeps what it was dealt as long as the same copies are poured', () => {
    expect(isDealtTo(dealt(), plan, items)).toBe(true);
    expect(isDealtTo(dealt(), plan, items.slice(0, 2))).toBe(false);
    expect(isDealtTo(dealt(), { ...plan, b: 'soap' }, items)).toBe(false);
    expect(isDealtTo(dealt(), plan, [{ ...defined(items[0]), count: 6 }, ...items.slice(1)])).toBe(false);
  });
});

describe('what has come of a trial', () => {
  const cast = (side: TrialSide, faults: FindingRecord['faults'] = [], seen = true): FindingRecord => ({
    id: '', code: '', mouldId: 'pot', mixId: 'mortar', piece: 'pot', at: 0, seen, faults, under: {}, ways: {}, measured: {}, trial: { id: 't', side },
  }); // prettier-ignore
  const crack = { fault: 'crack', severity: 'clear' } as const;
  const bloom = { fault: 'bloom', severity: 'slight' } as const;

  it('counts the casts that left their moulds, by the fault that is watched', () => {
    const records = [cast('a', [crack]), cast('a', [bloom]), cast('b'), cast('b', [bloom]), cast('b', [], false)];
    const [anything] = trialStandings([{ id: 't', plan, setting: 2 }], records);
    expect(anything).toMatchObject({ a: { casts: 2, good: 0 }, b: { casts: 2, good: 1 }, waiting: 3, aSide: 23 });
    expect(anything?.judged.verdict).toBe('too-few');
    const [cracks] = trialStandings([{ id: 't', plan: { ...plan, watched: 'crack' }, setting: 0 }], records);
    expect(cracks).toMatchObject({ a: { good: 1 }, b: { good: 2 } });
  });

  it('of which nothing was poured is that', () => {
    expect(trialStandings([{ id: 'other', plan, setting: 0 }], [cast('a')])).toMatchObject([{ a: { casts: 0 }, b: { casts: 0 }, waiting: 0 }]); // prettier-ignore
  });
});
