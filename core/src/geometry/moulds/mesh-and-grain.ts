import { computed, figure, handbook, line, requireNumber, type Figure } from '../../foundation/units/index.js';
import type { Leaf } from '../solids/index.js';

const MM3_TO_ML = 1e-3;

/** By how much a slab comes out thicker at one end, mm: length × tan(slope). `length` in mm, `slope` in degrees (0–30). @throws InputError */
export function levelError(length: number, slope: number): Figure {
  requireNumber('length', length, 'The length', { above: 0, max: 3000, unit: 'mm' });
  requireNumber('slope', slope, 'The slope', { min: 0, max: 30, unit: '°' });
  const error = length * Math.tan((slope / 180) * Math.PI);
  return figure(error, 'mm', computed, [
    line('Length', length, 'mm'),
    line('Out of level', error, 'mm', `length × tan(${slope}°)`),
  ]);
}

/** Sand under a leaf, mL: a mound as wide as the leaf that falls off evenly from its rise to nothing at the edge. */
export function bedSand({ area, rise = 0 }: Leaf): Figure {
  const volume = (area * rise * MM3_TO_ML) / 2;
  return figure(volume, 'mL', computed, [
    line('Area under the leaf', area, 'mm²'),
    line('Rise of the mound', rise, 'mm'),
    line('Damp sand', volume, 'mL', 'area × rise ÷ 2'),
  ]);
}

/** How a panel box is put together: the walls of one direction stand between, or around, those of the other. */
export interface PanelBox {
  /** The flat panels as they were cast, mm. */
  readonly length: number;
  readonly width: number;
  readonly thickness: number;
}

/** Outside of a box of panels, and its inside in mm. */
export interface BoxFootprint {
  readonly length: Figure;
  readonly width: Figure;
  readonly inside: { readonly length: number; readonly width: number };
}

/** The real footprint of a box of four panels joined at their edges: one way longer by twice the wall, mm. @throws InputError */
export function boxFootprint({ length, width, thickness }: PanelBox): BoxFootprint {
  const size = { above: 0, max: 3000, unit: 'mm' };
  requireNumber('length', length, 'The length of the long panels', size);
  requireNumber('width', width, 'The length of the short panels', size);
  requireNumber('thickness', thickness, 'The thickness of the panels', { ...size, max: 300 });
  const long = figure(length, 'mm', computed, [
    line('Long panels', length, 'mm', 'they run the whole length; the short ones stand between them'),
  ]);
  const wide = figure(width + 2 * thickness, 'mm', computed, [
    line('Short panels', width, 'mm'),
    line('Two walls', 2 * thickness, 'mm'),
    line('Outside', width + 2 * thickness, 'mm', 'short panels + twice the wall'),
  ]);
  return { length: long, width: wide, inside: { length: length - 2 * thickness, width } };
}

/** Cover over mesh or wire outdoors, mm. */
export const MESH_COVER = 12;

/** A piece of mesh as it is cut: length and width in mm. */
export interface MeshCut {
  readonly length: Figure;
  readonly width: Figure;
}

/** Mesh for a slab or panel that keeps `cover` from every edge. Sizes in mm. @throws InputError naming a slab too small for it. */
export function meshForSlab(length: number, width: number, cover = MESH_COVER): MeshCut {
  requireNumber('cover', cover, 'The cover', { min: 0, max: 200, unit: 'mm' });
  requireNumber('length', length, 'The length of the slab', { above: 2 * cover, max: 3000, unit: 'mm' });
  requireNumber('width', width, 'The width of the slab', { above: 2 * cover, max: 3000, unit: 'mm' });
  const cut = (size: number) =>
    figure(size - 2 * cover, 'mm', handbook, [
      line('Of the piece', size, 'mm'),
      line('Cover at each end', cover, 'mm', 'handbook: 12 outdoors'),
      line('Cut', size - 2 * cover, 'mm'),
    ]);
  return { length: cut(length), width: cut(width) };
}

/** Overlap of a ring of mesh where its ends meet, mm. */
const OVERLAP = 50;

/** Mesh bent round in the middle of a wall: `around` the length of the wall's middle line, `height` of the wall, mm. @throws InputError */
export function meshForWall(around: number, height: number, cover = MESH_COVER): MeshCut {
  requireNumber('cover', cover, 'The cover', { min: 0, max: 200, unit: 'mm' });
  requireNumber('height', height, 'The height of the wall', { above: 2 * cover, max: 3000, unit: 'mm' });
  requireNumber('around', around, 'The way round the wall', { above: 0, max: 12000, unit: 'mm' });
  return {
    length: figure(around + OVERLAP, 'mm', handbook, [
      line('Round the middle of the wall', around, 'mm'),
      line('Overlap', OVERLAP, 'mm'),
      line('Cut', around + OVERLAP, 'mm'),
    ]),
    width: figure(height - 2 * cover, 'mm', handbook, [
      line('Height of the wall', height, 'mm'),
      line('Cover at each end', cover, 'mm', 'handbook: 12 outdoors'),
      line('Cut', height - 2 * cover, 'mm'),
    ]),
  };
}

/** Whether a grain passes: under a third of the narrowest gap, under three quarters of the mesh opening. Sizes in mm. */
export interface GrainCheck {
  readonly passes: boolean;
  /** Largest grain that passes, mm. */
  readonly largest: Figure;
  /** What to do, where it does not pass. */
  readonly advice?: string;
}

/** Checks the largest grain of a mix against the narrowest gap and the mesh opening. @throws InputError */
export function checkGrain(grain: number, gap: number, meshOpening?: number): GrainCheck {
  requireNumber('grain', grain, 'The largest grain', { min: 0, max: 100, unit: 'mm' });
  requireNumber('gap', gap, 'The narrowest gap', { above: 0, unit: 'mm' });
  if (meshOpening !== undefined)
    requireNumber('meshOpening', meshOpening, 'The mesh opening', { above: 0, unit: 'mm' });
  const byGap = gap / 3;
  const byMesh = meshOpening === undefined ? Infinity : meshOpening * 0.75;
  const most = Math.min(byGap, byMesh);
  const largest = figure(most, 'mm', handbook, [
    line('Narrowest gap', gap, 'mm'),
    line('A third of it', byGap, 'mm', 'handbook'),
    ...(meshOpening === undefined ? [] : [line('Three quarters of the mesh opening', byMesh, 'mm', 'handbook')]),
    line('Largest grain that passes', most, 'mm'),
  ]);
  if (grain <= most) return { passes: true, largest };
  const where = byGap <= byMesh ? 'its narrowest gap' : 'the mesh';
  return {
    passes: false,
    largest,
    advice: `Its largest grain is ${grain} mm, and ${where} passes ${most.toFixed(1)} mm: sieve it, or choose a finer aggregate.`,
  };
}

/** Molten wax as it lies set in a jar, kg/L. */
const WAX = 0.9;

/** Wax that a jar takes to its fill line, g. `held` in mL. */
export function waxFor(held: number): Figure {
  const mass = held * WAX;
  return figure(mass, 'g', handbook, [
    line('To the fill line', held, 'mL'),
    line('Density of wax', WAX, 'kg/L', 'trade figure: your wax’s own sheet wins'),
    line('Wax', mass, 'g'),
  ]);
}
