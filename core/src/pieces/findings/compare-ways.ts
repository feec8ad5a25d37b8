import { defined } from '../../foundation/math/index.js';
import { compareShares, type Comparison, type Share } from './compare-shares.js';
import { confoundings, wayGroup, type Confounded, type WayGroup } from './confounding.js';
import { measuredPairs, type WaysMeasured } from './compare-measures.js';
import type { FindingColumns, WayColumn } from './finding-columns.js';
import { isGood, measures, wayKinds, type FindingRecord, type WayKind } from './finding-record.js';
import { FEWEST, standAmongMany } from './verdict.js';

/** One way of doing something, and what came of it. */
interface WayShare extends Share {
  readonly way: string;
}

/** Two ways beside each other. */
export interface WaysCompared extends Comparison {
  readonly a: WayShare;
  readonly b: WayShare;
  /** What else differs between them, so that it could be that instead. */
  readonly confounded: readonly Confounded[];
}

/** Every pair of ways of one kind. */
export interface WaysTable {
  readonly kind: WayKind;
  readonly ways: readonly WayShare[];
  readonly pairs: readonly WaysCompared[];
  /** The same pairs by what was measured of their casts. */
  readonly measured: readonly WaysMeasured[];
}

/** All ways of all kinds, and how many comparisons that made. */
export interface AllWays {
  readonly tables: readonly WaysTable[];
  readonly comparisons: number;
}

/** Ways of a kind beyond this many are not compared: the rarest fall away. */
const MOST_WAYS = 12;

/** The rows of each way of a kind, of casts that left their mould; those with the most casts first. */
function rowsByWay({ names, codes }: WayColumn, records: readonly FindingRecord[]): (readonly [way: string, rows: readonly number[]])[] {
  const rows = names.map((): number[] => []);
  records.forEach(({ seen }, row) => seen && rows[defined(codes[row])]?.push(row));
  const ways = rows.map((own, code) => [defined(names[code]), own] as const).filter(([, own]) => own.length > 0);
  return ways.sort(([, a], [, b]) => b.length - a.length);
} // prettier-ignore

function tableOf(kind: WayKind, { records, ways: known, measured }: FindingColumns): WaysTable {
  const groups = rowsByWay(known[kind], records).slice(0, MOST_WAYS).map(([way, rows]) => wayGroup(way, rows, known)); // prettier-ignore
  const isGoodRow = (row: number) => isGood(defined(records[row]));
  const ways = groups.map(({ way, rows }): WayShare => ({
    way,
    casts: rows.length,
    good: rows.filter(isGoodRow).length,
  }));
  const confounded = (a: WayGroup, b: WayGroup) => confoundings(kind, a, b, known);
  const pairs = groups.flatMap((a, i) =>
    groups.slice(i + 1).map((b, j): WaysCompared => {
      const [one, other] = [defined(ways[i]), defined(ways[i + 1 + j])];
      return { a: one, b: other, ...compareShares(one, other), confounded: confounded(a, b) };
    }),
  );
  return { kind, ways, pairs, measured: measuredPairs(groups, measured, confounded) };
}

/** Two ways of which neither has failed, or of which there are too few, are not counted as compared. */
const isCompared = ({ a, b }: WaysCompared): boolean =>
  Math.min(a.casts, b.casts) >= FEWEST && (a.good < a.casts || b.good < b.casts);

/** Of comparisons that are looked over together, those that do not stand. */
function fallenAmong(comparisons: readonly Comparison[]): Comparison[] {
  const stands = standAmongMany(comparisons.map(({ chance }) => 2 * (1 - chance)));
  return comparisons.filter((_, i) => !stands[i]);
}

/**
 * Every pair of ways of every kind. Where many are looked over at once, a pair *says* only where it stands after Benjamini–Hochberg at 10 % on
 * two-sided tail areas, among all pairs that are compared by the same: by good casts, or by one measure; else it *leans* at most. Handbook 20, "Two ways".
 */
export function compareWays(columns: FindingColumns): AllWays {
  const tables = wayKinds.map((kind) => tableOf(kind, columns)).filter(({ ways }) => ways.length > 1);
  const compared = tables.flatMap(({ pairs }) => pairs.filter(isCompared));
  const measured = tables.flatMap((table) => table.measured);
  const asked: readonly (readonly Comparison[])[] = [compared, ...measures.map((one) => measured.filter(({ measure }) => measure === one))]; // prettier-ignore
  const fallen = new Set(asked.flatMap(fallenAmong));
  const held = <Pair extends Comparison>(pair: Pair): Pair => (fallen.has(pair) && pair.verdict === 'says' ? { ...pair, verdict: 'leans' } : pair); // prettier-ignore
  return {
    tables: tables.map((table) => ({ ...table, pairs: table.pairs.map(held), measured: table.measured.map(held) })),
    comparisons: compared.length + measured.length,
  };
}
