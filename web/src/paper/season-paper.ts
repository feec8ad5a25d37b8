import { pieceView, type MouldShape } from '@dewpot/core/moulds';
import { defined } from '@dewpot/core/math';
import type { Season } from '@dewpot/core/money';
import type { Speaker } from '@dewpot/locales';
import { rgb } from 'pdf-lib';
import { monthInWords } from '../ui/month-words';
import { bodyPath, rimPaths } from '../ui/piece-path';
import { MM, Paper, type PaperFaces, type PaperName } from './paper';

/** A season as it is printed, with the moulds of which its pieces are drawn. */
export interface SeasonPaper {
  readonly season: Season;
  readonly moulds: readonly { readonly id: string; readonly shape: MouldShape }[];
}

const ACROSS = 4;
const TALL = 42 * MM;
const BOX = 26 * MM;
const MARGIN = 15 * MM;
const INK = rgb(0, 0, 0);
const PALE = rgb(0.93, 0.92, 0.89);

/** Pieces of each mould, drawn as they stand, with how many there were and how many were good. */
function drawPieces(paper: Paper, { season, moulds }: SeasonPaper, say: Speaker): void {
  const shown = season.moulds.flatMap((one) => moulds.filter(({ id }) => id === one.mouldId).map(({ shape }) => ({ ...one, view: pieceView(shape) })));
  const wide = paper.width / ACROSS;
  shown.forEach(({ mould, casts, seen, good, view }, i) => {
    if (i % ACROSS === 0) {
      if (i > 0) paper.gap(TALL);
      paper.room(TALL);
    }
    const scale = Math.min((wide - 14) / view.width, BOX / (view.height + view.depth));
    const [x, y] = [MARGIN + (i % ACROSS) * wide, paper.at - BOX];
    const place = { x: x + (wide - 10) / 2, y, borderColor: INK, borderWidth: 0.8 };
    const { face, openings } = rimPaths(view, scale);
    paper.sheet.drawSvgPath(bodyPath(view, scale), { ...place, color: PALE });
    for (const path of [face, openings]) if (path) paper.sheet.drawSvgPath(path, place);
    const told = [mould.slice(0, 26), say('money.piecesGood', { casts, seen, good })];
    told.forEach((line, n) => paper.sheet.drawText(line, { x, y: y - 14 - n * 11, size: 9, font: paper.faces.text }));
  });
  if (shown.length > 0) paper.gap(TALL);
} // prettier-ignore

/** The report of a season: its figures, its pieces as drawings, month by month, and what its mixes and materials were. */
export async function seasonPaper(
  told: SeasonPaper,
  { paper: name, faces, say }: { readonly paper: PaperName; readonly faces: PaperFaces; readonly say: Speaker },
): Promise<Uint8Array> {
  const { season } = told;
  const paper = await Paper.of(name, faces, say('money.report'));
  const { total, months, mixes, materials, stockValue } = season;
  const money = (value: number) => say.quantity(value, 'money');
  const [first, last] = [defined(months[0]), defined(months.at(-1))];
  paper.text(say('money.report'), { size: 24, bold: true });
  paper.text(say('money.fromTo', { from: monthInWords(first.month), to: monthInWords(last.month) }), { size: 12 });
  paper.gap(8);
  paper.row(
    String(total.casts),
    say('money.pieces'),
    say('money.piecesGood', { casts: total.casts, seen: total.seen, good: total.good }),
  );
  paper.row(say.quantity(total.mass, 'g'), say('money.madeInAll'), say('money.asFresh'));
  paper.row(money(total.spent), say('money.spent'), say('money.wastedOf', { wasted: money(total.wasted) }));
  if (total.sold > 0) paper.row(money(total.income), say('money.income'), say('money.soldOnes', { sold: total.sold }));
  paper.row(money(stockValue), say('money.stock'), say('money.atItsPrice'));
  paper.rule();
  drawPieces(paper, told, say);
  paper.rule();
  for (const { month, casts, seen, good, spent, wasted } of months)
    paper.entry(say.value(monthInWords(month)), say('money.monthTold', { casts, seen, good, spent: money(spent), wasted: money(wasted) })); // prettier-ignore
  paper.rule();
  for (const { mix, casts, mass } of mixes) paper.entry(say.quantity(mass, 'g'), say('money.mixTold', { mix, casts }));
  paper.rule();
  for (const { material, mass, cost } of materials)
    paper.entry(money(cost), say('money.materialTold', { material, mass: say.quantity(mass, 'g') }));
  return paper.save();
}
