import { exactly } from '@dewpot/core/units';
import type { Speaker } from '@dewpot/locales';
import type { Inset, LaidInset } from '@dewpot/core/moulds';
import { loopsOf } from '@dewpot/core/solids';
import {
  clip,
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
import { BAR, boxOf, drawBar, FOOT, HEAD, loopsPath, MARGIN, paperTiles, type Box, type Put } from './tiles';

/** What a template is of. */
export interface Template {
  readonly inset: Inset;
  readonly laid: LaidInset;
  readonly mould: string;
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
