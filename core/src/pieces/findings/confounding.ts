import { wayKinds, type FindingRecord, type WayKind } from './finding-record.js';

/** All casts of one side were also alike in something in which hardly any of the other side were. */
export interface Confounded {
  readonly side: 'a' | 'b';
  readonly kind: WayKind;
  readonly way: string;
  readonly casts: number;
}

/** A confounding is told where so much of one side and at most so little of the other is alike. */
const NEARLY_ALL = 0.8;
const HARDLY_ANY = 0.2;

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
export function confoundings(kind: WayKind, a: readonly FindingRecord[], b: readonly FindingRecord[]): Confounded[] {
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
