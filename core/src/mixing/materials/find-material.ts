import type { Material } from './material.js';

/** Finds a material by its key; what it does not find is left out of what is made. */
export type FindMaterial = (id: string) => Material | undefined;

/** A finder among materials, which leaves their versions behind. */
export function finderOf(materials: readonly (Material & { readonly version?: number })[]): FindMaterial {
  const known = new Map(materials.map(({ version: _, ...material }) => [material.id, material]));
  return (id) => known.get(id);
}

/** Makes something of each row with its material; rows whose material is gone are left out. */
export const withMaterial = <T extends { readonly materialId: string }, U>(
  rows: readonly T[],
  find: FindMaterial,
  make: (material: Material, row: T) => U,
): U[] =>
  rows.flatMap((row) => {
    const material = find(row.materialId);
    return material ? [make(material, row)] : [];
  });
