import { defined } from '../../foundation/math/index.js';
import type { FindingColumns, WayColumn } from './finding-columns.js';
import { wayKinds, type WayKind } from './finding-record.js';

/** All casts that were also alike in something in which hardly any of the other side were. */
export interface Confounded {
  readonly side: 'a' | 'b';
  readonly kind: WayKind;
  readonly way: string;
  readonly casts: number;
}

/** Casts that were made in one way of a kind, counted once for all comparisons that they are in. */
export interface WayGroup {
  readonly way: string;
  /** Rows of the casts. */
  readonly rows: readonly number[];
  /** How many of them were made in each way of each kind, in the order of its names. */
  readonly counts: Readonly<Record<WayKind, Int32Array>>;
}

/** A confounding is told where so much of one side and at most so little of the other is alike. */
const NEARLY_ALL = 0.8;
const HARDLY_ANY = 0.2;

function countsOf(rows: readonly number[], { names, codes }: WayColumn): Int32Array {
  const counts = new Int32Array(names.length);
  for (const row of rows) {
    const code = defined(codes[row]);
    if (code >= 0) counts[code] = defined(counts[code]) + 1;
  }
  return counts;
}

/** Casts of one way, counted. */
export const wayGroup = (way: string, rows: readonly number[], ways: FindingColumns['ways']): WayGroup => ({
  way,
  rows,
  counts: Object.fromEntries(wayKinds.map((kind) => [kind, countsOf(rows, ways[kind])])) as Record<WayKind, Int32Array>,
});

/** The way that most casts have in common, and how many of them. */
function commonest(counts: Int32Array): readonly [code: number, casts: number] {
  let [code, most] = [-1, 0];
  counts.forEach((casts, one) => {
    if (casts > most) [code, most] = [one, casts];
  });
  return [code, most];
}

/** In what else the casts of two ways of a kind differ, nearly all against hardly any. */
export function confoundings(kind: WayKind, a: WayGroup, b: WayGroup, ways: FindingColumns['ways']): Confounded[] {
  const sides = [['a', a, b] as const, ['b', b, a] as const];
  return wayKinds
    .filter((other) => other !== kind)
    .flatMap((other) => {
      for (const [side, own, others] of sides) {
        const [code, casts] = commonest(own.counts[other]);
        const elsewhere = others.counts[other][code] ?? 0;
        if (casts >= NEARLY_ALL * own.rows.length && elsewhere <= HARDLY_ANY * others.rows.length)
          return [{ side, kind: other, way: ways[other].names[code] ?? '', casts }];
      }
      return [];
    });
}
