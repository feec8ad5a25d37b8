import {
  computed,
  figure,
  handbook,
  line,
  requireNumber,
  type Figure,
  msg,
  exactly,
  quantity,
  type Message,
} from '../../foundation/units/index.js';
import type { Leaf } from '../solids/index.js';

const MM3_TO_ML = 1e-3;

/** By how much a slab comes out thicker at one end, mm: length × tan(slope). `length` in mm, `slope` in degrees (0–30). @throws InputError */
export function levelError(length: number, slope: number): Figure {
  requireNumber('length', length, msg('moulds.theLength'), { above: 0, max: 3000, unit: 'mm' });
  requireNumber('slope', slope, msg('moulds.theSlope'), { min: 0, max: 30, unit: '°' });
  const error = length * Math.tan((slope / 180) * Math.PI);
  return figure(error, 'mm', computed, [
    line(msg('moulds.length'), length, 'mm'),
    line(msg('moulds.outOfLevel'), error, 'mm', `length × tan(${slope}°)`),
  ]);
}

/** Sand under a leaf, mL: a mound as wide as the leaf that falls off evenly from its rise to nothing at the edge. */
export function bedSand({ area, rise = 0 }: Pick<Leaf, 'area' | 'rise'>): Figure {
  const volume = (area * rise * MM3_TO_ML) / 2;
  return figure(volume, 'mL', computed, [
    line(msg('moulds.areaUnderLeaf'), area, 'mm²'),
    line(msg('moulds.riseOfMound'), rise, 'mm'),
    line(msg('moulds.dampSand'), volume, 'mL', 'area × rise ÷ 2'),
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

/** A panel is at most so thick, mm. */
export const THICKEST_PANEL = 300;

/** The real footprint of a box of four panels joined at their edges: one way longer by twice the wall, mm. @throws InputError */
export function boxFootprint({ length, width, thickness }: PanelBox): BoxFootprint {
  const size = { above: 0, max: 3000, unit: 'mm' } as const;
  requireNumber('length', length, msg('moulds.longPanelLength'), size);
  requireNumber('width', width, msg('moulds.shortPanelLength'), size);
  requireNumber('thickness', thickness, msg('moulds.panelThickness'), { ...size, max: THICKEST_PANEL });
  const long = figure(length, 'mm', computed, [
    line(msg('moulds.longPanels'), length, 'mm', msg('moulds.longPanelsRun')),
  ]);
  const wide = figure(width + 2 * thickness, 'mm', computed, [
    line(msg('moulds.shortPanels'), width, 'mm'),
    line(msg('moulds.twoWalls'), 2 * thickness, 'mm'),
    line(msg('moulds.outside'), width + 2 * thickness, 'mm', msg('moulds.shortPlusTwice')),
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
  requireNumber('cover', cover, msg('moulds.cover'), { min: 0, max: 200, unit: 'mm' });
  requireNumber('length', length, msg('moulds.slabLength'), { above: 2 * cover, max: 3000, unit: 'mm' });
  requireNumber('width', width, msg('moulds.slabWidth'), { above: 2 * cover, max: 3000, unit: 'mm' });
  const cut = (size: number) =>
    figure(size - 2 * cover, 'mm', handbook, [
      line(msg('moulds.ofThePiece'), size, 'mm'),
      line(msg('moulds.coverAtEnds'), cover, 'mm', msg('moulds.coverHow')),
      line(msg('moulds.cut'), size - 2 * cover, 'mm'),
    ]);
  return { length: cut(length), width: cut(width) };
}

/** Overlap of a ring of mesh where its ends meet, mm. */
const OVERLAP = 50;

/** Mesh bent round in the middle of a wall: `around` the length of the wall's middle line, `height` of the wall, mm. @throws InputError */
export function meshForWall(around: number, height: number, cover = MESH_COVER): MeshCut {
  requireNumber('cover', cover, msg('moulds.cover'), { min: 0, max: 200, unit: 'mm' });
  requireNumber('height', height, msg('moulds.wallHeight'), { above: 2 * cover, max: 3000, unit: 'mm' });
  requireNumber('around', around, msg('moulds.wayRoundWall'), { above: 0, max: 12000, unit: 'mm' });
  return {
    length: figure(around + OVERLAP, 'mm', handbook, [
      line(msg('moulds.roundWallMiddle'), around, 'mm'),
      line(msg('moulds.overlap'), OVERLAP, 'mm'),
      line(msg('moulds.cut'), around + OVERLAP, 'mm'),
    ]),
    width: figure(height - 2 * cover, 'mm', handbook, [
      line(msg('moulds.heightOfWall'), height, 'mm'),
      line(msg('moulds.coverAtEnds'), cover, 'mm', msg('moulds.coverHow')),
      line(msg('moulds.cut'), height - 2 * cover, 'mm'),
    ]),
  };
}

/** Whether a grain passes: under a third of the narrowest gap, under three quarters of the mesh opening. Sizes in mm. */
export interface GrainCheck {
  readonly passes: boolean;
  /** Largest grain that passes, mm. */
  readonly largest: Figure;
  /** What to do, where it does not pass. */
  readonly advice?: Message;
}

/** Checks the largest grain of a mix against the narrowest gap and the mesh opening. @throws InputError */
export function checkGrain(grain: number, gap: number, meshOpening?: number): GrainCheck {
  requireNumber('grain', grain, msg('moulds.largestGrain'), { min: 0, max: 100, unit: 'mm' });
  requireNumber('gap', gap, msg('moulds.narrowestGap'), { above: 0, unit: 'mm' });
  if (meshOpening !== undefined)
    requireNumber('meshOpening', meshOpening, msg('moulds.meshOpening'), { above: 0, unit: 'mm' });
  const byGap = gap / 3;
  const byMesh = meshOpening === undefined ? Infinity : meshOpening * 0.75;
  const most = Math.min(byGap, byMesh);
  const largest = figure(most, 'mm', handbook, [
    line(msg('moulds.gapNarrowest'), gap, 'mm'),
    line(msg('moulds.thirdOfGap'), byGap, 'mm', 'handbook'),
    ...(meshOpening === undefined ? [] : [line(msg('moulds.threeQuartersOfMesh'), byMesh, 'mm', 'handbook')]),
    line(msg('moulds.largestThatPasses'), most, 'mm'),
  ]);
  if (grain <= most) return { passes: true, largest };
  return {
    passes: false,
    largest,
    advice: msg(byGap <= byMesh ? 'moulds.grainTooLargeForGap' : 'moulds.grainTooLargeForMesh', {
      grain: exactly(grain, 'mm'),
      most: quantity(most, 'mm', 1),
    }),
  };
}

/** Molten wax as it lies set in a jar, kg/L. */
const WAX = 0.9;

/** Wax that a jar takes to its fill line, g. `held` in mL. */
export function waxFor(held: number): Figure {
  const mass = held * WAX;
  return figure(mass, 'g', handbook, [
    line(msg('moulds.toFillLine'), held, 'mL'),
    line(msg('moulds.waxDensity'), WAX, 'kg/L', msg('moulds.waxTradeFigure')),
    line(msg('moulds.wax'), mass, 'g'),
  ]);
}
