import { computed, figure, line, requireNumber, type Figure } from '../../foundation/units/index.js';
import type { BatchMasses } from './batch.js';
import { sayDose, solidsOf, type DosePortion } from './dose.js';
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
  readonly words: string;
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
  readonly advice?: string;
}

function adviceFor(
  step: number,
  { liquid, spooned, stock }: { liquid: boolean; spooned: boolean; stock: StockDilution | undefined },
): string {
  const coarse = `A scale of ${step} g is too coarse for it`;
  if (liquid) return `${coarse}: measure it in mL, use a finer scale or a larger batch.`;
  if (spooned || !stock) return `${coarse}: use the level spoon, a finer scale or a larger batch.`;
  return `${coarse}: stir ${stock.powder} g of it into ${stock.water} mL of water and use ${stock.dose.toFixed(0)} mL of that; count its water.`;
}

/** A dose as a scale of that step (g) and a level spoon give it. @throws InputError on a step of nothing. */
export function weighDose({ dose, mass }: DosePortion, scaleStep: number, batch: BatchMasses): WeighedDose {
  requireNumber('scaleStep', scaleStep, 'The step of the scale', { above: 0, max: 1000, unit: 'g' });
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
    words: sayDose(dose),
    mass: figure(mass, 'g', computed, [
      line('Batch', batch.volume, 'mL'),
      line('Dose', undefined, undefined, sayDose(dose)),
      ...(liquid ? [line('Its solids', solidsOf(material) * 100, '%')] : []),
      line('In this batch', mass, 'g'),
      line(`On a scale of ${scaleStep} g`, onScale, 'g'),
    ]),
    onScale,
    scaleError,
    ...(liquid && { milliliters: mass / material.particle }),
    ...(!liquid && spoons <= MOST_SPOONS && { spoons, spoonError }),
    ...(stock && { stock }),
    ...(!fine && { advice: adviceFor(scaleStep, { liquid, spooned, stock }) }),
  };
}
