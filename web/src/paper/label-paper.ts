import type { Speaker } from '@dewpot/locales';
import { rgb, type PDFPage } from 'pdf-lib';
import { create } from 'qrcode';
import { linesOf, MM, Paper, papers, type PaperFaces, type PaperName } from './paper';

/** What a label tells of a cast. */
export interface Label {
  readonly code: string;
  readonly mould: string;
  readonly mix: string;
  /** The way that it got in a trial. */
  readonly trial?: string;
  /** ms */
  readonly pouredAt: number;
  /** The address that its square opens. */
  readonly address: string;
}

const COLUMNS = 2;
const ROWS = 7;
const MARGIN = 10 * MM;
const SQUARE = 26 * MM;
const PAD = 3 * MM;

/** A QR code of an address, drawn in black squares: sharp at any size. */
export function square(page: PDFPage, text: string, x: number, y: number, size: number): void {
  const { modules } = create(text, { errorCorrectionLevel: 'M' });
  const cell = size / modules.size;
  for (let row = 0; row < modules.size; row++)
    for (let column = 0; column < modules.size; column++)
      if (modules.get(row, column))
        page.drawRectangle({
          x: x + column * cell,
          y: y + size - (row + 1) * cell,
          width: cell,
          height: cell,
          color: rgb(0, 0, 0),
        });
}

/** Labels for casts, two across and seven down, each with a square that opens its cast. */
export async function labelPaper(
  labels: readonly Label[],
  { paper: name, faces, say }: { readonly paper: PaperName; readonly faces: PaperFaces; readonly say: Speaker },
): Promise<Uint8Array> {
  const paper = await Paper.of(name, faces, say('paper.labels'));
  const [width, height] = papers[name];
  const [across, down] = [(width - 2 * MARGIN) / COLUMNS, (height - 2 * MARGIN) / ROWS];
  const { text, bold } = paper.faces;
  labels.forEach(({ code, mould, mix, trial, pouredAt, address }, i) => {
    const at = i % (COLUMNS * ROWS);
    if (i > 0 && at === 0) paper.turn();
    const x = MARGIN + (at % COLUMNS) * across;
    const y = height - MARGIN - (Math.floor(at / COLUMNS) + 1) * down;
    const page = paper.sheet;
    page.drawRectangle({ x, y, width: across, height: down, borderWidth: 0.4, borderColor: rgb(0.6, 0.6, 0.6) });
    square(page, address, x + PAD, y + (down - SQUARE) / 2, SQUARE);
    const left = x + SQUARE + 3 * PAD;
    const room = across - SQUARE - 4 * PAD;
    page.drawText(code, { x: left, y: y + down - 12 * MM, size: 26, font: bold });
    const lines = [mould, mix].flatMap((one) =>
      linesOf(one, room, (line) => text.widthOfTextAtSize(line, 10)).slice(0, 2),
    );
    [...lines, say.value({ at: pouredAt, as: 'day' }), ...(trial ? [trial] : [])].forEach((line, n) =>
      page.drawText(line, { x: left, y: y + down - 17 * MM - n * 12, size: 10, font: text }),
    );
  });
  return paper.save();
}
