import { median, robustSpread, variance } from '../../foundation/math/index.js';
import { circumstanceKeys, circumstances, type Circumstance } from './circumstances.js';
import { valuesAt, type FindingColumns } from './finding-columns.js';
import type { FindingRecord } from './finding-record.js';

/** So many good casts are needed to say what is usual. */
const ENOUGH = 5;
/** The spread of the whole workshop counts as so many casts. */
const WEIGHT = 8;

/** What good casts are compared by: the same mould and mix, else the mix, else the kind of piece. */
type Among = 'mould' | 'mix' | 'kind';

/** What is usual of a circumstance among good casts. */
export interface Usual {
  readonly among: Among;
  readonly casts: number;
  readonly middle: number;
  /** Of one more cast beside it. */
  readonly spread: number;
}

const like: Readonly<Record<Among, (a: FindingRecord, b: FindingRecord) => boolean>> = {
  mould: (a, b) => a.mouldId === b.mouldId && a.mixId === b.mixId,
  mix: (a, b) => a.mixId === b.mixId,
  kind: (a, b) => a.piece === b.piece,
};

/** How much each circumstance varies over all casts of a workshop, never less than its own error. */
export type Spreads = Readonly<Record<Circumstance, number>>;

/** How much each circumstance varies over casts. */
export function spreadsOf({ records, under }: FindingColumns): Spreads {
  const all = records.map((_, row) => row);
  const spread = (of: Circumstance): number => {
    const values = valuesAt(under[of], all);
    return Math.max(circumstances[of].error, values.length > 1 ? Math.sqrt(variance(values)) : 0);
  };
  return Object.fromEntries(circumstanceKeys.map((of) => [of, spread(of)])) as Record<Circumstance, number>;
}

/** Good casts that are like one, by what they are like it in: the rows of their records. */
export type Alike = readonly (readonly [Among, rows: readonly number[]])[];

/** The good casts that are like one, without that one. `good`: rows of records. */
export const alikeTo = (cast: FindingRecord, good: readonly number[], { records }: FindingColumns): Alike =>
  (['mould', 'mix', 'kind'] as const).map((among) => [
    among,
    good.filter((row) => {
      const one = records[row];
      return one !== undefined && one.id !== cast.id && like[among](one, cast);
    }),
  ]);

/**
 * What is usual of a circumstance among the good casts that are most like one; undefined where fewer than five are known.
 * spread² = (n·(1.4826·MAD)² + 8·s₀²) ÷ (n + 8)·(1 + 1.6 ÷ n). Handbook 20, "One cast".
 */
export function usualOf(of: Circumstance, alike: Alike, { under }: FindingColumns, spreads: Spreads): Usual | undefined {
  for (const [among, rows] of alike) {
    const values = valuesAt(under[of], rows);
    const n = values.length;
    if (n < ENOUGH) continue;
    const squared = (n * robustSpread(values) ** 2 + WEIGHT * spreads[of] ** 2) / (n + WEIGHT);
    return { among, casts: n, middle: median(values), spread: Math.sqrt(squared * (1 + 1.6 / n)) };
  }
  return undefined;
} // prettier-ignore
