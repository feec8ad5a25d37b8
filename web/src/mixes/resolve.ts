import { finderOf } from '@dewpot/core/materials';
import { InputError } from '@dewpot/core/units';
import { calculateMix, mixOf, type Mix, type MixConditions, type MixFigures } from '@dewpot/core/mixes';
import { lessonsFor } from '@dewpot/core/planning';
import { conditionsOf, type MixLessons } from '@dewpot/core/pours';
import type { MaterialView, MixBody, MixInput, MixView, PastPoursView, StoreView } from '@dewpot/contract';

/** A recipe with its materials in place of their keys; lines and doses whose material is gone are left out. */
export const resolveMix = (mix: MixBody, materials: readonly MaterialView[]): Mix => mixOf(mix, finderOf(materials));

/** A recipe as it is kept, from one with its materials. What `mix` says beside its lines stays. */
export function withRecipe<T extends MixInput>(mix: T, { lines, doses = [], by }: Mix): T {
  return {
    ...mix,
    by,
    lines: lines.map(({ material, parts, by: own }) => ({ materialId: material.id, parts, ...(own && { by: own }) })),
    doses: doses.map(({ material, amount }) => ({ materialId: material.id, amount })),
  };
}

/** What is known beside a recipe: the store, what its pours taught, the time. */
export interface MixKnowledge {
  readonly store: StoreView;
  readonly lessons: MixLessons;
  readonly now: number;
}

/** The conditions under which a recipe is calculated in this workshop. */
export const conditionsFor = (
  mix: Mix,
  moistCuringDays: number,
  { store, lessons, now }: MixKnowledge,
): MixConditions => conditionsOf(mix, { moistCuringDays, lots: store.lots, lessons, now });

/** A kept mix with its materials, and the conditions that it is calculated under. */
export function keptMix(
  view: MixView,
  { store, past, now }: { readonly store: StoreView; readonly past: PastPoursView; readonly now: number },
): { mix: Mix; conditions: MixConditions } {
  const mix = resolveMix(view, store.materials);
  const known = { store, lessons: lessonsFor(view.id, past.lessons), now };
  return { mix, conditions: conditionsFor(mix, view.moistCuringDays, known) };
}

/** What a kept mix comes to; undefined where it cannot be mixed, as when a material of it is gone. */
export function calculatedMix(
  view: MixView,
  sources: { readonly store: StoreView; readonly past: PastPoursView },
  now: number,
): MixFigures | undefined {
  try {
    const { mix, conditions } = keptMix(view, { ...sources, now });
    return calculateMix(mix, conditions);
  } catch (error) {
    if (error instanceof InputError) return undefined;
    throw error;
  }
}
