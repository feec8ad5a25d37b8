import type { Mix } from '@dewpot/core';
import type { MaterialView, MixInput, MixView } from '@dewpot/contract';

export type MixBody = Omit<MixInput, 'version' | 'name'> | Omit<MixView, 'id' | 'version' | 'name'>;

/** A recipe with its materials in place of their keys; lines whose material is gone are left out. */
export function resolveMix(mix: MixBody, materials: readonly MaterialView[]): Mix {
  const lines = mix.lines.flatMap(({ materialId, parts }) => {
    const found = materials.find(({ id }) => id === materialId);
    if (!found) return [];
    const { version: _, ...material } = found;
    return [{ material, parts }];
  });
  return { lines, by: mix.by, grade: mix.grade, exposure: mix.exposure, packed: mix.packed };
}
