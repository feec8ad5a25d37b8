import type { Solid } from './solid.js';

/** A size of a solid by the name of its field; undefined where its kind has none of that name. */
export function sizeNamed(solid: Solid, field: string): number | undefined {
  const found: unknown = Object.entries(solid).find(([name]) => name === field)?.[1];
  return typeof found === 'number' ? found : undefined;
}
