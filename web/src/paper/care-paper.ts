import type { CareNote } from '@dewpot/core/care';
import type { Speaker } from '@dewpot/locales';
import { MM, Paper, papers, type PaperFaces, type PaperName } from './paper';
import { square } from './label-paper';

/** A care note with the square that opens its cast. */
export interface CarePaper extends CareNote {
  readonly code: string;
  readonly address: string;
}

const SQUARE = 28 * MM;
const MARGIN = 15 * MM;

/** A care note on half a page: what the piece is made of, how it is looked after, what to beware of. */
export async function carePaper(
  { title, made, care, cautions, code, address }: CarePaper,
  say: Speaker,
  { paper: name, faces }: { readonly paper: PaperName; readonly faces: PaperFaces },
): Promise<Uint8Array> {
  const paper = await Paper.of(name, faces, `${title}, ${code}`);
  const [width, height] = papers[name];
  square(paper.sheet, address, width - MARGIN - SQUARE, height - MARGIN - SQUARE, SQUARE);
  const column = paper.width - SQUARE - 8 * MM;
  paper.text(title, { size: 26, bold: true, width: column });
  paper.gap(4);
  made.forEach((line) => paper.text(say(line), { size: 12, width: column }));
  paper.gap(18);
  paper.text(say('paper.howToLookAfter'), { size: 15, bold: true });
  paper.gap(2);
  care.forEach((line) => paper.text(`– ${say(line)}`, { size: 12.5 }));
  if (cautions.length > 0) {
    paper.gap(10);
    paper.rule();
    cautions.forEach((line) => paper.text(say(line), { size: 12.5, bold: true }));
  }
  return paper.save();
}
