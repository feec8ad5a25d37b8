import { leftOver, regionArea, type LeftOver } from '../solids/index.js';
import { regionAt, type Cavity } from './cavity.js';

/** What the mix takes at height `z`: the outer less the union of what stands in it. */
export function sectionOf({ outer, cores, inserts }: Cavity, z: number): LeftOver {
  return leftOver(
    regionAt(outer, z),
    [...cores, ...inserts].map((blank) => regionAt(blank, z)),
  );
}

/** Area that the cores alone, or all blanks, take of the outer at height `z`, mm². */
export function displacedAt({ outer, cores, inserts }: Cavity, which: 'cores' | 'all', z: number): number {
  const around = regionAt(outer, z);
  const set = which === 'cores' ? cores : [...cores, ...inserts];
  const regions = set.map((blank) => regionAt(blank, z));
  return regionArea(around) - leftOver(around, regions).area;
}
