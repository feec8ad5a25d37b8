import type { Hinge } from './cut-part.js';

/** A wall of four in the net: where its inner side begins, how long that is, and its hinge on the wall before. */
interface RingWall {
  readonly x: number;
  readonly clear: number;
  readonly hinge: { readonly hinge?: Hinge };
}

/**
 * Four walls in a row, inside up, each folding up from the one before by its inner corner; the first lies on its outside. `inner`: lengths of the
 * first and of the second inside, mm. `before`: so many parts stand before them in the net.
 */
export function wallRing(inner: readonly [number, number], before = 0): RingWall[] {
  const [a, b] = inner;
  return [0, a, a + b, 2 * a + b].map((x, k) => ({
    x,
    clear: k % 2 === 0 ? a : b,
    hinge: k === 0 ? {} : { hinge: { on: before + k - 1, from: [x, 0], to: [x, 1], angle: Math.PI / 2 } },
  }));
}
