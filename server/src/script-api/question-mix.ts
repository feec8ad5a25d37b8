import { InputError, msg, listed } from '@dewpot/core/units';
import {
  checkMaterial,
  handbookMaterials,
  type HandbookMaterial,
  type Material,
  type Scoop,
} from '@dewpot/core/materials';
import {
  checkMix,
  massesPerPart,
  sizeToVolume,
  type BatchMasses,
  type Mix,
  type MixConditions,
} from '@dewpot/core/mixes';
import type { BatchQuestion, MixQuestion, QuestionMaterial } from '@dewpot/contract';

import { nameOf } from './names.js';

const WEEK = 7;

/** Materials of the handbook by their keys, which are their ids. */
const handbook: ReadonlyMap<string, HandbookMaterial> = new Map(handbookMaterials.map((one) => [one.key, one]));

/** A material of the handbook with its name in the question's language; undefined where there is none. */
function ofHandbook(key: string): Material | undefined {
  const found = handbook.get(key);
  return found && { ...found, id: key, name: nameOf(found.name) };
}

/** What a material of one's own has where its question says nothing. */
const unsaid = { kind: 'aggregate', bulking: 'none', absorption: 0, demand: 0, largestGrain: 0 } as const;

/** A material that came with a question. @throws InputError where a figure that it needs is missing, or cannot be */
function givenMaterial({ key, like = key, ...figures }: QuestionMaterial, at: number): Material {
  const { bulk = NaN, particle = NaN, ...rest } = { ...unsaid, ...ofHandbook(like), ...figures };
  const material: Material = { ...rest, bulk, particle, name: rest.name ?? key, id: key };
  checkMaterial(material, `materials.${at}`);
  return material;
}

/** Finds the materials of a question by their keys: those that came with it, then the handbook's. */
export type MaterialFinder = (key: string, field: string) => Material;

/** @throws InputError where a material that came with the question cannot be; the finder, where nothing has that key */
export function materialFinder(given: readonly QuestionMaterial[] = []): MaterialFinder {
  const own = new Map(given.map((one, i) => [one.key, givenMaterial(one, i)]));
  return (key, field) => {
    const found = own.get(key) ?? ofHandbook(key);
    if (found) return found;
    throw new InputError([
      {
        field,
        value: key,
        message: msg('server.unknownMaterial', { key }),
        remedy: msg('server.nameMaterial', { value: listed([...handbook.keys()]) }),
      },
    ]);
  };
}

/** The mix of a question, its materials from the question and the handbook. @throws InputError */
export function plainMix({ lines, doses = [], materials, ...mix }: MixQuestion): Mix {
  const { by, grade, exposure, packed, limeCounts, times } = mix;
  const find = materialFinder(materials);
  return {
    lines: lines.map(({ material, ...line }, i) => ({ ...line, material: find(material, `lines.${i}.material`) })),
    doses: doses.map(({ material, amount }, i) => ({ material: find(material, `doses.${i}.material`), amount })),
    by,
    grade,
    exposure,
    ...(packed !== undefined && { packed }),
    ...(limeCounts !== undefined && { limeCounts }),
    ...(times && { times }),
  };
}

/** The conditions of a question: a week's moist curing where nothing is said. */
export const plainConditions = ({ moistCuringDays = WEEK, cementMonths, ratio }: MixQuestion): MixConditions => ({
  moistCuringDays,
  ...(cementMonths !== undefined && { cementMonths }),
  ...(ratio !== undefined && { ratio }),
});

/** The mix of a question, which can be mixed. @throws InputError */
export function checkedMix(question: MixQuestion): Mix {
  const mix = plainMix(question);
  checkMix(mix);
  return mix;
}

/** The batch that a question is about. @throws InputError */
export const plainBatch = (
  { mix: question, volume }: Pick<BatchQuestion, 'mix' | 'volume'>,
  mix = plainMix(question),
): BatchMasses => sizeToVolume(massesPerPart(mix, plainConditions(question)), volume);

/** The scoops of a question, by their volumes, mL. */
export const plainScoops = (volumes: readonly number[]): Scoop[] =>
  volumes.map((volume, i) => ({ id: String(i), name: nameOf(msg('server.scoopNumber', { i: i + 1 })), volume }));
