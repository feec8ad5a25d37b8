import { requireNumber } from '../units/index.js';
import { integrate } from './quadrature.js';
import { blanks, placedRadiusAt, type MouldShape } from './mould.js';
import { radiusAt } from './solid.js';

const MM3_TO_ML = 1e-3;

/** Area that the mix takes at height `z`, mm²: the outer less the union of what stands in it. */
export function sectionArea(shape: MouldShape, z: number): number {
  const outer = radiusAt(shape.outer, z);
  const inner = Math.min(outer, Math.max(0, ...blanks(shape).map((blank) => placedRadiusAt(blank, z))));
  return Math.PI * (outer * outer - inner * inner);
}

/** Heights strictly between `from` and `to` at which a solid begins or ends: the area is smooth between neighbours. */
function stepsBetween(shape: MouldShape, from: number, to: number): number[] {
  const ends = blanks(shape).flatMap((blank) => [blank.bottom, blank.bottom + blank.solid.height]);
  return [...new Set(ends.filter((z) => z > from && z < to))].sort((a, b) => a - b);
}

/** Integrates `area` over heights, stepping over the edges of the solids. Answers mL. */
function volumeBetween(shape: MouldShape, from: number, to: number, area: (z: number) => number): number {
  const edges = [from, ...stepsBetween(shape, from, to), to];
  let total = 0;
  for (let i = 1; i < edges.length; i++) {
    const low = edges[i - 1]!;
    const high = edges[i]!;
    // Solids end at a closed edge; sampling a hair inside keeps each interval on its own side of the step.
    const inset = (high - low) * 1e-12;
    total += integrate((z) => area(Math.min(Math.max(z, low + inset), high - inset)), low, high);
  }
  return total * MM3_TO_ML;
}

/**
 * Volume of mix that fills the cavity to `height` mm, in mL.
 * @throws InputError when the height is below 0 or above the rim.
 */
export function volumeTo(shape: MouldShape, height: number): number {
  const rim = shape.outer.height;
  requireNumber('height', height, 'The fill height', { min: 0, max: rim, unit: 'mm' });
  return volumeBetween(shape, 0, height, (z) => sectionArea(shape, z));
}

/** Volume of the cavity filled to the rim, mL. */
export function fullVolume(shape: MouldShape): number {
  return volumeTo(shape, shape.outer.height);
}

/** Volume that cores alone or all blanks push aside between height `above` and the rim, mL. Overlaps count once. */
export function displacedVolume(shape: MouldShape, which: 'cores' | 'all', above = 0): number {
  const set = which === 'cores' ? shape.cores : blanks(shape);
  return volumeBetween(shape, above, shape.outer.height, (z) => {
    const r = Math.min(radiusAt(shape.outer, z), Math.max(0, ...set.map((blank) => placedRadiusAt(blank, z))));
    return Math.PI * r * r;
  });
}

/**
 * Height to which `volume` mL fills the cavity, mm, to 0.01 mm: the inverse of `volumeTo`, by bisection.
 * @throws InputError when the volume is below 0 or more than the cavity holds.
 */
export function heightFor(shape: MouldShape, volume: number): number {
  const full = fullVolume(shape);
  requireNumber('volume', volume, 'The volume', { min: 0, max: full * (1 + 1e-9), unit: 'mL' });
  let low = 0;
  let high = shape.outer.height;
  while (high - low > 0.001) {
    const middle = (low + high) / 2;
    if (volumeTo(shape, middle) < volume) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** The fill curve at `points` even heights from bottom to rim: height in mm, volume in mL. */
export function fillCurve(shape: MouldShape, points = 25): { height: number; volume: number }[] {
  return Array.from({ length: points }, (_, i) => {
    const height = (shape.outer.height * i) / (points - 1);
    return { height, volume: volumeTo(shape, height) };
  });
}
