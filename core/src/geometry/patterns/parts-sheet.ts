import { defined } from '../../foundation/math/index.js';
import type { Drawing } from '../exports/index.js';
import { outlineBox, type PlanPoint } from '../solids/index.js';
import type { CutPart } from './cut-part.js';

/** Room between parts on a sheet, and height of their letters, mm. */
const APART = 10;
const LETTER = 8;

/** A part where it lies on the sheet: moved by `x` and `y`, mm. */
export interface LaidPart {
  readonly part: CutPart;
  readonly x: number;
  readonly y: number;
}

/** One of each part in rows, the tallest first, as wide as the widest part or so that the sheet is about square. */
export function laidParts(parts: readonly CutPart[]): LaidPart[] {
  const boxes = parts.map((part) => ({ part, ...outlineBox(part.outline) }));
  const area = boxes.reduce((sum, { width, height }) => sum + (width + APART) * (height + APART), 0);
  const room = Math.max(Math.sqrt(area) * 1.2, ...boxes.map(({ width }) => width));
  let [x, y, row] = [0, 0, 0];
  return [...boxes]
    .sort((a, b) => b.height - a.height)
    .map(({ part, x0, y0, width, height }) => {
      if (x > 0 && x + width > room) [x, y, row] = [0, y - row - APART, 0];
      row = Math.max(row, height);
      const laid = { part, x: x - x0, y: y - height - y0 };
      x += width + APART;
      return laid;
    });
}

const movedBy = (x: number, y: number) => ([px, py]: PlanPoint): PlanPoint => [px + x, py + y]; // prettier-ignore

/** The sides of a part that are cut at a tilt, as lines. */
const mitredSides = ({ outline, mitres }: CutPart): PlanPoint[][] =>
  outline.flatMap((from, i) => (defined(mitres[i]) > 0 ? [[from, defined(outline[(i + 1) % outline.length])]] : []));

/** One of each part as a drawing, on layers: what is cut, sides that are mitred, what is marked, letters with counts. */
export function partsDrawing(parts: readonly CutPart[]): Drawing {
  const laid = laidParts(parts);
  const all = <T>(of: (part: CutPart, put: (point: PlanPoint) => PlanPoint) => readonly T[]): T[] =>
    laid.flatMap(({ part, x, y }) => of(part, movedBy(x, y)));
  const middleOf = (outline: readonly PlanPoint[]): PlanPoint => {
    const { x0, y0, width, height } = outlineBox(outline);
    return [x0 + width / 2, y0 + height / 2];
  };
  return {
    layers: [
      { name: 'cut', outlines: all(({ outline, holes }, put) => [outline, ...holes].map((loop) => loop.map(put))) },
      { name: 'mitre', outlines: [], lines: all((part, put) => mitredSides(part).map((side) => side.map(put))) },
      {
        name: 'mark',
        outlines: all(({ marks }, put) => marks.filter(({ closed }) => closed).map(({ points }) => points.map(put))),
        lines: all(({ marks }, put) => marks.filter(({ closed }) => !closed).map(({ points }) => points.map(put))),
      },
      {
        name: 'text',
        outlines: [],
        texts: all(({ key, count, outline }, put) => [{ at: put(middleOf(outline)), height: LETTER, text: `${key} × ${count}` }]), // prettier-ignore
      },
    ],
  };
}
