import { bisect } from '../../foundation/math/index.js';
import { requireNumber, msg } from '../../foundation/units/index.js';
import { integrate } from '../solids/index.js';
import { cavityOf, rimOf, type Cavity } from './cavity.js';
import type { MouldShape } from './mould.js';
import { displacedAt, sectionOf } from './section-area.js';

const MM3_TO_ML = 1e-3;
/** Knots of the fill curve that are kept, so that no height is summed from the bottom again. */
const KNOTS = 24;

/** Integrates `area` over heights, stepping over the edges of the solids. Answers mL. */
function volumeBetween(cavity: Cavity, from: number, to: number, area: (z: number) => number): number {
  const ends = [from, ...cavity.edges.filter((z) => z > from && z < to), to];
  let total = 0;
  for (let i = 1; i < ends.length; i++) {
    const low = ends[i - 1]!;
    const high = ends[i]!;
    // Solids end at a closed edge; sampling a hair inside keeps each interval on its own side of the step.
    const inset = (high - low) * 1e-12;
    total += integrate((z) => area(Math.min(Math.max(z, low + inset), high - inset)), low, high);
  }
  return total * MM3_TO_ML;
}

/** A height of a cavity, mm, with the volume up to it, mL. */
export interface Knot {
  readonly height: number;
  readonly volume: number;
}

/** What is summed up a cavity: the mix, or what cores or all blanks push aside. */
type Summed = 'mix' | 'cores' | 'all';

const areaOf = (cavity: Cavity, what: Summed) => (z: number) =>
  what === 'mix' ? sectionOf(cavity, z).area : displacedAt(cavity, what, z);

const curves: Record<Summed, WeakMap<MouldShape, readonly Knot[]>> = {
  mix: new WeakMap(),
  cores: new WeakMap(),
  all: new WeakMap(),
};

/** The computed curve at even heights, summed once per shape. */
function knotsOf(shape: MouldShape, what: Summed = 'mix'): readonly Knot[] {
  const known = curves[what].get(shape);
  if (known) return known;
  const cavity = cavityOf(shape);
  const area = areaOf(cavity, what);
  const knots: Knot[] = [{ height: 0, volume: 0 }];
  for (let i = 1; i <= KNOTS; i++) {
    const last = knots[i - 1]!;
    const height = i === KNOTS ? cavity.rim : (cavity.rim * i) / KNOTS;
    knots.push({ height, volume: last.volume + volumeBetween(cavity, last.height, height, area) });
  }
  curves[what].set(shape, knots);
  return knots;
}

/** Volume by the geometry alone to a height that was checked, mL. */
function computedTo(shape: MouldShape, height: number, what: Summed = 'mix'): number {
  const cavity = cavityOf(shape);
  const knot = knotsOf(shape, what).findLast((one) => one.height <= height)!;
  return knot.height === height
    ? knot.volume
    : knot.volume + volumeBetween(cavity, knot.height, height, areaOf(cavity, what));
}

/** Volume of the cavity filled to the rim by its geometry alone, mL. */
export function computedVolume(shape: MouldShape): number {
  return knotsOf(shape)[KNOTS]!.volume;
}

/** By how much more the mould took when it was measured than its geometry says. */
const scaleOf = (shape: MouldShape) => fullVolume(shape) / computedVolume(shape);

/**
 * Volume of mix that fills the cavity to `height` mm, in mL. Where the mould was measured, the curve is drawn to that volume.
 * @throws InputError when the height is below 0 or above the rim.
 */
export function volumeTo(shape: MouldShape, height: number): number {
  requireNumber('height', height, msg('moulds.fillHeight'), { min: 0, max: rimOf(shape), unit: 'mm' });
  return computedTo(shape, height) * scaleOf(shape);
}

/** Volume of the cavity filled to the rim, mL: measured where it was, else computed. */
export function fullVolume(shape: MouldShape): number {
  return shape.measured?.volume ?? computedVolume(shape);
}

/** Volume that cores alone or all blanks push aside between heights `above` and `to` (the rim), mL. Overlaps count once. */
export function displacedVolume(shape: MouldShape, which: 'cores' | 'all', above = 0, to = rimOf(shape)): number {
  return computedTo(shape, to, which) - computedTo(shape, above, which);
}

/**
 * Height to which `volume` mL fills the cavity, mm, to 0.01 mm: the inverse of `volumeTo`, by bisection.
 * @throws InputError when the volume is below 0 or more than the cavity holds.
 */
export function heightFor(shape: MouldShape, volume: number): number {
  const full = fullVolume(shape);
  requireNumber('volume', volume, msg('moulds.theVolume'), { min: 0, max: full * (1 + 1e-9), unit: 'mL' });
  const sought = volume / scaleOf(shape);
  const knots = knotsOf(shape);
  const above = knots.findIndex((knot) => knot.volume >= sought);
  if (above === -1) return rimOf(shape);
  const [below, over] = [knots[Math.max(0, above - 1)]!.height, knots[above]!.height];
  const [low, high] = bisect((height) => computedTo(shape, height) >= sought, below, over, { width: 0.001 });
  return (low + high) / 2;
}

/** The fill curve at `points` even heights from bottom to rim: height in mm, volume in mL. */
export function fillCurve(shape: MouldShape, points = 25): Knot[] {
  const rim = rimOf(shape);
  return Array.from({ length: points }, (_, i) => {
    const height = (rim * i) / (points - 1);
    return { height, volume: volumeTo(shape, height) };
  });
}

/** Heights at which layers end, from shares of the whole volume that add up to 1, mm: each from the fill curve. */
export function layerHeights(shape: MouldShape, shares: readonly number[]): number[] {
  const full = fullVolume(shape);
  let filled = 0;
  return shares.map((share, i) => {
    filled =
      i === shares.length - 1
        ? 1
        : Math.min(1, filled + requireNumber(`shares.${i}`, share, msg('moulds.layerShare'), { above: 0, max: 1 }));
    return heightFor(shape, filled * full);
  });
}
