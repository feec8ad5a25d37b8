import { quantity } from '@dewpot/core/units';
import type { Speaker } from '@dewpot/locales';
import { defined } from '@dewpot/core/math';
import { rgb } from 'pdf-lib';
import { square } from './label-paper';
import { MM, Paper, papers, type PaperFaces, type PaperName } from './paper';

/** A cast's life as it is printed. Hours since the pour, masses g. */
export interface LifePaper {
  readonly code: string;
  readonly name: string;
  readonly told: string;
  readonly address: string;
  /** ms */
  readonly from: number;
  readonly weighings: readonly { readonly hour: number; readonly mass: number }[];
  readonly curve: readonly {
    readonly hour: number;
    readonly mass: number;
    readonly low: number;
    readonly high: number;
  }[];
  /** As it was to weigh dry by its mix. */
  readonly dry: number;
  readonly say: Speaker;
  readonly events: readonly { readonly at: string; readonly told: string }[];
}

const SQUARE = 24 * MM;
const MARGIN = 15 * MM;
const HEIGHT = 60 * MM;
const INK = rgb(0, 0, 0);
const GREY = rgb(0.55, 0.55, 0.55);

/** Weighings and their curve, drawn into the page. */
function drawDrying(paper: Paper, { weighings, curve, dry, say }: LifePaper, top: number): void {
  const page = paper.sheet;
  const { text } = paper.faces;
  const hours = [...weighings, ...curve].map(({ hour }) => hour);
  const masses = [dry, ...weighings.map(({ mass }) => mass), ...curve.flatMap(({ low, high }) => [low, high])];
  const [h0, h1] = [Math.min(...hours), Math.max(...hours)];
  const [m0, m1] = [Math.min(...masses), Math.max(...masses)];
  const x = (hour: number) => MARGIN + ((hour - h0) / Math.max(1, h1 - h0)) * paper.width;
  const y = (mass: number) => top - HEIGHT + ((mass - m0) / Math.max(1, m1 - m0)) * (HEIGHT - 14);
  const path = (of: 'low' | 'mass' | 'high', colour: typeof INK, thickness: number) =>
    curve.slice(1).forEach((point, i) => {
      const before = defined(curve[i]);
      page.drawLine({
        start: { x: x(before.hour), y: y(before[of]) },
        end: { x: x(point.hour), y: y(point[of]) },
        thickness,
        color: colour,
      });
    });
  path('low', GREY, 0.5);
  path('high', GREY, 0.5);
  path('mass', INK, 1.4);
  page.drawLine({
    start: { x: MARGIN, y: y(dry) },
    end: { x: MARGIN + paper.width, y: y(dry) },
    thickness: 0.5,
    color: GREY,
    dashArray: [2, 3],
  });
  for (const { hour, mass } of weighings)
    page.drawRectangle({ x: x(hour) - 1.8, y: y(mass) - 1.8, width: 3.6, height: 3.6, color: INK });
  page.drawText(say.quantity(m1, 'g'), { x: MARGIN, y: top - 8, size: 9, font: text, color: INK });
  page.drawText(say('paper.dryByMix', { dry: quantity(dry, 'g') }), {
    x: MARGIN,
    y: y(dry) + 3,
    size: 9,
    font: text,
    color: INK,
  });
}

/** A cast's whole life on paper: how it dried, and everything that happened to it. */
export async function lifePaper(
  life: LifePaper,
  { paper: name, faces }: { readonly paper: PaperName; readonly faces: PaperFaces },
): Promise<Uint8Array> {
  const paper = await Paper.of(name, faces, `${life.name}, ${life.code}`);
  const [width, height] = papers[name];
  square(paper.sheet, life.address, width - MARGIN - SQUARE, height - MARGIN - SQUARE, SQUARE);
  const column = paper.width - SQUARE - 8 * MM;
  paper.text(`${life.code} ${life.name}`, { size: 24, bold: true, width: column });
  paper.text(life.told, { size: 12, width: column });
  paper.gap(26);
  if (life.weighings.length > 0) {
    paper.text(life.say('paper.howItDried'), { size: 14, bold: true });
    paper.gap(4);
    drawDrying(paper, life, paper.at);
    paper.gap(HEIGHT + 10);
  }
  paper.text(life.say('paper.whatHappened'), { size: 14, bold: true });
  paper.gap(4);
  for (const { at, told } of life.events) paper.entry(at, told);
  return paper.save();
}
