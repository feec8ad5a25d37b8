import type { PlanPoint } from '@dewpot/core/solids';
import { closePath, lineTo, moveTo, PDFOperator, setLineWidth, stroke, type PDFPage } from 'pdf-lib';
import { MM, type Paper } from './paper';

/** mm: round the page, under its head, over its check bar, and by how much pages lap over each other. */
export const MARGIN = 12;
export const HEAD = 26;
export const FOOT = 14;
export const LAP = 10;
/** Length of the bar by which one sees whether it was printed in full size, mm. */
export const BAR = 100;
const AIR = 4;

/** A stretch of a drawing, mm. */
export interface Box {
  readonly x0: number;
  readonly y0: number;
  readonly x1: number;
  readonly y1: number;
}

/** The stretch that points take, with a little air. */
export function boxOf(points: readonly PlanPoint[]): Box {
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  return {
    x0: Math.min(...xs) - AIR,
    y0: Math.min(...ys) - AIR,
    x1: Math.max(...xs) + AIR,
    y1: Math.max(...ys) + AIR,
  };
}

/** Stretches of `box` that pages of a size take, row by row from the top left, lapping over each other. */
export function paperTiles({ x0, y0, x1, y1 }: Box, width: number, height: number): Box[] {
  const stepsOf = (length: number, page: number) =>
    length <= page ? 1 : 1 + Math.ceil((length - page) / (page - LAP) - 1e-9);
  const [columns, rows] = [stepsOf(x1 - x0, width), stepsOf(y1 - y0, height)];
  return Array.from({ length: rows * columns }, (_, i) => {
    const left = columns === 1 ? (x0 + x1 - width) / 2 : x0 + (i % columns) * (width - LAP);
    const top = rows === 1 ? (y0 + y1 + height) / 2 : y1 - Math.floor(i / columns) * (height - LAP);
    return { x0: left, y0: top - height, x1: left + width, y1: top };
  });
}

/** Where a point of a drawing comes to on the page, points. */
export type Put = (point: PlanPoint) => PlanPoint;

/** Closed outlines as a path. */
export function loopsPath(loops: readonly (readonly PlanPoint[])[], put: Put): PDFOperator[] {
  return loops.flatMap((loop) => [
    ...loop.map((point, i) => {
      const [x, y] = put(point);
      return i === 0 ? moveTo(x, y) : lineTo(x, y);
    }),
    closePath(),
  ]);
}

/** The bar that tells whether the page was printed in full size. */
export function drawBar(page: PDFPage, paper: Paper, told: string): void {
  const [x, y] = [MARGIN * MM, MARGIN * MM];
  page.pushOperators(
    setLineWidth(1),
    moveTo(x, y),
    lineTo(x + BAR * MM, y),
    stroke(),
    ...Array.from({ length: BAR / 10 + 1 }, (_, i) => [
      moveTo(x + i * 10 * MM, y),
      lineTo(x + i * 10 * MM, y + (i % 5 === 0 ? 4 : 2.4) * MM),
      stroke(),
    ]).flat(),
  );
  page.drawText(told, { x: x + (BAR + 4) * MM, y, size: 10, font: paper.faces.text });
}
