import { listed, msg, quantity } from '@dewpot/core/units';
import { sayScoops } from '@dewpot/core/materials';
import type { Measure } from '@dewpot/core/measuring';
import type { BenchPart } from '@dewpot/core/planning';
import { alike, placingWords, type Bucketful, type Placing } from '@dewpot/core/pours';
import { castCode } from '@dewpot/core/casts';
import type { Speaker } from '@dewpot/locales';
import { tellMeasures } from '../ui/measuring-words';
import { minutesOf, stepTime } from '../ui/step-time';
import { square } from './label-paper';
import { MM, Paper, papers, type PaperFaces, type PaperName } from './paper';

/** What a sheet on paper tells beside its figures. */
export interface SheetWords {
  readonly title: string;
  /** What the square opens; none where the pour is not kept yet. */
  readonly address?: string;
  /** The pour's number, once it has one. */
  readonly number?: number;
  /** What to have in reach, and what weights the cores. */
  readonly layOut: readonly string[];
  readonly ballast: readonly string[];
}

type Card = ReturnType<typeof alike>[number];

const [SQUARE, MARGIN] = [26 * MM, 15 * MM];
/** Where what stands beside a numeral begins, points. */
const COLUMN = 122;

/** Measures as they are read at arm's length: 2 + ½, or grams. */
const largeMeasure = (measures: readonly Measure[], say: Speaker) =>
  measures.map((one) => (one.kind === 'scoop' ? sayScoops(one.count) : say.quantity(one.mass, 'g'))).join(' + ');

/** Every measure of a bucket, with a box for each scoop to tick. */
function measuresOf(paper: Paper, { one }: Card, say: Speaker): void {
  const { lines, doses, late } = one;
  for (const { name, mass, measures } of lines) {
    paper.row(
      largeMeasure(measures, say),
      name,
      `${say.quantity(mass.value, 'g')}: ${say.value(tellMeasures(measures))}`,
    );
    for (const measure of measures) paper.boxes(measure.kind === 'scoop' ? measure.count : 1, COLUMN);
    paper.gap(4);
  }
  for (const { name, onScale, words } of doses) {
    paper.row(say.quantity(onScale, 'g'), name, say(words));
    paper.boxes(1, COLUMN);
  }
  if (late.length > 0)
    paper.text(
      say('paper.atEnd', {
        late: listed(late.map(({ name, mass }) => msg('paper.lateDose', { mass: quantity(mass, 'g'), name }))),
      }),
    );
}

/** Its water, as a scale to mark. */
function waterOf(paper: Paper, { one: { water } }: Card, say: Speaker): void {
  const held = water.powderHeld;
  paper.text(
    held === undefined
      ? say('paper.waterSplashes', { first: quantity(water.first, 'mL'), splash: quantity(water.splash, 'mL') })
      : say('paper.waterAtOnce', { tap: quantity(water.tap.value, 'mL'), held: quantity(held, 'g') }),
    { size: 15, bold: true },
  );
  paper.gap(4);
  const marks = [
    ...(held === undefined
      ? [{ at: water.first, words: say('paper.markFirst', { first: quantity(water.first, 'mL') }) }]
      : []),
    { at: water.tap.value, words: say('paper.markAll', { tap: quantity(water.tap.value, 'mL') }) },
    { at: water.ceiling, words: say('paper.markMost', { ceiling: quantity(water.ceiling, 'mL') }) },
  ];
  paper.scale(marks.filter(({ at }) => at > 0));
}

/** How the moulds of a bucket are filled. */
function placingOf(paper: Paper, placings: readonly Placing[], { fillings }: Bucketful, say: Speaker): void {
  for (const { item, name, way, steps } of placings.filter(({ item: at }) => fillings.some((one) => one.item === at))) {
    const own = fillings.filter((one) => one.item === item);
    const told = own.map(({ copies, layer, each }) =>
      say('paper.fill', { copies: copies.length, layer: `${layer ?? 0}`, each: quantity(each, 'mL') }),
    );
    paper.text(`${name}: ${told.join('; ')} (${say.inline(placingWords[way])})`, { size: 14, bold: true });
    steps.forEach((step, i) => {
      const time = [step.tool, stepTime(step)]
        .map((one) => say.value(one ?? ''))
        .filter(Boolean)
        .join(', ');
      paper.text(`${i + 1}. ${say(step.text)}${time ? ` (${time})` : ''}`, { size: 12 });
    });
    paper.gap(4);
  }
}

const cautions = (paper: Paper, { sheet }: BenchPart, say: Speaker, ...at: string[]) => {
  for (const { step, text } of sheet.cautions) if (at.includes(step)) paper.text(`! ${say(text)}`, { size: 12 });
};

/** One page a bucket, or one for all that are alike: measured, mixed, placed, and what really went in. */
function bucketPage(paper: Paper, part: BenchPart, card: Card, say: Speaker): void {
  const { one, times } = card;
  const { at, tint, volume, wash, wait } = one;
  const which = say('paper.buckets', { times, at: at + 1, to: at + times });
  paper.text(`${tint ? `${say.value(tint.name)}: ` : ''}${which}, ${say.quantity(volume.value, 'mL')}`, {
    size: 18,
    bold: true,
  });
  if (wait)
    paper.text(
      say('paper.waitLayer', {
        from: minutesOf(wait.from.value * 60),
        to: minutesOf(wait.to.value * 60),
        test: wait.test,
      }),
    );
  if (wash) paper.text(say(wash));
  cautions(paper, part, say, 'measure');
  paper.gap(4);
  measuresOf(paper, card, say);
  paper.rule();
  cautions(paper, part, say, 'mix');
  waterOf(paper, card, say);
  paper.rule();
  cautions(paper, part, say, 'place');
  placingOf(paper, part.placings, one, say);
  cautions(paper, part, say, 'lift', 'clean');
  paper.blanks([say('paper.waterIn'), say('paper.temperature'), say('paper.consistencyMixed'), say('paper.leftOver')]);
}

/** The casts of a part by the codes that they will have, to be ticked as they are written on. */
function codesOf(parts: readonly BenchPart[], number: number): string[] {
  const count = parts.reduce((sum, { plan }) => sum + plan.items.reduce((all, item) => all + item.count, 0), 0);
  return Array.from({ length: count }, (_, i) => castCode(number, i));
}

/** The mixing sheet of a pour on paper: a page a bucket, legible at arm's length, to be ticked and written on. */
export async function sheetPaper(
  parts: readonly BenchPart[],
  { title, address, number, layOut, ballast }: SheetWords,
  { paper: name, faces, say }: { readonly paper: PaperName; readonly faces: PaperFaces; readonly say: Speaker },
): Promise<Uint8Array> {
  const paper = await Paper.of(name, faces, title);
  const [width, height] = papers[name];
  if (address) square(paper.sheet, address, width - MARGIN - SQUARE, height - MARGIN - SQUARE, SQUARE);
  const column = paper.width - (address ? SQUARE + 6 * MM : 0);
  paper.text(title, { size: 22, bold: true, width: column });
  paper.text(say('paper.inReach', { layOut: layOut.join('; ') }), { size: 12, width: column });
  for (const one of ballast) paper.text(one, { size: 12, width: column });
  if (number !== undefined)
    paper.text(say('paper.casts', { codes: codesOf(parts, number).join(', ') }), { size: 12, width: column });
  paper.below(height - MARGIN - SQUARE - 4);
  paper.rule();
  parts.forEach((part, i) => {
    alike(part.sheet.bucketfuls).forEach((card, n) => {
      if (i + n > 0) paper.turn();
      if (parts.length > 1) paper.text(part.mixName, { size: 20, bold: true });
      bucketPage(paper, part, card, say);
    });
  });
  return paper.save();
}
