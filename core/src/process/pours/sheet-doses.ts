import { weighDose, type BatchMasses, type WeighedDose } from '../../mixing/mixes/index.js';
import { KITCHEN_SCALE, type PourPlan } from './plan.js';

/** A dose of one batch, by its material. */
export interface SheetDose extends WeighedDose {
  readonly materialId: string;
}

/** The doses of one batch on the caster's own scale. */
export const sheetDoses = ({ scaleStep = KITCHEN_SCALE }: PourPlan, batch: BatchMasses): SheetDose[] =>
  batch.doses.map((portion) => ({
    materialId: portion.dose.material.id,
    ...weighDose(portion, scaleStep, batch),
  }));
