import { compareMeans, type MeansCompared } from './compare-means.js';
import type { Confounded, WayGroup } from './confounding.js';
import { valuesAt, type FindingColumns } from './finding-columns.js';
import { measures, type Measure } from './finding-record.js';
import { FEWEST } from './verdict.js';

/** Two ways by what was measured of their casts: the smaller mean is better. */
export interface WaysMeasured extends MeansCompared {
  readonly measure: Measure;
  readonly a: { readonly way: string; readonly casts: number };
  readonly b: { readonly way: string; readonly casts: number };
  readonly confounded: readonly Confounded[];
}

/** What is the better the smaller it is: of a mass, how far off what was expected it is, as a share. */
const offOf = (measure: Measure, value: number): number => (measure === 'mass' ? Math.abs(value - 1) : value);

/** Every pair of ways by every measure of which both have enough casts. Handbook 20, "Two ways". */
export function measuredPairs(
  groups: readonly WayGroup[],
  columns: FindingColumns['measured'],
  confounded: (a: WayGroup, b: WayGroup) => readonly Confounded[],
): WaysMeasured[] {
  return measures.flatMap((measure) => {
    const known = groups
      .map((group) => ({ group, values: valuesAt(columns[measure], group.rows).map((value) => offOf(measure, value)) }))
      .filter(({ values }) => values.length >= FEWEST);
    return known.flatMap((a, i) =>
      known.slice(i + 1).map((b) => ({
        measure,
        a: { way: a.group.way, casts: a.values.length },
        b: { way: b.group.way, casts: b.values.length },
        ...compareMeans(a.values, b.values),
        confounded: confounded(a.group, b.group),
      })),
    );
  });
}
