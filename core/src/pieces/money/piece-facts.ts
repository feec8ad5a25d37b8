import { wornBy } from './mould-wear.js';
import { pieceCost, type PieceCost } from './piece-cost.js';

/** What the record tells of the pieces of a mould with a mix. Masses g, money in the workshop's own. */
export interface PieceFacts {
  /** What a gram of fresh mix cost, leftover included; undefined where no lot has a price. */
  readonly gramCost?: number;
  /** What one piece weighs fresh, and dry; undefined where none was poured. */
  readonly fresh?: number;
  readonly dry?: number;
  /** Casts that were looked at, and those that nothing was wrong with. */
  readonly casts: number;
  readonly good: number;
  /** Minutes of a session for each of its pieces, as pours at the bench were timed. */
  readonly minutes?: number;
  readonly copies: readonly { readonly cycles: number; readonly retired: boolean }[];
  /** What pieces of the mould were sold for on average, and how many. */
  readonly sold: number;
  readonly soldFor?: number;
}

/** What a caster tells of a mould's pieces beside the record; what is left out is nothing. */
export interface Costing {
  /** Of one copy of the mould, and the cycles that it is expected to last. */
  readonly price?: number;
  readonly lasts?: number;
  readonly release?: number;
  readonly sealer?: number;
  readonly fitting?: number;
  readonly packing?: number;
  /** Where the bench was not timed, or otherwise. */
  readonly minutes?: number;
  readonly laterMinutes?: number;
  /** Sessions that another copy saves, by the calendar, and what an evening is worth. */
  readonly evenings?: number;
  readonly evening?: number;
}

/** Cycles of a copy where nothing was told. */
export const USUAL_LIFE = 100;

/** What a piece costs by the record and what its caster told. `rate`: of an hour. Handbook 21. @throws InputError */
export function costOfPiece(facts: PieceFacts, costing: Costing, rate: number): PieceCost {
  const { release = 0, sealer = 0, fitting = 0, packing = 0, laterMinutes = 0, price, lasts = USUAL_LIFE } = costing;
  const { gramCost = 0, fresh = 0, good, casts, copies } = facts;
  return pieceCost({
    mix: gramCost * fresh,
    release,
    sealer,
    fitting,
    packing,
    laterMinutes,
    minutes: costing.minutes ?? facts.minutes ?? 0,
    rate,
    good,
    casts,
    ...(price !== undefined && { mould: { price, lasts, ...wornBy(copies, lasts) } }),
  });
}
