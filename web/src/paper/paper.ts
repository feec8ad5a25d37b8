import fontkit from '@pdf-lib/fontkit';
import { PDFDocument, rgb, type PDFFont, type PDFPage } from 'pdf-lib';

/** Paper by name, in points. */
export const papers = { a4: [595.28, 841.89], letter: [612, 792] } as const;
export type PaperName = keyof typeof papers;

/** Points in a millimetre. */
export const MM = 72 / 25.4;
const MARGIN = 15 * MM;
const LEADING = 1.3;
const INK = rgb(0, 0, 0);

/** The two cuts of the text face, as bytes of their files. */
export interface PaperFaces {
  readonly text: ArrayBuffer | Uint8Array;
  readonly bold: ArrayBuffer | Uint8Array;
}

/** Breaks a text into lines that fit; a word that is too long by itself is left to stick out. */
export function linesOf(text: string, width: number, measure: (text: string) => number): string[] {
  const lines: string[] = [];
  for (const word of text.split(/\s+/).filter(Boolean)) {
    const last = lines.at(-1);
    if (last !== undefined && measure(`${last} ${word}`) <= width) lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines;
}

interface TextWays {
  readonly size?: number;
  readonly bold?: boolean;
  /** Points from the left margin. */
  readonly indent?: number;
  readonly width?: number;
}

/** A paper that is written from the top down; a new page is begun where one is full. Black on white throughout. */
export class Paper {
  private page: PDFPage;
  private y: number;

  private constructor(
    readonly file: PDFDocument,
    private readonly fonts: { text: PDFFont; bold: PDFFont },
    private readonly paper: PaperName,
  ) {
    this.page = this.file.addPage([...papers[paper]]);
    this.y = this.height - MARGIN;
  }

  static async of(paper: PaperName, faces: PaperFaces, title: string): Promise<Paper> {
    const file = await PDFDocument.create();
    file.setTitle(title);
    file.registerFontkit(fontkit);
    const text = await file.embedFont(faces.text, { subset: true });
    const bold = await file.embedFont(faces.bold, { subset: true });
    return new Paper(file, { text, bold }, paper);
  }

  get width() {
    return papers[this.paper][0] - 2 * MARGIN;
  }

  get height() {
    return papers[this.paper][1];
  }

  /** Begins a new page where less than this is left, points. */
  room(points: number): void {
    if (this.y - points < MARGIN) this.turn();
  }

  turn(): void {
    this.page = this.file.addPage([...papers[this.paper]]);
    this.y = this.height - MARGIN;
  }

  text(text: string, { size = 14, bold = false, indent = 0, width = this.width - indent }: TextWays = {}): void {
    const font = bold ? this.fonts.bold : this.fonts.text;
    for (const line of linesOf(text, width, (one) => font.widthOfTextAtSize(one, size))) {
      this.room(size * LEADING);
      this.y -= size * LEADING;
      this.page.drawText(line, { x: MARGIN + indent, y: this.y, size, font, color: INK });
    }
  }

  /** A large numeral at the left, with its words beside it. */
  row(numeral: string, name: string, more: string): void {
    const [large, column] = [26, 122];
    this.room(large * 1.6);
    const top = this.y;
    this.page.drawText(numeral, { x: MARGIN, y: top - large, size: large, font: this.fonts.bold, color: INK });
    this.text(name, { bold: true, indent: column, size: 15 });
    if (more) this.text(more, { indent: column, size: 13 });
    this.y = Math.min(this.y, top - large * 1.15);
    this.gap(4);
  }

  /** Boxes to tick, a whole one for each and a narrower one for a part; several rows where they are many. */
  boxes(count: number, indent: number): void {
    const [size, space] = [15, 5];
    const across = Math.floor((this.width - indent + space) / (size + space));
    const whole = Math.ceil(count - 1e-9);
    for (let from = 0; from < whole; from += across) {
      this.room(size + space);
      this.y -= size;
      for (let i = from; i < Math.min(whole, from + across); i++)
        this.page.drawRectangle({
          x: MARGIN + indent + (i - from) * (size + space),
          y: this.y,
          width: size * Math.min(1, count - i),
          height: size,
          borderColor: INK,
          borderWidth: 1.2,
        });
      this.gap(space);
    }
  }

  /** A scale from nothing to its last mark, on which what went in is marked by hand. Marks that lie close are told in two rows. */
  scale(marks: readonly { readonly at: number; readonly words: string }[]): void {
    const [height, size] = [20, 11];
    this.room(height + 3 * size * LEADING);
    const most = Math.max(...marks.map(({ at }) => at)) * 1.02;
    this.y -= height;
    const { y } = this;
    this.page.drawRectangle({ x: MARGIN, y, width: this.width, height, borderColor: INK, borderWidth: 1.2 });
    marks.forEach(({ at, words }, i) => {
      const x = MARGIN + (this.width * at) / most;
      const low = y - (i % 2) * size * LEADING;
      this.page.drawLine({ start: { x, y: y + height }, end: { x, y: low - 4 }, thickness: 1.2, color: INK });
      const wide = this.fonts.text.widthOfTextAtSize(words, size);
      const left = Math.min(Math.max(MARGIN, x - wide / 2), MARGIN + this.width - wide);
      this.page.drawText(words, { x: left, y: low - size - 4, size, font: this.fonts.text, color: INK });
    });
    this.y = y - 2 * size * LEADING - 6;
  }

  /** Heads with a line each to write on. */
  blanks(heads: readonly string[]): void {
    const size = 12;
    const wide = this.width / Math.min(2, heads.length);
    heads.forEach((head, i) => {
      if (i % 2 === 0) {
        this.room(size * 2.2);
        this.y -= size * 2.2;
      }
      const x = MARGIN + (i % 2) * wide;
      const from = x + this.fonts.text.widthOfTextAtSize(`${head} `, size) + 4;
      this.page.drawText(head, { x, y: this.y, size, font: this.fonts.text, color: INK });
      this.page.drawLine({ start: { x: from, y: this.y - 2 }, end: { x: x + wide - 12, y: this.y - 2 }, thickness: 0.8, color: INK }); // prettier-ignore
    });
    this.gap(8);
  }

  /** A short head in a column of its own, and what it says beside it. */
  entry(head: string, text: string): void {
    const [size, column] = [11, 112];
    this.room(size * LEADING * 2);
    this.page.drawText(head, { x: MARGIN, y: this.y - size * LEADING, size, font: this.fonts.text, color: INK });
    this.text(text, { size, indent: column });
  }

  gap(points: number): void {
    this.y -= points;
  }

  /** Goes on below that height, where it is not there yet. */
  below(y: number): void {
    this.y = Math.min(this.y, y);
  }

  rule(): void {
    this.gap(6);
    const { y } = this;
    this.page.drawLine({ start: { x: MARGIN, y }, end: { x: MARGIN + this.width, y }, thickness: 0.8, color: INK });
    this.gap(6);
  }

  /** Where the next line begins, points from the foot. */
  get at(): number {
    return this.y;
  }

  /** The page at hand, for what is placed by hand. */
  get sheet(): PDFPage {
    return this.page;
  }

  get faces() {
    return this.fonts;
  }

  save(): Promise<Uint8Array> {
    return this.file.save();
  }
}
