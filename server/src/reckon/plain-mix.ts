import {
  handbookMaterial,
  massesPerPart,
  sizeToVolume,
  type BatchMasses,
  type Mix,
  type MixConditions,
  type Scoop,
} from '@dewpot/core';
import type { BatchQuestion, MixQuestion } from '@dewpot/contract';

const WEEK = 7;

/** A material of the handbook, its key as its id. */
export const plainMaterial = (key: string) => {
  const { key: id, ...rest } = handbookMaterial(key);
  return { ...rest, id };
};

/** The mix of a question, its materials from the handbook. */
export function plainMix({ lines, doses = [], by, grade, exposure, packed, limeCounts }: MixQuestion): Mix {
  return {
    lines: lines.map(({ material, ...line }) => ({ ...line, material: plainMaterial(material) })),
    doses: doses.map(({ material, amount }) => ({ material: plainMaterial(material), amount })),
    by,
    grade,
    exposure,
    ...(packed !== undefined && { packed }),
    ...(limeCounts !== undefined && { limeCounts }),
  };
}

/** The conditions of a question: a week's damp cure where nothing is said. */
export const plainConditions = ({ dampDays = WEEK, cementMonths }: MixQuestion): MixConditions => ({
  dampDays,
  ...(cementMonths !== undefined && { cementMonths }),
});

/** The batch that a question is about. @throws InputError */
export const plainBatch = ({ mix, volume }: Pick<BatchQuestion, 'mix' | 'volume'>): BatchMasses =>
  sizeToVolume(massesPerPart(plainMix(mix), plainConditions(mix)), volume);

/** The scoops of a question, by their volumes, mL. */
export const plainScoops = (volumes: readonly number[]): Scoop[] =>
  volumes.map((volume, i) => ({ id: String(i), name: `Scoop ${i + 1}`, volume }));
