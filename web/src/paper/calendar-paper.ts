import type { Speaker } from '@dewpot/locales';
import { Paper, type PaperFaces, type PaperName } from './paper';

/** A day of a plan as it is printed. */
export interface PaperDay {
  readonly day: string;
  readonly entries: readonly { readonly at: string; readonly told: string }[];
}

/** A plan on paper, day by day, each thing with a box to tick. */
export async function calendarPaper(
  days: readonly PaperDay[],
  { paper: name, faces, say }: { readonly paper: PaperName; readonly faces: PaperFaces; readonly say: Speaker },
): Promise<Uint8Array> {
  const paper = await Paper.of(name, faces, say('paper.calendarTitle'));
  paper.text(say('paper.calendarTitle'), { size: 24, bold: true });
  paper.gap(6);
  if (days.length === 0) paper.text(say('paper.calendarEmpty'));
  for (const { day, entries } of days) {
    paper.room(60);
    paper.gap(8);
    paper.text(day, { size: 16, bold: true });
    for (const { at, told } of entries) paper.entry(at, told);
  }
  return paper.save();
}
