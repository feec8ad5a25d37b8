import { describe, expect, it } from 'vitest';
import { defined } from '../../foundation/math/index.js';
import type { Fault } from '../casts/index.js';
import { explainFault, explainPour, findingContext, type FindingRecord } from './index.js';

const cast = (id: string, faults: readonly Fault[], evaporation: number, seen = true): FindingRecord => ({
  id, code: id, mouldId: 'pot', mixId: 'mortar', piece: 'pot', at: 0, seen, faults: faults.map((fault) => ({ fault, severity: 'clear' })),
  under: { evaporation: { value: evaporation, most: 0.5 }, uncovered: { value: evaporation > 0.5 ? 1 : 0, most: 0.5 } }, ways: {}, measured: {},
}); // prettier-ignore
const good = Array.from({ length: 12 }, (_, i) => cast(`good ${i}`, [], 0.1 + 0.01 * (i % 4)));

describe('why a pour came out so', () => {
  const pour = [
    cast('a', ['crazing'], 0.9),
    cast('b', ['crazing', 'bloom'], 0.7),
    cast('c', [], 0.6),
    cast('d', [], 0.6, false),
  ];
  const context = findingContext([...good, ...pour]);
  const found = explainPour(pour, context);

  it('names each fault with how many of those that were looked at have it, the commonest first', () => {
    expect(found.map(({ fault, casts, of }) => [fault, casts, of])).toEqual([['crazing', 2, 3], ['bloom', 1, 3]]); // prettier-ignore
  });

  it('has the mean share of each cause, with the evidence of the cast that shows it best', () => {
    const [crazing] = found;
    const each = pour.slice(0, 2).map((one) => explainFault(one, 'crazing', context));
    const { cause, share, evidence } = defined(defined(crazing).causes[0]);
    const shares = each.map(({ causes }) => causes.find((one) => one.cause === cause)?.share ?? 0);
    expect(share).toBeCloseTo((defined(shares[0]) + defined(shares[1])) / 2, 12);
    expect(evidence.value).toBe(each[defined(shares[0]) >= defined(shares[1]) ? 0 : 1]!.causes.find((one) => one.cause === cause)!.evidence.value); // prettier-ignore
    const all = defined(crazing).causes.reduce((sum, one) => sum + one.share, defined(crazing).unrecorded);
    expect(all).toBeLessThanOrEqual(1 + 1e-9);
  });

  it('of which nothing was found wrong has nothing to explain', () => {
    expect(explainPour(good, context)).toEqual([]);
    expect(explainPour([], context)).toEqual([]);
  });
});
