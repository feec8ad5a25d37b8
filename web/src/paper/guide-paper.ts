import { Paper, type PaperFaces, type PaperName } from './paper';

/** The guide as it is printed. */
export interface GuideBook {
  readonly title: string;
  readonly chapters: readonly {
    readonly title: string;
    readonly about: string;
    readonly sections: readonly { readonly title: string; readonly lines: readonly string[] }[];
  }[];
}

/** Room that a heading takes with the first lines below it, points. */
const HEAD = 70;

/** The guide as a book: a page of contents, and each chapter on pages of its own. */
export async function guidePaper(
  { title, chapters }: GuideBook,
  { paper: name, faces }: { readonly paper: PaperName; readonly faces: PaperFaces },
): Promise<Uint8Array> {
  const paper = await Paper.of(name, faces, title);
  paper.text(title, { size: 30, bold: true });
  paper.gap(20);
  chapters.forEach((chapter, i) => paper.text(`${i + 1}. ${chapter.title}`, { size: 15 }));
  for (const chapter of chapters) {
    paper.turn();
    paper.text(chapter.title, { size: 24, bold: true });
    paper.gap(4);
    paper.text(chapter.about, { size: 12.5 });
    for (const section of chapter.sections) {
      paper.gap(12);
      paper.room(HEAD);
      paper.text(section.title, { size: 15, bold: true });
      paper.gap(2);
      section.lines.forEach((line) => paper.text(line, { size: 12 }));
    }
  }
  return paper.save();
}
