import { exactly } from '@dewpot/core/units';
import type { CutPart } from '@dewpot/core/patterns';
import type { PlanPoint } from '@dewpot/core/solids';
import type { Speaker } from '@dewpot/locales';
import {
  clip,
  endPath,
  lineTo,
  moveTo,
  popGraphicsState,
  pushGraphicsState,
  rectangle,
  setDashPattern,
  setLineWidth,
  setStrokingGrayscaleColor,
  stroke,
  type PDFPage,
} from 'pdf-lib';
import { MM, Paper, papers, type PaperFaces, type PaperName } from './paper';
import { BAR, boxOf, drawBar, FOOT, HEAD, LAP, loopsPath, MARGIN, paperTiles, type Box, type Put } from './tiles';

/** A part on a page: the stretch of it that the page shows, and where that stretch's lower left corner lies, mm. */
interface Shown {
  readonly part: CutPart;
  readonly stretch: Box;
  readonly x: number;
  readonly y: number;
  /** Which page of the part's own, where it takes several. */
  readonly tile?: { readonly page: number; readonly all: number };
}

const CROSS = 4;

/** Parts on pages of a size: those that go onto one are put side by side, a larger one takes pages of its own that lap over each other. */
export function patternPages(parts: readonly CutPart[], width: number, height: number): Shown[][] {
  const pages: Shown[][] = [];
  let [x, y, row] = [0, Infinity, 0];
  const boxed = parts.map((part) => ({ part, box: boxOf(part.outline) }));
  const sizeOf = ({ x0, y0, x1, y1 }: Box) => [x1 - x0, y1 - y0] as const;
  for (const { part, box } of [...boxed].sort((a, b) => sizeOf(b.box)[1] - sizeOf(a.box)[1])) {
    const [wide, high] = sizeOf(box);
    if (wide > width || high > height) {
      const tiles = paperTiles(box, width, height);
      tiles.forEach((stretch, i) => pages.push([{ part, stretch, x: 0, y: 0, tile: { page: i + 1, all: tiles.length } }])); // prettier-ignore
      continue;
    }
    if (x + wide > width) [x, y, row] = [0, y + row, 0];
    const open = pages[pages.length - 1];
    if (!open || open.some(({ tile }) => tile) || y + high > height) {
      pages.push([]);
      [x, y, row] = [0, 0, 0];
    }
    pages[pages.length - 1]?.push({ part, stretch: box, x, y: height - y - high });
    x += wide;
    row = Math.max(row, high);
  }
  return pages;
}

const openLine = (points: readonly PlanPoint[], put: Put) =>
  points.map((point, i) => (i === 0 ? moveTo(...put(point)) : lineTo(...put(point))));

/** Crosses in the middle of what a page laps over its neighbours: they are laid on each other. */
function crosses({ x0, y0, x1, y1 }: Box, put: Put) {
  const half = LAP / 2;
  const places = [x0 + half, x1 - half].flatMap((x) => [y0 + half, y1 - half].map((y): PlanPoint => [x, y]));
  return places.flatMap(([x, y]) => [
    ...openLine([[x - CROSS, y], [x + CROSS, y]], put),
    ...openLine([[x, y - CROSS], [x, y + CROSS]], put),
    stroke(),
  ]); // prettier-ignore
}

function drawShown(page: PDFPage, paper: Paper, { part, stretch, x, y, tile }: Shown): void {
  const put: Put = ([px, py]) => [(px - stretch.x0 + x + MARGIN) * MM, (py - stretch.y0 + y + MARGIN + FOOT) * MM];
  const [left, low] = put([stretch.x0, stretch.y0]);
  const dashed = part.marks.filter(({ closed }) => closed).map(({ points }) => points);
  page.pushOperators(
    pushGraphicsState(),
    rectangle(left, low, (stretch.x1 - stretch.x0) * MM, (stretch.y1 - stretch.y0) * MM),
    clip(),
    endPath(),
    setStrokingGrayscaleColor(0),
    setLineWidth(0.8),
    ...loopsPath([part.outline, ...part.holes], put),
    stroke(),
    setLineWidth(0.5),
    setDashPattern([4, 3], 0),
    ...loopsPath(dashed, put),
    ...part.marks.filter(({ closed }) => !closed).flatMap(({ points }) => openLine(points, put)),
    stroke(),
    setDashPattern([], 0),
    ...(tile ? crosses(stretch, put) : []),
    popGraphicsState(),
  );
  const [mx, my] = put([(stretch.x0 + stretch.x1) / 2, (stretch.y0 + stretch.y1) / 2]);
  const label = `${part.key} × ${part.count}${tile ? `  ${tile.page}/${tile.all}` : ''}`;
  page.drawText(label, { x: mx - label.length * 2.5, y: my, size: 10, font: paper.faces.bold });
}

const SQUARE = 1e-6;

/** Whether a part is an oblong with nothing in it: its length and its width say all. */
function isPlain({ outline, holes, marks }: CutPart): boolean {
  const square = outline.every(([x, y], i) => {
    const [nx, ny] = outline[(i + 1) % outline.length] ?? [x, y];
    return Math.abs(nx - x) < SQUARE || Math.abs(ny - y) < SQUARE;
  });
  return square && outline.length === 4 && holes.length === 0 && marks.every(({ closed }) => !closed);
}

/** Parts that want a template; where all are plain, all. */
const wanting = (parts: readonly CutPart[]): readonly CutPart[] => {
  const shaped = parts.filter((part) => !isPlain(part));
  return shaped.length > 0 ? shaped : parts;
};

/** Templates of a pattern's parts in full size, over as many pages as they take; each with a bar to measure. */
export async function patternPaper(
  { name, parts }: { readonly name: string; readonly parts: readonly CutPart[] },
  { paper: size, faces, say }: { readonly paper: PaperName; readonly faces: PaperFaces; readonly say: Speaker },
): Promise<Uint8Array> {
  const paper = await Paper.of(size, faces, name);
  const [pageWidth, pageHeight] = papers[size];
  const pages = patternPages(wanting(parts), pageWidth / MM - 2 * MARGIN, pageHeight / MM - 2 * MARGIN - HEAD - FOOT);
  pages.forEach((shown, i) => {
    if (i > 0) paper.turn();
    const page = paper.sheet;
    const [x, top] = [MARGIN * MM, page.getHeight() - MARGIN * MM];
    page.drawText(say('patterns.paperHead', { name, page: i + 1, all: pages.length }), { x, y: top - 16, size: 16, font: paper.faces.bold }); // prettier-ignore
    page.drawText(say('patterns.paperHow'), { x, y: top - 34, size: 11, font: paper.faces.text });
    shown.forEach((one) => drawShown(page, paper, one));
    drawBar(page, paper, say('paper.measureBar', { bar: exactly(BAR, 'mm') }));
  });
  return paper.save();
}
