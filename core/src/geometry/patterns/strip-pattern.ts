import {
  computed,
  exactly,
  figure,
  line,
  msg,
  quantity,
  type Figure,
  type Message,
} from '../../foundation/units/index.js';
import type { MouldShape } from '../moulds/index.js';
import { outlineArea, simplified, type PlanPoint, type Solid } from '../solids/index.js';
import { centrelineOf, lineLength, offsetWall, type Centreline, type OffsetWall } from './centreline.js';
import { cutPart, rectangle, type PatternAnswer, type PlanLine, type WorkedPattern } from './cut-part.js';
import type { PatternWays, StripPattern } from './pattern.js';
import { standingStrips, stripBoard } from './strip-walls.js';
import { cutsAcross, nailsAlong, nailsDrawn } from './strip-plan.js';

/** A strip may bulge so far between two nails, mm; nails stand no nearer and no farther than these. Handbook 19. */
const BULGE = 1.5;
const NEAREST_NAILS = 25;
const FARTHEST_NAILS = 100;
/** Below this radius a strip is bent round a former. */
const FORMER_RADIUS = 25;
/** Joint between segments of a divided piece, mm. */
const SEGMENT_JOINT = 8;

/** Spacing of nails along a wall of a radius, mm: √(8·R·e). */
export const nailSpacing = (radius: number): number =>
  Math.min(FARTHEST_NAILS, Math.max(NEAREST_NAILS, Math.sqrt(8 * radius * BULGE)));

/** Nails along a wall: whole spacings by the local radius, one more where it is open, one at each corner. */
function nailsOf({ bends }: OffsetWall, closed: boolean, corners: number): number {
  const spacings = bends.reduce((sum, { length, radius }) => sum + Math.max(0, length) / nailSpacing(radius), 0);
  return Math.ceil(spacings - 1e-9) + (closed ? 0 : 1) + corners;
}

/** Strips out of a sheet for a length of wall: each after the first adds the sheet less the overlap. */
export const stripsFor = (length: number, sheet: number, overlap: number): number =>
  length <= sheet ? 1 : Math.ceil((length - overlap) / (sheet - overlap) - 1e-9);

interface Walls {
  readonly line: Centreline;
  /** The wall outside (or the only one), and the one inside. */
  readonly walls: readonly OffsetWall[];
  /** Strip that the walls and their ends take, laps of closed walls with them, mm. */
  readonly strip: number;
  readonly area: number;
}

/** Walls of a strip mould. Of a closed line that runs counter-clockwise the outer wall lies at its right. */
export function wallsOf({ line: asked, channel, overlap }: StripPattern): Walls {
  const line = centrelineOf(asked);
  const sides = channel === undefined ? [0] : [-channel / 2, channel / 2];
  const walls = sides.map((offset) => offsetWall(line, offset));
  const run = walls.reduce((sum, { length }) => sum + length, 0);
  const ends = line.closed ? walls.length * overlap : 2 * (channel ?? 0);
  const [outer = 0, inner = 0] = walls.map(({ points }) => outlineArea(points));
  const area = line.closed ? outer - inner : (channel ?? 0) * lineLength(line);
  return { line, walls, strip: run + ends, area };
}

/** Segments that one can lift: how many, and the middle length of each, square cuts and a joint between. */
export function segmentsOf(
  { line, area }: Walls,
  { height }: StripPattern,
  { density, liftLimit }: PatternWays,
): {
  readonly count: number;
  readonly length: number;
  readonly mass: number;
} {
  const mass = (area * height * density) / 1000;
  const whole = lineLength(line);
  for (let count = Math.max(1, Math.ceil(mass / liftLimit)); ; count++) {
    const joints = count === 1 ? 0 : line.closed ? count : count - 1;
    const length = (whole - joints * SEGMENT_JOINT) / count;
    const each = (mass * length) / whole;
    if (each <= liftLimit || length < SEGMENT_JOINT) return { count, length, mass: each };
  }
}

/** The cavity of a strip mould, in the solid that tells it best. */
function stripMould({ line, channel, height }: StripPattern, { walls }: Walls): MouldShape {
  return { outer: outerOf(), cores: coresOf(), inserts: [] };

  function outerOf(): Solid {
    if (channel !== undefined) {
      if (line.shape === 'ring') return { kind: 'ring', innerDiameter: line.diameter - channel, width: channel, depth: height }; // prettier-ignore
      if (line.shape === 'arc') return { kind: 'arc', radius: line.radius, angle: line.angle, width: channel, depth: height }; // prettier-ignore
      if (line.shape === 'spiral') return { kind: 'spiral', startRadius: line.start, pitch: line.pitch, turns: line.turns, width: channel, depth: height }; // prettier-ignore
    }
    const [first, second] = walls.map(({ points }) => fewer(points));
    const open = channel !== undefined && line.shape === 'free' && !line.closed;
    const outline = open ? [...(first ?? []), ...[...(second ?? [])].reverse()] : (first ?? []);
    return { kind: 'prism', outline, depth: height, draft: 0 };
  }

  function coresOf(): MouldShape['cores'] {
    const closed = line.shape === 'heart' || (line.shape === 'free' && line.closed);
    if (channel === undefined || !closed) return [];
    const inner = walls[1]?.points ?? [];
    return [
      { name: 'inner wall', bottom: 0, solid: { kind: 'prism', outline: fewer(inner), depth: height, draft: 0 } },
    ];
  }
}

/** An outline of no more points than it takes to be within this of its curves, mm. */
const FINE = 0.02;
const fewer = (points: readonly PlanPoint[]): readonly PlanPoint[] => simplified(points, FINE);

function planOf(
  { line, walls }: Walls,
  { channel, strip }: StripPattern,
  segments: ReturnType<typeof segmentsOf>,
): PlanLine[] {
  const strips = walls.map(({ points }): PlanLine => ({ layer: 'strip', points, closed: line.closed }));
  const [first, second] = walls;
  const ends = line.closed || !first || !second ? [] : [0, -1].map((k): PlanLine => ({ layer: 'strip', points: [first.points.at(k) ?? [0, 0], second.points.at(k) ?? [0, 0]], closed: false })); // prettier-ignore
  const middle: PlanLine = { layer: 'centre', points: line.steps.map(({ at }) => at), closed: line.closed };
  const nails = walls.flatMap((wall) => nailsAlong(wall, line, strip, nailSpacing));
  const cuts =
    channel === undefined || segments.count === 1
      ? []
      : cutsAcross(line, channel, segments.count, segments.length, SEGMENT_JOINT);
  return [
    ...strips,
    ...ends,
    ...(channel === undefined ? [] : [middle]),
    ...cuts.map((points): PlanLine => ({ layer: 'cut', points, closed: false })),
    ...nailsDrawn(nails),
  ];
}

/** The sharpest bend of the walls, mm. */
const sharpest = (walls: readonly OffsetWall[]): number => Math.min(...walls.flatMap(({ bends }) => bends.map(({ radius }) => radius))); // prettier-ignore

function notesOf({ line, walls, strip }: Walls, pattern: StripPattern, segments: number, nails: number): Message[] {
  const tight = sharpest(walls);
  const mirrored = pattern.line.shape === 'spiral' || pattern.line.shape === 'free';
  return [
    msg('patterns.nails', { count: nails }),
    ...(tight < FORMER_RADIUS ? [msg('patterns.roundFormer', { radius: quantity(tight, 'mm') })] : []),
    ...(tight >= FORMER_RADIUS && Math.sqrt(8 * tight * BULGE) < NEAREST_NAILS
      ? [msg('patterns.bulgeLeft', { bulge: quantity(NEAREST_NAILS ** 2 / (8 * tight), 'mm', 1) })]
      : []),
    msg('patterns.stripsFromSheet', { count: stripsFor(strip, pattern.sheet, pattern.overlap), sheet: exactly(pattern.sheet, 'mm'), overlap: exactly(pattern.overlap, 'mm') }),
    ...(segments > 1 ? [msg('patterns.divided', { count: segments, joint: exactly(SEGMENT_JOINT, 'mm') })] : []),
    ...(mirrored && line.steps.length > 1 ? [msg('patterns.mirrored')] : []),
  ];
} // prettier-ignore

const wallFigure = (wall: OffsetWall, along: number, offset: number): Figure =>
  figure(wall.length, 'mm', computed, [
    line(msg('patterns.centreLength'), along, 'mm'),
    line(msg('patterns.offset'), offset, 'mm'),
    line(msg('patterns.wallLength'), wall.length, 'mm', '∫ (1 − κ · d) ds'),
  ]);

function answersOf(walls: Walls, pattern: StripPattern, ways: PatternWays): PatternAnswer[] {
  const { channel = 0, height, sheet, overlap } = pattern;
  const along = lineLength(walls.line);
  const volume = (walls.area * height) / 1000;
  const { count, length, mass } = segmentsOf(walls, pattern, ways);
  const strips = stripsFor(walls.strip, sheet, overlap);
  return [
    { name: msg('patterns.stripLength'), figure: figure(walls.strip, 'mm', computed, [...walls.walls.map((wall) => line(msg('patterns.wallLength'), wall.length, 'mm')), line(msg(walls.line.closed ? 'patterns.laps' : 'patterns.ends'), walls.line.closed ? walls.walls.length * overlap : 2 * channel, 'mm'), line(msg('patterns.stripLength'), walls.strip, 'mm')]) },
    { name: msg('patterns.stripCount'), figure: figure(strips, 'count', computed, [line(msg('patterns.stripLength'), walls.strip, 'mm'), line(msg('patterns.sheetLength'), sheet, 'mm'), line(msg('patterns.overlap'), overlap, 'mm'), line(msg('patterns.stripCount'), strips, 'count', '⌈(L − o) / (S − o)⌉')]) },
    ...walls.walls.map((wall, i) => ({ name: msg(walls.walls.length === 1 ? 'patterns.wallLength' : i === 0 ? 'patterns.outerWall' : 'patterns.innerWall'), figure: wallFigure(wall, along, walls.walls.length === 1 ? 0 : i === 0 ? -channel / 2 : channel / 2) })),
    { name: msg('patterns.cavity'), figure: figure(volume, 'mL', computed, [line(msg('patterns.channelArea'), walls.area, 'mm²'), line(msg('patterns.stripHeight'), height, 'mm'), line(msg('patterns.cavity'), volume, 'mL')]) },
    { name: msg('patterns.segmentMass'), figure: figure(mass, 'g', computed, [line(msg('patterns.freshMass'), volume * ways.density, 'g'), line(msg('patterns.liftLimit'), ways.liftLimit, 'g'), line(msg('patterns.segments'), count, 'count'), line(msg('patterns.segmentLength'), length, 'mm'), line(msg('patterns.segmentMass'), mass, 'g')]) },
  ];
} // prettier-ignore

/** Works out strips on edge on a board. Handbook 19, "Strip moulds on a board". */
export function workStrip(pattern: StripPattern, ways: PatternWays): WorkedPattern {
  const walls = wallsOf(pattern);
  const { height, strip, sheet, overlap } = pattern;
  const segments = segmentsOf(walls, pattern, ways);
  const board = stripBoard(walls.walls, walls.line.closed);
  const nails = walls.walls.reduce((sum, wall) => sum + nailsOf(wall, walls.line.closed, walls.line.corners.length), 0);
  return {
    parts: [
      cutPart({
        key: 'A',
        name: msg('patterns.stripPart'),
        stuff: 'strip',
        count: stripsFor(walls.strip, sheet, overlap),
        thickness: strip,
        outline: rectangle(Math.min(sheet, walls.strip), height),
        grain: true,
      }),
      board,
    ],
    pieces: standingStrips(walls.walls, walls.line.closed, height, strip, board),
    joints: [],
    answers: answersOf(walls, pattern, ways),
    warnings: [],
    notes: notesOf(walls, pattern, segments.count, nails),
    cautions: segments.count > 1 ? [msg('patterns.liftCaution')] : [],
    moulds: [{ name: msg('patterns.stripMould'), shape: stripMould(pattern, walls), piece: 'slab', count: 1 }],
    plan: planOf(walls, pattern, segments),
  };
}
