import type { WorkingLine, Phrase } from '../../foundation/units/index.js';
import type { Edge, Region } from './region.js';
import type { PlanPoint } from './solid.js';

/** A closed volume with how it came about. */
interface BodyIntegral {
  /** mm³ */
  readonly volume: number;
  readonly how: Phrase;
  readonly steps?: readonly WorkingLine[];
}

/** A place on a solid, mm: x to the right, y away from the eye, z upwards from its bottom. */
export type SolidPoint = readonly [x: number, y: number, z: number];

/** A flat face of a solid by its corners, counter-clockwise as seen from outside. For drawing. */
export type Facet = readonly SolidPoint[];

/** A solid as the working sees it: level sections from its bottom (0) to its height, mm. */
export interface Body {
  readonly height: number;
  /** Heights between bottom and top at which the section jumps or bends: smooth between neighbours. */
  readonly breaks: readonly number[];
  /** Section at a height from 0 to `height`. At a jump the upper one. */
  readonly regionAt: (z: number) => Region;
  /** Area of its sides per mm of height, mm: perimeter × slope factor. */
  readonly surfaceAt: (z: number) => number;
  readonly whole: BodyIntegral;
  /** Run outwards per mm of height of the side that an edge of a section belongs to: only where sides are straight. */
  readonly runOf?: (edge: Edge) => number;
  /** Nearest place of its sides, up to a height, to a place inside: only where rounded corners run otherwise than the sides beside them. */
  readonly nearestSide?: (p: SolidPoint, rim: number) => SolidPoint;
  /** Nearest place of its sides and bottom to a place inside, for solids that know it at once. */
  readonly nearest?: (p: SolidPoint) => SolidPoint;
  /** Its flat side faces, where it has any worth telling apart. */
  readonly facets?: readonly Facet[];
}

/** Side faces between an outline at the bottom and the like one at the top, both counter-clockwise. */
export function facetsBetween(low: readonly PlanPoint[], high: readonly PlanPoint[], height: number): Facet[] {
  return low.map((a, i) => {
    const k = (i + 1) % low.length;
    const at = ([x, y]: PlanPoint, z: number): SolidPoint => [x, y, z];
    return [at(a, 0), at(low[k]!, 0), at(high[k]!, height), at(high[i]!, height)];
  });
}

/** How much longer a side is than it is high: run outwards per mm of height. */
export const slopeFactor = (run: number) => Math.hypot(1, run);
