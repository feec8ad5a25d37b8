import { describe, expect, it } from 'vitest';
import { goodShare } from './good-share.js';
import { costOfPiece, wearOf, wornBy, type PieceFacts } from './index.js';

const facts: PieceFacts = {
  gramCost: 0.0004, fresh: 2500, dry: 2300, casts: 20, good: 18, minutes: 12, sold: 0,
  copies: [{ cycles: 130, retired: true }, { cycles: 120, retired: false }, { cycles: 40, retired: false }],
}; // prettier-ignore

describe('what a piece costs by its record', () => {
  it('takes the mix at what pours spent for a gram, and work at the bench’s own minutes', () => {
    const { parts, cost } = costOfPiece(facts, {}, 15);
    const of = (kind: string) => parts.find((part) => part.kind === kind)?.cost;
    expect(of('mix')).toBeCloseTo(1, 9);
    expect(of('work')).toBeCloseTo(3, 9);
    expect(cost.value).toBeCloseTo(4 / goodShare(facts), 9);
  });

  it('goes by what its caster told where that is otherwise', () => {
    const { parts } = costOfPiece(facts, { minutes: 4, laterMinutes: 8, sealer: 0.5, packing: 0.75 }, 15);
    expect(parts.find(({ kind }) => kind === 'work')?.cost).toBeCloseTo(1, 9);
    expect(parts.find(({ kind }) => kind === 'later')?.cost).toBeCloseTo(2, 9);
    expect(parts.find(({ kind }) => kind === 'packing')?.cost).toBe(0.75);
  });

  it('wears a mould by the copies that wore out, and by those that last longer than was expected', () => {
    expect(wornBy(facts.copies, 100)).toEqual({ wornOut: 1, cycles: 150 });
    const { parts } = costOfPiece(facts, { price: 30, lasts: 100 }, 0);
    expect(parts.find(({ kind }) => kind === 'wear')?.cost).toBeCloseTo((30 * 4) / 450, 9);
    expect(wearOf({ price: 30, lasts: 100, ...wornBy([], 100) })).toBeCloseTo(0.3, 9);
  });

  it('of which nothing is on record is what was told, and refuses what cannot be', () => {
    const none: PieceFacts = { casts: 0, good: 0, sold: 0, copies: [] };
    expect(costOfPiece(none, {}, 10).cost.value).toBe(0);
    expect(costOfPiece(none, { fitting: 2 }, 10).cost.value).toBe(2);
    expect(() => costOfPiece(none, { release: -1 }, 10)).toThrow();
    expect(() => costOfPiece(facts, { price: 10, lasts: 0 }, 10)).toThrow();
  });
});
