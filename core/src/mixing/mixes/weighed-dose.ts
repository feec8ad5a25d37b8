import {
  computed,
  figure,
  line,
  requireNumber,
  type Figure,
  msg,
  quantity,
  exactly,
  type Message,
} from '../../foundation/units/index.js';
import type { BatchMasses } from './batch.js';
import { doseInWords, solidsOf, type DosePortion } from './dose.js';
import { stockFor, type StockDilution } from './stock-dilution.js';

/** A level spoon, mL. */
export const SPOON = 5;
const SPOON_STEP = 0.25;
/** Nobody counts more level spoons than this. */
const MOST_SPOONS = 10;
/** Mass of a level spoon of a powder of that loose density (kg/L), g. */
export const spoonMass = (bulk: number): number => SPOON * bulk;
/** Error of a dose from which it is told that it cannot be weighed so. */
const COARSE = 0.1;

/** A dose as it can be weighed or spooned out for one batch. */
export interface WeighedDose {
  readonly name: string;
  /** What it is of: "3 % of binder mass". */
  readonly words: Message;
  /** g, a liquid with its water. */
  readonly mass: Figure;
  /** On the caster's scale, g, and how far that is off, as a share. */
  readonly onScale: number;
  readonly scaleError: number;
  /** Level spoons of a powder, to the quarter and ten at most, and how far that is off; a liquid in mL of it. */
  readonly spoons?: number;
  readonly spoonError?: number;
  readonly milliliters?: number;
  /** Where scale and spoon are too coarse for a powder: a stock of it in water that was counted. */
  readonly stock?: StockDilution;
  /** Where the scale is too coarse for it. */
  readonly advice?: Message;
}

function adviceFor(
  step: number,
  { liquid, spooned, stock }: { liquid: boolean; spooned: boolean; stock: StockDilution | undefined },
): Message {
  const coarse = { step: exactly(step, 'g') };
  if (liquid) return msg('mixes.coarseMeasure', coarse);
  if (spooned || !stock) return msg('mixes.coarseSpoon', coarse);
  return msg('mixes.coarseStock', {
    ...coarse,
    powder: exactly(stock.powder, 'g'),
    water: exactly(stock.water, 'mL'),
    dose: quantity(stock.dose, 'mL', 0),
  });
}

/** A dose as a scale of that step (g) and a level spoon give it. @throws InputError on a step of nothing. */
export function weighDose({ dose, mass }: DosePortion, scaleStep: number, batch: BatchMasses): WeighedDose {
  requireNumber('scaleStep', scaleStep, msg('mixes.scaleStep'), { above: 0, max: 1000, unit: 'g' });
  const { material } = dose;
  const onScale = Math.round(mass / scaleStep) * scaleStep;
  const scaleError = onScale / mass - 1;
  const fine = Math.abs(scaleError) <= COARSE;
  const spoon = spoonMass(material.bulk);
  const spoons = Math.max(SPOON_STEP, Math.round(mass / spoon / SPOON_STEP) * SPOON_STEP);
  const liquid = solidsOf(material) < 1;
  const spoonError = (spoons * spoon) / mass - 1;
  const spooned = !liquid && spoons <= MOST_SPOONS && Math.abs(spoonError) <= COARSE;
  const stock = fine || liquid || spooned ? undefined : stockFor(mass, scaleStep);
  return {
    name: material.name,
    words: doseInWords(dose),
    mass: figure(mass, 'g', computed, [
      line(msg('mixes.batch'), batch.volume, 'mL'),
      line(msg('mixes.dose'), undefined, undefined, doseInWords(dose)),
      ...(liquid ? [line(msg('mixes.itsSolids'), solidsOf(material) * 100, '%')] : []),
      line(msg('mixes.inThisBatch'), mass, 'g'),
      line(msg('mixes.onScale', { scaleStep: exactly(scaleStep, 'g') }), onScale, 'g'),
    ]),
    onScale,
    scaleError,
    ...(liquid && { milliliters: mass / material.particle }),
    ...(!liquid && spoons <= MOST_SPOONS && { spoons, spoonError }),
    ...(stock && { stock }),
    ...(!fine && { advice: adviceFor(scaleStep, { liquid, spooned, stock }) }),
  };
}
