import { compareShares, type Comparison, type Share } from './compare-shares.js';
import { isGood, wayKinds, type FindingRecord, type WayKind } from './finding-record.js';
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

/** All casts of one side were also alike in something in which hardly any of the other side were. */
interface Confounded {
  readonly side: 'a' | 'b';
  readonly kind: WayKind;
  readonly way: string;
  readonly casts: number;
}

/** Every pair of ways of one kind. */
export interface WaysTable {
  readonly kind: WayKind;
  readonly ways: readonly WayShare[];
  readonly pairs: readonly WaysCompared[];
}

/** All ways of all kinds, and how many comparisons that made. */
export interface AllWays {
  readonly tables: readonly WaysTable[];
  readonly comparisons: number;
}

/** Ways of a kind beyond this many are not compared: the rarest fall away. */
const MOST_WAYS = 12;
/** A confounding is told where so much of one side and at most so little of the other is alike. */
const NEARLY_ALL = 0.8;
const HARDLY_ANY = 0.2;

const shareOf = (way: string, casts: readonly FindingRecord[]): WayShare => ({ way, casts: casts.length, good: casts.filter(isGood).length }); // prettier-ignore

/** The way of a kind that most casts have in common, and how many of them. */
function commonest(casts: readonly FindingRecord[], kind: WayKind): readonly [way: string, casts: number] | undefined {
  const counts = new Map<string, number>();
  for (const { ways } of casts) {
    const way = ways[kind];
    if (way !== undefined) counts.set(way, (counts.get(way) ?? 0) + 1);
  }
  return [...counts].sort(([, a], [, b]) => b - a)[0];
}

/** In what else the casts of two ways differ, nearly all against hardly any. */
function confoundings(kind: WayKind, a: readonly FindingRecord[], b: readonly FindingRecord[]): Confounded[] {
  const sides = [['a', a, b] as const, ['b', b, a] as const];
  return wayKinds
    .filter((other) => other !== kind)
    .flatMap((other) => {
      for (const [side, own, others] of sides) {
        const [way, casts] = commonest(own, other) ?? ['', 0];
        const elsewhere = others.filter(({ ways }) => ways[other] === way).length;
        if (casts >= NEARLY_ALL * own.length && elsewhere <= HARDLY_ANY * others.length)
          return [{ side, kind: other, way, casts }];
      }
      return [];
    });
}

function tableOf(kind: WayKind, casts: readonly FindingRecord[]): WaysTable {
  const byWay = new Map<string, FindingRecord[]>();
  for (const cast of casts) {
    const way = cast.ways[kind];
    if (way === undefined) continue;
    const own = byWay.get(way);
    if (own) own.push(cast);
    else byWay.set(way, [cast]);
  }
  const groups = [...byWay].sort(([, a], [, b]) => b.length - a.length).slice(0, MOST_WAYS);
  const pairs = groups.flatMap(([a, ofA], i) =>
    groups.slice(i + 1).map(([b, ofB]): WaysCompared => {
      const [one, other] = [shareOf(a, ofA), shareOf(b, ofB)];
      return { a: one, b: other, ...compareShares(one, other), confounded: confoundings(kind, ofA, ofB) };
    }),
  );
  return { kind, ways: groups.map(([way, own]) => shareOf(way, own)), pairs };
}

/** Two ways of which neither has failed, or of which there are too few, are not counted as compared. */
const isCompared = ({ a, b }: WaysCompared): boolean =>
  Math.min(a.casts, b.casts) >= FEWEST && (a.good < a.casts || b.good < b.casts);

/**
 * Every pair of ways of every kind. Where many are looked over at once, a pair *says* only where it stands after Benjamini–Hochberg at 10 % on
 * two-sided tail areas; else it *leans* at most. Handbook 20, "Two ways".
 */
export function compareWays(records: readonly FindingRecord[]): AllWays {
  const casts = records.filter(({ seen }) => seen);
  const tables = wayKinds.map((kind) => tableOf(kind, casts)).filter(({ ways }) => ways.length > 1);
  const compared = tables.flatMap(({ pairs }) => pairs.filter(isCompared));
  const stands = standAmongMany(compared.map(({ chance }) => 2 * (1 - chance)));
  const fallen = new Set(compared.filter((_, i) => !stands[i]));
  const held = (pair: WaysCompared): WaysCompared => (fallen.has(pair) && pair.verdict === 'says' ? { ...pair, verdict: 'leans' } : pair); // prettier-ignore
  return {
    tables: tables.map((table) => ({ ...table, pairs: table.pairs.map(held) })),
    comparisons: compared.length,
  };
}
