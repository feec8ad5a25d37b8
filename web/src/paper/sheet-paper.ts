import { alike, sayScoops, type Bucketful, type Measure, type ReckonedPart } from '@dewpot/core';
import type { PourPart } from '@dewpot/contract';
import { sayMeasures } from '../ui/measuring-words';
import { Paper, type Faces, type PaperName } from './paper';

/** Says a quantity as the workshop does. */
export type Say = (value: number, unit: 'g' | 'mL' | 'mm') => string;

type Part = PourPart & ReckonedPart;

/** Height of a card's head and of each of its rows, points. */
const [HEAD, ROW] = [100, 46];

/** Measures as they are read at arm's length: 2 + ½, or grams. */
const largeMeasure = (measures: readonly Measure[], say: Say) =>
  measures.map((one) => (one.kind === 'scoop' ? sayScoops(one.count) : say(one.mass, 'g'))).join(' + ');

/** What goes into one bucket, its water, and what it fills. */
function bucketCard(paper: Paper, { one, times }: { one: Bucketful; times: number }, say: Say): void {
  const { at, tint, lines, doses, late, water, fillings, volume, wash, wait } = one;
  const which = times > 1 ? `Buckets ${at + 1} to ${at + times}, each` : `Bucket ${at + 1}`;
  // A card is kept whole, where a page can hold it.
  paper.room(Math.min(600, HEAD + ROW * (lines.length + doses.length + 1) + fillings.length * 20));
  paper.text(`${tint ? `${tint.name}: ` : ''}${which}, ${say(volume.value, 'mL')}`, { size: 18, bold: true });
  if (wait) {
    const [from, to] = [wait.from.value, wait.to.value].map((hours) => (Math.round(hours * 10) / 10).toString());
    paper.text(`Wait ${from} to ${to} h after the layer below: ${wait.test}.`);
  }
  if (wash) paper.text(wash);
  paper.gap(4);
  for (const { name, mass, measures } of lines)
    paper.row(
      largeMeasure(measures, say),
      name,
      `${say(mass.value, 'g')}: ${sayMeasures(measures, (one) => say(one, 'g'))}`,
    );
  for (const { name, onScale, words } of doses) paper.row(say(onScale, 'g'), name, words);
  if (late.length > 0)
    paper.text(`At the end: ${late.map(({ name, mass }) => `${say(mass, 'g')} ${name.toLowerCase()}`).join(', ')}`);
  paper.row(
    say(water.first, 'mL'),
    `Water at once, of ${say(water.tap.value, 'mL')}`,
    water.powderHeld === undefined
      ? `then splashes of ${say(water.splash, 'mL')}; no more than ${say(water.ceiling, 'mL')}`
      : `hold back ${say(water.powderHeld, 'g')} of the powder`,
  );
  for (const { name, copies, layer, each } of fillings)
    paper.text(`${copies.length} × ${name}${layer ? `, layer ${layer}` : ''}: ${say(each, 'mL')} each`);
  paper.rule();
}

/** The mixing sheet of a pour: its buckets as cards to be read at arm's length. */
export async function sheetPaper(
  parts: readonly Part[],
  title: string,
  { paper: name, faces, say }: { readonly paper: PaperName; readonly faces: Faces; readonly say: Say },
): Promise<Uint8Array> {
  const paper = await Paper.of(name, faces, title);
  paper.text(title, { size: 22, bold: true });
  paper.rule();
  for (const { mixName, sheet } of parts) {
    if (parts.length > 1) paper.text(mixName, { size: 20, bold: true });
    for (const { text, step } of sheet.cautions)
      if (step === 'measure' || step === 'mix') paper.text(text, { size: 11 });
    paper.gap(6);
    for (const card of alike(sheet.bucketfuls)) bucketCard(paper, card, say);
    for (const { count, name: piece, fresh, dry } of sheet.pieces)
      paper.text(`${count} × ${piece}: ${say(fresh.value, 'g')} fresh, ${say(dry.value, 'g')} dry`, { size: 12 });
    paper.gap(10);
  }
  return paper.save();
}
