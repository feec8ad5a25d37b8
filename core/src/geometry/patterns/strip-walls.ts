import { defined } from '../../foundation/math/index.js';
import { msg } from '../../foundation/units/index.js';
import { outlineBox, simplified, type PlanPoint } from '../solids/index.js';
import type { OffsetWall } from './centreline.js';
import { cutPart, rectangle, type CutPart, type PlacedPart } from './cut-part.js';

/** Room round the strips on their board, and its thickness, mm. */
const MARGIN = 50;
const BOARD = 18;
/** A wall stands in the drawing as no more flat panels than these. */
const MOST_PANELS = 48;

/** The board that strips stand on, with the lines of their walls. */
export function stripBoard(walls: readonly OffsetWall[], closed: boolean): CutPart {
  const { x0, y0, width, height } = outlineBox(walls.flatMap(({ points }) => points));
  const outline = rectangle(width + 2 * MARGIN, height + 2 * MARGIN, x0 - MARGIN, y0 - MARGIN);
  const marks = walls.map(({ points }) => ({ points, closed }));
  return cutPart({ key: 'B', name: msg('patterns.stripBoard'), stuff: 'sheet', count: 1, thickness: BOARD, outline, marks }); // prettier-ignore
}

/** The first try at panels is as near to their wall as its size over this. */
const COARSE = 2000;

/** The corners between the panels that a wall stands as: few of its points, and its end, or its beginning again. */
function panelCorners({ points }: OffsetWall, closed: boolean): readonly PlanPoint[] {
  const end = defined(closed ? points[0] : points[points.length - 1]);
  const { width, height } = outlineBox(points);
  let few = points;
  for (let tolerance = Math.hypot(width, height) / COARSE; ; tolerance *= 2) {
    few = simplified(few, tolerance);
    const last = defined(few[few.length - 1]);
    const corners = last[0] === end[0] && last[1] === end[1] ? few : [...few, end];
    if (corners.length <= MOST_PANELS + 1) return corners;
  }
}

/** Angle from one way to another, −π to π. */
const turnFrom = (from: number, to: number): number => Math.atan2(Math.sin(to - from), Math.cos(to - from));

/** The panels of a wall in the net: the first beside its line on the board, folding up from it, each other in a row with the one before. */
function panels(corners: readonly PlanPoint[], height: number, strip: number, first: number): PlacedPart[] {
  const [start, next] = [defined(corners[0]), defined(corners[1])];
  const way = Math.atan2(next[1] - start[1], next[0] - start[0]);
  // Along the row, and across it away from the board.
  const at = (along: number, across: number): PlanPoint => [
    start[0] + along * Math.cos(way) + across * Math.sin(way),
    start[1] + along * Math.sin(way) - across * Math.cos(way),
  ];
  let [run, before] = [0, way];
  return corners.slice(1).map((to, i): PlacedPart => {
    const from = defined(corners[i]);
    const own = Math.atan2(to[1] - from[1], to[0] - from[0]);
    const [begin, end] = [run, run + Math.hypot(to[0] - from[0], to[1] - from[1])];
    const hinge =
      i === 0
        ? { on: 0, from: at(0, 0), to: at(1, 0), angle: Math.PI / 2 }
        : { on: first + i - 1, from: at(begin, 1), to: at(begin, 0), angle: turnFrom(before, own) };
    [run, before] = [end, own];
    const face = [at(begin, height), at(end, height), at(end, 0), at(begin, 0)];
    return { number: first + i + 1, part: 'A', inner: face, outer: face, thickness: strip, hinge };
  });
}

/** Strips on their board: flat in rows beside it, and standing along their lines when they are folded. */
export function standingStrips(walls: readonly OffsetWall[], closed: boolean, height: number, strip: number, board: CutPart): PlacedPart[] {
  const pieces: PlacedPart[] = [{ number: 1, part: board.key, inner: board.outline, outer: board.outline, thickness: board.thickness }];
  for (const wall of walls) pieces.push(...panels(panelCorners(wall, closed), height, strip, pieces.length));
  return pieces;
} // prettier-ignore
