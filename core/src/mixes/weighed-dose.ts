import { computed, figure, line, requireNumber, type Figure } from '../units/index.js';
import { colours } from './additives.js';
import type { BatchMasses } from './batch.js';
import { sayDose, solidsOf, type DosePortion } from './dose.js';

/** A level spoon, mL. */
export const SPOON = 5;
const SPOON_STEP = 0.25;
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
  /** Level spoons of a powder, to the quarter, and how far that is off; a liquid in mL of it. */
  readonly spoons?: number;
  readonly spoonError?: number;
  readonly milliliters?: number;
  /** Where the scale is too coarse for it. */
  readonly advice?: string;
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
    ...(liquid ? { milliliters: mass / material.particle } : { spoons, spoonError: (spoons * spoon) / mass - 1 }),
    ...(!fine && {
      advice: `A scale of ${scaleStep} g is too coarse for it: use a finer one, a larger batch, or ${
        colours.includes(material.additive!)
          ? 'stir a weighed amount into counted water and measure that'
          : 'level spoons'
      }.`,
    }),
  };
}
