import { computed, exactly, figure, line, msg, type Figure, type Message } from '../../foundation/units/index.js';
import type { MouldShape } from '../moulds/index.js';
import type { RectFrustum } from '../solids/index.js';
import { freshMass, straightBox } from './common-answers.js';
import { circleOutline, cutPart, rectangle, type CutPart, type PartMark, type PlacedPart, type WorkedPattern } from './cut-part.js'; // prettier-ignore
import type { BoxPattern, HollowFor, PatternWays } from './pattern.js';

/** Screws stand so far from a corner, and at most so far apart, mm; the pilot is two thirds of the screw. Handbook 19. */
const FROM_CORNER = 40;
const MOST_APART = 150;
const PILOT = 2 / 3;

/** Places of screws along a joint of so many mm. */
export function screwPlaces(length: number): number[] {
  const run = length - 2 * FROM_CORNER;
  if (run <= 0) return [length / 2];
  const gaps = Math.ceil(run / MOST_APART);
  return Array.from({ length: gaps + 1 }, (_, i) => FROM_CORNER + (run * i) / gaps);
}

/** Lengths of the boards of a box: its two long and its two short sides, and how much they stand over the inside at their first end. mm */
function sideBoards({ length, width, board, corner }: BoxPattern): {
  readonly long: number;
  readonly short: number;
  readonly longOver: number;
  readonly shortOver: number;
  readonly mitre: number;
} {
  if (corner === 'pinwheel') return { long: length + board, short: width + board, longOver: 0, shortOver: 0, mitre: 0 };
  if (corner === 'mitred')
    return { long: length + 2 * board, short: width + 2 * board, longOver: board, shortOver: board, mitre: 45 };
  return { long: length + 2 * board, short: width, longOver: board, shortOver: 0, mitre: 0 };
}

const pilots = (places: readonly (readonly [number, number])[], screw: number): PartMark[] =>
  places.map(([x, y]) => ({ points: circleOutline((screw * PILOT) / 2, x, y, 16), closed: true }));

/** Height of the side boards, mm: they reach down to the underside of a bottom between them. */
const sideHeight = ({ height, board, bottom }: BoxPattern): number => (bottom === 'between' ? height + board : height);

/** Screws of a long side: up each end into the short sides, and along its foot into a bottom between the sides. */
function longScrews(pattern: BoxPattern): PartMark[] {
  const { board, corner, bottom, screw, length } = pattern;
  if (screw === undefined || corner === 'mitred') return [];
  const { long, longOver } = sideBoards(pattern);
  const up = screwPlaces(pattern.height).map((y) => y + sideHeight(pattern) - pattern.height);
  const ends = corner === 'lapped' ? [board / 2, long - board / 2] : [long - board / 2];
  const foot = bottom === 'between' ? screwPlaces(length).map((x): readonly [number, number] => [x + longOver, board / 2]) : []; // prettier-ignore
  return pilots([...ends.flatMap((x) => up.map((y): readonly [number, number] => [x, y])), ...foot], screw);
}

function partsOf(pattern: BoxPattern): CutPart[] {
  const { length, width, board, bottom, corner } = pattern;
  const { long, short, mitre } = sideBoards(pattern);
  const tall = sideHeight(pattern);
  const ends = [0, mitre, 0, mitre];
  const under = bottom === 'under' ? 2 * board : 0;
  const side = { stuff: 'board' as const, thickness: board, grain: true };
  return [
    cutPart({ ...side, key: 'A', name: msg('patterns.longSide'), count: 2, outline: rectangle(long, tall), mitres: ends, marks: longScrews(pattern) }),
    cutPart({ ...side, key: 'B', name: msg(corner === 'lapped' ? 'patterns.endBetween' : 'patterns.shortSide'), count: 2, outline: rectangle(short, tall), mitres: ends }),
    cutPart({ ...side, grain: false, key: 'C', name: msg('patterns.bottom'), count: 1, outline: rectangle(length + under, width + under) }),
  ];
} // prettier-ignore

/** The net: the bottom with its sides folded down round it, inside up. */
function piecesOf(pattern: BoxPattern): PlacedPart[] {
  const { length, width, height, board, bottom } = pattern;
  const { long, short, longOver, shortOver, mitre } = sideBoards(pattern);
  const low = height - sideHeight(pattern);
  const cut = mitre > 0 ? board : 0;
  const under = bottom === 'under' ? board : 0;
  const floor = rectangle(length + 2 * under, width + 2 * under, -under, -under);
  const root: PlacedPart = { number: 1, part: 'C', inner: floor, outer: floor, thickness: board };
  const corners = rectangle(length, width);
  const sides = corners.map((from, k): PlacedPart => {
    const to = corners[(k + 1) % 4] ?? from;
    const isLong = k % 2 === 0;
    const [run, over] = isLong ? [long, longOver] : [short, shortOver];
    const size = Math.hypot(to[0] - from[0], to[1] - from[1]);
    const [ux, uy] = [(to[0] - from[0]) / size, (to[1] - from[1]) / size];
    // Along the bottom's side, and away from it.
    const put = (along: number, out: number): readonly [number, number] => [from[0] + ux * along + uy * out, from[1] + uy * along - ux * out]; // prettier-ignore
    const board4 = (a: number, b: number) => [put(a, height), put(b, height), put(b, low), put(a, low)];
    return {
      number: k + 2,
      part: isLong ? 'A' : 'B',
      inner: board4(-over + cut, run - over - cut),
      outer: board4(-over, run - over),
      thickness: board,
      hinge: { on: 0, from, to, angle: Math.PI / 2 },
    };
  });
  return [root, ...sides];
}

/** The hollow as a blank that hangs from the top: its mean depth, as the floor falls evenly. */
function hollowShape(hollow: HollowFor): RectFrustum {
  const [length, width] = [hollow.length + 2 * hollow.gap, hollow.width + 2 * hollow.gap];
  const depth = hollow.depth + (hollow.fall / 100) * length * 0.5;
  return straightBox(length, width, depth);
}

/** The cavity that the boards of a box make. */
function boxMould(pattern: BoxPattern): MouldShape {
  const { length, width, height, hollow } = pattern;
  const outer = straightBox(length, width, height);
  const blank = hollow && hollowShape(hollow);
  return { outer, cores: blank ? [{ name: 'hollow', solid: blank, bottom: height - blank.height }] : [], inserts: [] };
}

function outside(pattern: BoxPattern): Figure[] {
  const { length, width, board } = pattern;
  return [length, width].map((inside) =>
    figure(inside + 2 * board, 'mm', computed, [
      line(msg('patterns.inside'), inside, 'mm'),
      line(msg('patterns.boardThickness'), board, 'mm'),
      line(msg('patterns.outside'), inside + 2 * board, 'mm', msg('patterns.plusTwoBoards')),
    ]),
  );
}

function hollowNotes({ hollow, height, length }: BoxPattern): Message[] {
  if (!hollow) return [];
  const low = hollow.depth + ((hollow.length + 2 * hollow.gap) * hollow.fall) / 100;
  return [
    msg('patterns.hollowBlank', { length: exactly(hollow.length + 2 * hollow.gap, 'mm'), width: exactly(hollow.width + 2 * hollow.gap, 'mm'), high: exactly(hollow.depth, 'mm'), low: exactly(low, 'mm') }),
    msg('patterns.hollowLeaves', { floor: exactly(height - low, 'mm'), wall: exactly((length - hollow.length) / 2 - hollow.gap, 'mm') }),
  ];
} // prettier-ignore

/** Works out a box or tray of boards. Handbook 19, "Boxes of boards". */
export function workBox(pattern: BoxPattern, { density }: PatternWays): WorkedPattern {
  const { length, width, height, screw, corner, hollow } = pattern;
  const [long, short] = outside(pattern);
  const blank = hollow && hollowShape(hollow);
  const volume = (length * width * height - (blank ? blank.topLength * blank.topWidth * blank.height : 0)) / 1000;
  const cavity = figure(volume, 'mL', computed, [
    line(msg('patterns.boxVolume'), (length * width * height) / 1000, 'mL'),
    ...(blank ? [line(msg('patterns.hollowVolume'), (blank.topLength * blank.topWidth * blank.height) / 1000, 'mL')] : []), // prettier-ignore
    line(msg('patterns.cavity'), volume, 'mL'),
  ]);
  return {
    parts: partsOf(pattern),
    pieces: piecesOf(pattern),
    joints: [],
    answers: [
      { name: msg('patterns.cavity'), figure: cavity },
      ...(long && short ? [{ name: msg('patterns.outsideLength'), figure: long }, { name: msg('patterns.outsideWidth'), figure: short }] : []), // prettier-ignore
      freshMass(volume, density),
    ],
    warnings: [],
    notes: [
      msg(`patterns.${corner}Corner`),
      ...(screw === undefined ? [] : [msg('patterns.screws', { screw: exactly(screw, 'mm'), pilot: exactly(Math.round(screw * PILOT * 10) / 10, 'mm'), corner: exactly(FROM_CORNER, 'mm'), apart: exactly(MOST_APART, 'mm') })]), // prettier-ignore
      ...hollowNotes(pattern),
    ],
    cautions: [msg('patterns.sawCaution')],
    moulds: [
      {
        name: msg('patterns.boxMould'),
        shape: boxMould(pattern),
        piece: pattern.hollow ? 'dish' : 'ornament',
        count: 1,
      },
    ],
    plan: [],
  };
}
