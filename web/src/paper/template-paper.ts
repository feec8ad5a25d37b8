import { exactly } from '@dewpot/core/units';
import type { Speaker } from '@dewpot/locales';
import type { Inset, InsetLoops, LaidInset } from '@dewpot/core/moulds';
import { loopsOf, type PlanPoint } from '@dewpot/core/solids';
import {
  clip,
  closePath,
  endPath,
  lineTo,
  moveTo,
  PDFOperator,
  PDFOperatorNames,
  popGraphicsState,
  pushGraphicsState,
  rectangle,
  setDashPattern,
  setFillingGrayscaleColor,
  setLineWidth,
  setStrokingGrayscaleColor,
  stroke,
  type PDFPage,
} from 'pdf-lib';
import { MM, Paper, papers, type PaperFaces, type PaperName } from './paper';

/** What a template is of. */
export interface Template {
  readonly inset: Inset;
  readonly laid: LaidInset;
  readonly mould: string;
}

/** mm: round the page, under its head, over its check bar, and by how much pages lap over each other. */
const MARGIN = 12;
const HEAD = 26;
const FOOT = 14;
const LAP = 10;
/** Length of the bar by which one sees whether it was printed in full size, mm. */
const BAR = 100;
const AIR = 4;

/** A stretch of the face, mm. */
interface Box {
  readonly x0: number;
  readonly y0: number;
  readonly x1: number;
  readonly y1: number;
}

function boxOf(points: readonly PlanPoint[]): Box {
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

type Put = (point: PlanPoint) => PlanPoint;

function loopsPath(loops: InsetLoops, put: Put): PDFOperator[] {
  return loops.flatMap((loop) => [
    ...loop.map((point, i) => {
      const [x, y] = put(point);
      return i === 0 ? moveTo(x, y) : lineTo(x, y);
    }),
    closePath(),
  ]);
}

/** The face, what stands on it, its middle, and the inset, clipped to one page's stretch. */
function drawTile(page: PDFPage, { laid: { lies, region, standing } }: Template, tile: Box): void {
  const put: Put = ([x, y]) => [(x - tile.x0 + MARGIN) * MM, (y - tile.y0 + MARGIN + FOOT) * MM];
  const [x, y] = put([tile.x0, tile.y0]);
  const mm = (length: number) => length * MM;
  const cross = [
    [[-6, 0], [6, 0]],
    [[0, -6], [0, 6]],
  ] as const; // prettier-ignore
  page.pushOperators(
    pushGraphicsState(),
    rectangle(x, y, mm(tile.x1 - tile.x0), mm(tile.y1 - tile.y0)),
    clip(),
    endPath(),
    setStrokingGrayscaleColor(0),
    setLineWidth(0.7),
    setFillingGrayscaleColor(0.8),
    ...loopsPath(lies, put),
    PDFOperator.of(PDFOperatorNames.FillEvenOddAndStroke),
    setDashPattern([6, 4], 0),
    ...loopsPath(loopsOf(region), put),
    stroke(),
    setDashPattern([], 0),
    ...loopsPath(
      standing.flatMap((blank) => loopsOf(blank)),
      put,
    ),
    stroke(),
    ...cross.flatMap(([from, to]) => [moveTo(...put(from)), lineTo(...put(to)), stroke()]),
    popGraphicsState(),
  );
}

/** The bar that tells whether the page was printed in full size. */
function drawBar(page: PDFPage, paper: Paper, told: string): void {
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

function drawHead(
  page: PDFPage,
  paper: Paper,
  { inset, mould }: Template,
  at: { page: number; all: number },
  say: Speaker,
): void {
  const [x, top] = [MARGIN * MM, page.getHeight() - MARGIN * MM];
  const { text, bold } = paper.faces;
  page.drawText(say('paper.insetIn', { inset: inset.name, mould, ...at }), { x, y: top - 16, size: 16, font: bold });
  const how = inset.face === 'mould' ? say('paper.lieMirrored') : say('paper.asPressed');
  page.drawText(how, { x, y: top - 34, size: 11, font: text });
  page.drawText(say('paper.dashedEdge'), { x, y: top - 50, size: 11, font: text });
}

/** A template in full size to lay an inset by: its face with it where that goes onto one page, else the inset alone, over as many pages as it takes. */
export async function templatePaper(
  template: Template,
  { paper: name, faces, say }: { readonly paper: PaperName; readonly faces: PaperFaces; readonly say: Speaker },
): Promise<Uint8Array> {
  const { inset, laid, mould } = template;
  const paper = await Paper.of(name, faces, say('paper.template', { inset: inset.name, mould }));
  const [pageWidth, pageHeight] = papers[name];
  const [width, height] = [pageWidth / MM - 2 * MARGIN, pageHeight / MM - 2 * MARGIN - HEAD - FOOT];
  const face = boxOf(loopsOf(laid.region).flat());
  const onOne = face.x1 - face.x0 <= width && face.y1 - face.y0 <= height;
  const all = paperTiles(onOne ? face : boxOf(laid.lies.flat()), width, height);
  all.forEach((tile, i) => {
    if (i > 0) paper.turn();
    drawTile(paper.sheet, template, tile);
    drawHead(paper.sheet, paper, template, { page: i + 1, all: all.length }, say);
    drawBar(paper.sheet, paper, say('paper.measureBar', { bar: exactly(BAR, 'mm') }));
  });
  return paper.save();
}
