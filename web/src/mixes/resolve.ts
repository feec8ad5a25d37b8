import { conditionsOf, lessonsOf, type Material, type Mix, type MixConditions, type MixLessons } from '@dewpot/core';
import type { MaterialView, MixBody, MixInput, MixView, PourView, StoresView } from '@dewpot/contract';

/** A recipe with its materials in place of their keys; lines and doses whose material is gone are left out. */
export function resolveMix(mix: MixBody, materials: readonly MaterialView[]): Mix {
  const find = (id: string): Material[] => {
    const found = materials.find((material) => material.id === id);
    if (!found) return [];
    const { version: _, ...material } = found;
    return [material];
  };
  return {
    lines: mix.lines.flatMap(({ materialId, parts, by }) =>
      find(materialId).map((material) => ({ material, parts, ...(by && { by }) })),
    ),
    doses: (mix.doses ?? []).flatMap(({ materialId, amount }) =>
      find(materialId).map((material) => ({ material, amount })),
    ),
    by: mix.by,
    grade: mix.grade,
    exposure: mix.exposure,
    packed: mix.packed,
    ...(mix.limeCounts && { limeCounts: true }),
  };
}

/** A recipe as it is kept, from one with its materials. What `mix` says beside its lines stays. */
export function withRecipe<T extends MixInput>(mix: T, { lines, doses = [], by }: Mix): T {
  return {
    ...mix,
    by,
    lines: lines.map(({ material, parts, by: own }) => ({ materialId: material.id, parts, ...(own && { by: own }) })),
    doses: doses.map(({ material, amount }) => ({ materialId: material.id, amount })),
  };
}

/** What the pours of a mix have taught. */
export function lessonsFor(mixId: string | undefined, pours: readonly PourView[]): MixLessons {
  const own = pours.filter(({ input, status }) => status === 'finished' && input.mixId === mixId);
  return lessonsOf(own.flatMap(({ plan, log }) => (log ? [{ plan, log }] : [])));
}

/** What is known beside a recipe: the store, what its pours taught, the time. */
export interface Known {
  readonly stores: StoresView;
  readonly lessons: MixLessons;
  readonly now: number;
}

/** The conditions under which a recipe is reckoned in this workshop. */
export const conditionsFor = (mix: Mix, dampDays: number, { stores, lessons, now }: Known): MixConditions =>
  conditionsOf(mix, { dampDays, lots: stores.lots, lessons, now });

/** A kept mix with its materials, and the conditions that it is reckoned under. */
export function keptMix(
  view: MixView,
  { stores, pours, now }: { readonly stores: StoresView; readonly pours: readonly PourView[]; readonly now: number },
): { mix: Mix; conditions: MixConditions } {
  const mix = resolveMix(view, stores.materials);
  const known = { stores, lessons: lessonsFor(view.id, pours), now };
  return { mix, conditions: conditionsFor(mix, view.dampDays, known) };
}
