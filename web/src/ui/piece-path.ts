import { defined } from '@dewpot/core/math';
import type { PieceView } from '@dewpot/core/moulds';
import type { Facet, PlanPoint } from '@dewpot/core/solids';

/** How far level faces are tipped towards the eye: their depth on the screen over their depth. */
export const TIP = 0.09;

export type ScreenPoint = readonly [x: number, y: number];

/** Where a place of a piece is seen, px from its foot: what lies behind stands higher. */
export const screen = ([x, y]: PlanPoint, z: number, scale: number): ScreenPoint => [x * scale, (-z - y * TIP) * scale];

/** Front of an outline from its left end to its right: the lower half of its hull. */
export function frontChain(points: readonly PlanPoint[]): PlanPoint[] {
  const sorted = [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const chain: PlanPoint[] = [];
  for (const p of sorted) {
    while (chain.length >= 2) {
      const [a, b] = [defined(chain[chain.length - 2]), defined(chain[chain.length - 1])];
      if ((b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]) > 0) break;
      chain.pop();
    }
    chain.push(p);
  }
  return chain;
}

/** Outlines at height `z` as one path. */
export function loopPath(loops: readonly (readonly PlanPoint[])[], z: number, scale: number): string {
  return loops
    .map(
      (loop) =>
        `M${loop
          .map((p) =>
            screen(p, z, scale)
              .map((n) => n.toFixed(1))
              .join(' '),
          )
          .join('L')}Z`,
    )
    .join('');
}

/** A place on the screen as a path has it. */
export const at = ([x, y]: ScreenPoint) => `${x.toFixed(1)} ${y.toFixed(1)}`;
const ellipse = (r: number, y: number) =>
  `M${-r} ${y}a${r} ${r * TIP} 0 1 0 ${2 * r} 0a${r} ${r * TIP} 0 1 0 ${-2 * r} 0`;

/** Outline of what is seen of the sides, from its rows and the front of its foot. */
export function bodyPath(view: PieceView, scale: number): string {
  const rows = view.sides;
  const left = rows.map(({ z, left: x }) => at([x * scale, -z * scale]));
  const right = rows.map(({ z, right: x }) => at([x * scale, -z * scale]));
  const top = view.height * scale;
  if (view.round) {
    const [r0, r1] = [defined(rows[0]).right * scale, defined(rows[rows.length - 1]).right * scale];
    return `M${[...left].reverse().join('L')}A${r0} ${r0 * TIP} 0 0 0 ${right[0]}L${right.join('L')}A${r1} ${r1 * TIP} 0 0 1 ${-r1} ${-top}Z`;
  }
  const foot = frontChain(view.foot).map((p) => at(screen(p, 0, scale)));
  const rim = frontChain(view.top.flat()).map((p) => at(screen(p, view.height, scale)));
  return `M${[...[...left].reverse(), ...foot, ...right, ...rim.reverse()].join('L')}Z`;
}

/** Upper face and what opens in it. */
export function rimPaths(view: PieceView, scale: number) {
  const y = -view.height * scale;
  if (!view.round)
    return {
      face: loopPath(view.top, view.height, scale),
      openings: loopPath(view.openings, view.height, scale),
    };
  const r = defined(view.sides[view.sides.length - 1]).right * scale;
  const round = view.openings.map((loop) => {
    const xs = loop.map(([x]) => x);
    const ys = loop.map(([, depth]) => depth);
    const [x0, x1] = [Math.min(...xs), Math.max(...xs)];
    const middle = (Math.min(...ys) + Math.max(...ys)) / 2;
    const half = ((x1 - x0) / 2) * scale;
    return `M${x0 * scale} ${y - middle * scale * TIP}a${half} ${half * TIP} 0 1 0 ${2 * half} 0a${half} ${half * TIP} 0 1 0 ${-2 * half} 0`;
  });
  return { face: ellipse(r, y), openings: round.join('') };
}

/** Light from the upper left, in front of the piece. */
const LIGHT = [-0.62, -0.55, 0.56] as const;
const STRENGTH = 0.36;

/** The flat faces that are seen of a piece, each with how much lighter (above 0) or darker it is than its colour. */
export function facesOfPiece(facets: readonly Facet[], scale: number): { d: string; light: number }[] {
  return facets.flatMap((facet) => {
    const [a, b, c] = [defined(facet[0]), defined(facet[1]), defined(facet[2])];
    const [u, v] = [b.map((n, i) => n - defined(a[i])), c.map((n, i) => n - defined(a[i]))];
    const normal = [
      defined(u[1]) * defined(v[2]) - defined(u[2]) * defined(v[1]),
      defined(u[2]) * defined(v[0]) - defined(u[0]) * defined(v[2]),
      defined(u[0]) * defined(v[1]) - defined(u[1]) * defined(v[0]),
    ];
    const size = Math.hypot(...normal);
    if (size === 0 || -defined(normal[1]) + defined(normal[2]) * TIP <= 0) return [];
    const light = normal.reduce((sum, n, i) => sum + (n / size) * defined(LIGHT[i]), 0);
    const d = `M${facet
      .map(([x, y, z]) =>
        screen([x, y], z, scale)
          .map((n) => n.toFixed(1))
          .join(' '),
      )
      .join('L')}Z`;
    return [{ d, light: (light - 0.42) * STRENGTH }];
  });
}
