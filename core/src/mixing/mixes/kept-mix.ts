import type { BinderClass } from '../binders/index.js';
import { withMaterial, type FindMaterial } from '../materials/index.js';
import type { Dose } from './dose.js';
import type { Mix, MixTerms, PartsBy } from './mix.js';
import type { MixingWays } from './mixing-method.js';

/** A line of a recipe as it is kept: its material by its key. */
interface KeptLine {
  readonly materialId: string;
  readonly parts: number;
  readonly by?: PartsBy;
}

/** A dose as it is kept; its amount goes by the additive's kind. */
export interface KeptDose {
  readonly materialId: string;
  readonly amount: number;
}

/** A recipe as it is kept: its materials by their keys. */
export interface KeptRecipe extends MixTerms {
  readonly lines: readonly KeptLine[];
  readonly doses?: readonly KeptDose[];
}

/** A recipe with what its workshop knows of it. */
export interface KnownRecipe extends KeptRecipe {
  readonly binderClass: BinderClass;
  /** Days. */
  readonly moistCuringDays: number;
  /** How it looks cured and dry, #rrggbb; `colourCalculated` where nobody has seen it. */
  readonly colour: string;
  readonly colourCalculated?: boolean;
  readonly ways?: MixingWays;
  /** What it is not for, in the caster's words. */
  readonly unfit?: string;
}

/** A mix of a workshop as a plan needs it. */
export interface KeptMix extends KnownRecipe {
  readonly id: string;
  readonly name: string;
  /** Which version of the recipe it is. */
  readonly revision: number;
}

/** Doses with their materials; those whose material is gone are left out. */
export const dosesOf = (doses: readonly KeptDose[], find: FindMaterial): Dose[] =>
  withMaterial(doses, find, (material, { amount }) => ({ material, amount }));

/** A recipe with its materials in place of their keys; lines and doses whose material is gone are left out. */
export const mixOf = (recipe: KeptRecipe, find: FindMaterial): Mix => ({
  lines: withMaterial(recipe.lines, find, (material, { parts, by }) => ({ material, parts, ...(by && { by }) })),
  doses: dosesOf(recipe.doses ?? [], find),
  by: recipe.by,
  grade: recipe.grade,
  exposure: recipe.exposure,
  ...(recipe.packed !== undefined && { packed: recipe.packed }),
  ...(recipe.limeCounts && { limeCounts: true }),
  ...(recipe.times && { times: recipe.times }),
});
