import {
  Checker,
  computed,
  figure,
  line,
  type Figure,
  msg,
  quantity,
  exactly,
  type Message,
} from '../../foundation/units/index.js';
import {
  contains,
  lineEdges,
  nearestOnRegion,
  outlineArea,
  pointOn,
  polygonRegion,
  type PlanPoint,
  type Region,
} from '../solids/index.js';
import { cavityOf, regionAt } from './cavity.js';
import type { MouldShape } from './mould.js';
import { pieceGuides, type PieceKind } from './piece-kinds.js';

/** Closed loops of a flat drawing, mm, x to the right and y up; a loop within another is a hole in it. */
export type InsetLoops = readonly (readonly PlanPoint[])[];

/** Which face of a cast carries an inset: the one against the bottom of the mould, or the open one. */
export const insetFaces = ['mould', 'open'] as const;
export type InsetFace = (typeof insetFaces)[number];

/** Lettering, or a picture, that is laid in a mould: pebbles, tile, cut foam or rubber. */
export interface Inset {
  readonly name: string;
  /** As it is read on the finished cast, about its own middle. */
  readonly loops: InsetLoops;
  readonly face: InsetFace;
  /** How far it stands into the mix, mm. */
  readonly thickness: number;
  /** Where its middle lies on the finished face as it is read, mm off the face's middle. */
  readonly x?: number;
  readonly y?: number;
  /** Turned counter-clockwise as it is read, degrees. */
  readonly turn?: number;
  /** Stays in the cast, as pebbles and tile do; else it is drawn out and leaves its print. */
  readonly stays?: boolean;
}

/** Most points of an inset's loops together. */
export const MOST_INSET_POINTS = 6000;
/** Closer to the edge than this a face is prone to break off, mm: ordinary trade knowledge, no law. */
const CLEAR = 10;
/** Deeper than this, what is drawn out wants sides that lean, mm. */
const LEAN = 3;
/** Stone and tile, kg/L. */
const STONE = 2.4;
const HAIR = 1e-3;

const isPoint = (point: unknown) =>
  Array.isArray(point) && point.length === 2 && point.every((n) => typeof n === 'number' && Math.abs(n) <= 3000);

/** Notes what is wrong with an inset by itself, under `path`; answers whether it can be laid. */
function checkInset(check: Checker, path: string, { name, loops, thickness, x = 0, y = 0, turn = 0 }: Inset): boolean {
  const field = `${path}.loops`;
  if (!Array.isArray(loops) || !loops.every((loop) => Array.isArray(loop) && loop.length > 2 && loop.every(isPoint))) {
    check.add(field, undefined, msg('moulds.brokenLoop', { name }), msg('moulds.loopOfThree'));
    return false;
  }
  const points = loops.reduce((sum, loop) => sum + loop.length, 0);
  if (points === 0) check.add(field, 0, msg('moulds.nothingToLay', { name }), msg('moulds.writeOrPicture'));
  else if (points > MOST_INSET_POINTS)
    check.add(
      field,
      points,
      msg('moulds.insetPoints', { name, points }),
      msg('moulds.simplifyTo', { mostInsetPoints: MOST_INSET_POINTS }),
    );
  const size = { min: -3000, max: 3000, unit: 'mm' } as const;
  check.number(`${path}.thickness`, thickness, msg('moulds.insetThickness', { name }), {
    above: 0,
    max: 100,
    unit: 'mm',
  });
  check.number(`${path}.x`, x, msg('moulds.insetSide', { name }), size);
  check.number(`${path}.y`, y, msg('moulds.insetUp', { name }), size);
  check.number(`${path}.turn`, turn, msg('moulds.insetTurn', { name }), { min: -360, max: 360, unit: '°' });
  return check.clean;
}

/** The loops as they lie where the finished face is read. */
function placed({ loops, x = 0, y = 0, turn = 0 }: Inset): InsetLoops {
  const angle = (turn / 180) * Math.PI;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  return loops.map((loop) => loop.map(([px, py]): PlanPoint => [x + px * cos - py * sin, y + px * sin + py * cos]));
}

/** Loops turned over left to right. */
export const mirrored = (loops: InsetLoops): InsetLoops =>
  loops.map((loop) => loop.map(([x, y]): PlanPoint => [0 - x, y]));

/** Area of loops, mm²; a loop within another takes from it, one within that adds again. */
export function loopsArea(loops: InsetLoops): number {
  const regions = loops.map(polygonRegion);
  return loops.reduce((sum, loop, i) => {
    const depth = regions.filter((region, j) => j !== i && contains(region, loop[0]!)).length;
    return sum + (depth % 2 === 0 ? 1 : -1) * Math.abs(outlineArea(loop));
  }, 0);
}

/** What an inset displaces of the mix, mL. */
export const insetVolume = ({ loops, thickness }: Pick<Inset, 'loops' | 'thickness'>): number =>
  (loopsArea(loops) * thickness) / 1000;

/** What stays in the cast of an inset weighs, g; 0 where it is drawn out. */
export const insetMass = (inset: Inset): number => (inset.stays ? insetVolume(inset) * STONE : 0);

/** How an inset lies on its face. */
export interface InsetView {
  /** As it must lie, looking down into the mould: mirrored where it lies on the bottom. */
  readonly lies: InsetLoops;
  /** As it is read on the finished cast. */
  readonly reads: InsetLoops;
  /** The face it lies on, looking down into the mould. */
  readonly region: Region;
  /** Plugs and cores that stand on that face. */
  readonly standing: readonly Region[];
  /** The piece there, mm. */
  readonly depth: number;
}

/** An inset in its mould, with what it leaves. */
export interface LaidInset extends InsetView {
  /** From its outermost points to the nearest edge, mm. */
  readonly clear: Figure;
  /** mm² */
  readonly area: Figure;
  /** What it takes out of the mix, mL. */
  readonly volume: Figure;
  /** Mix behind it, mm. */
  readonly behind: Figure;
  /** What to beware of, as sentences. */
  readonly warnings: readonly Message[];
}

/** How an inset lies on its face, whether it fits there or not; `fillTo` is the height of the open face, mm. */
export function insetView(shape: MouldShape, inset: Inset, fillTo = cavityOf(shape).rim): InsetView {
  const cavity = cavityOf(shape);
  const bottom = inset.face === 'mould';
  const z = bottom ? HAIR : fillTo - HAIR;
  const on = [...cavity.cores, ...cavity.inserts].filter((blank) => blank.bottom <= z && blank.top >= z);
  const over = bottom ? cavity.cores.map((core) => core.bottom).filter((height) => height > HAIR) : [];
  const reads = placed(inset);
  return {
    reads,
    lies: bottom ? mirrored(reads) : reads,
    region: regionAt(cavity.outer, z),
    standing: on.map((blank) => regionAt(blank, z)),
    depth: shape.pressed?.thickness ?? Math.min(fillTo, ...over),
  };
}

/** Distance from the loops to the nearest edge, mm; undefined where they reach over one. */
function clearance(loops: InsetLoops, region: Region, standing: readonly Region[]): number | undefined {
  let least = Infinity;
  for (const point of loops.flatMap(lineEdges).flatMap((edge) => [pointOn(edge, 0), pointOn(edge, 0.5)])) {
    if (!contains(region, point) || standing.some((blank) => contains(blank, point))) return undefined;
    for (const edge of [region, ...standing]) least = Math.min(least, nearestOnRegion(edge, point).distance);
  }
  const over = standing.some(({ box: { x0, y0 } }) => loops.some((loop) => contains(polygonRegion(loop), [x0, y0])));
  return over ? undefined : least;
}

function warningsOf(inset: Inset, piece: PieceKind | undefined, clear: number, behind: number): Message[] {
  const mm = (n: number) => exactly(Number(n.toFixed(1)), 'mm');
  const found: Message[] = [];
  if (clear < CLEAR) found.push(msg('moulds.nearEdge', { clear: mm(clear), least: exactly(CLEAR, 'mm') }));
  const least = piece && pieceGuides[piece].leastWall;
  if (least !== undefined && behind < least)
    found.push(
      msg('moulds.littleBehind', { behind: mm(behind), name: pieceGuides[piece!].name, least: exactly(least, 'mm') }),
    );
  if (!inset.stays && inset.thickness > LEAN)
    found.push(msg('moulds.insetHolds', { thickness: mm(inset.thickness) })); // prettier-ignore
  return found;
}

/** What laying an inset goes by, beside its mould. */
export interface InsetWays {
  /** Height of the open face, mm; the rim where it is left out. */
  readonly fillTo?: number | undefined;
  readonly piece?: PieceKind;
  /** Path of its fields. */
  readonly path?: string;
}

/**
 * Lays an inset in its mould and tells how: looking down into the mould, mirrored where it lies on the bottom, since the
 * cast is turned over to be read. @throws InputError naming an inset that does not fit on its face
 */
export function layInset(
  shape: MouldShape,
  inset: Inset,
  { fillTo, piece, path = 'inset' }: InsetWays = {},
): LaidInset {
  const check = new Checker();
  if (!checkInset(check, path, inset)) check.done();
  const view = insetView(shape, inset, fillTo);
  const { lies, region, standing, depth } = view;
  const clear = clearance(lies, region, standing);
  if (clear === undefined) {
    const { x0, x1, y0, y1 } = region.box;
    check.add(path, undefined, msg('moulds.insetOverEdge', { inset: inset.name, length: quantity(x1 - x0, 'mm', 0), width: quantity(y1 - y0, 'mm', 0), standing: standing.length > 0 ? 'yes' : 'no' }), msg('moulds.smallerOrMove')); // prettier-ignore
  }
  const behind = depth - inset.thickness;
  check.expect(behind > 0, `${path}.thickness`, inset.thickness, msg('moulds.insetTooThick', { inset: inset.name, depth: quantity(depth, 'mm', 0) }), msg('moulds.takeThinner')); // prettier-ignore
  check.done();
  const [area, volume] = [loopsArea(inset.loops), insetVolume(inset)];
  return {
    ...view,
    clear: figure(clear!, 'mm', computed, [line(msg('moulds.outermostToEdge'), clear!, 'mm')]),
    area: figure(area, 'mm²', computed, [line(msg('moulds.loopsLessHoles'), area, 'mm²')]),
    volume: figure(volume, 'mL', computed, [
      line(msg('moulds.itsArea'), area, 'mm²'),
      line(msg('moulds.itsThickness'), inset.thickness, 'mm'),
      line(msg('moulds.takesOutOfMix'), volume, 'mL', 'area × thickness'),
    ]),
    behind: figure(behind, 'mm', computed, [
      line(msg('moulds.pieceThere'), depth, 'mm'),
      line(msg('moulds.theInset'), inset.thickness, 'mm'),
      line(msg('moulds.mixBehind'), behind, 'mm'),
    ]),
    warnings: warningsOf(inset, piece, clear!, behind),
  };
}

/** Loops moved to their own middle and sized to a height or a width, mm, both kept in proportion. */
export function sizedLoops(
  loops: InsetLoops,
  to: { readonly height: number } | { readonly width: number },
): InsetLoops {
  const points = loops.flat();
  if (points.length === 0) return [];
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const factor = 'height' in to ? to.height / (y1 - y0 || 1) : to.width / (x1 - x0 || 1);
  const [mx, my] = [(x0 + x1) / 2, (y0 + y1) / 2];
  const near = (n: number) => Math.round(n * 100) / 100;
  return loops.map((loop) => loop.map(([x, y]): PlanPoint => [near((x - mx) * factor), near((y - my) * factor)]));
}
