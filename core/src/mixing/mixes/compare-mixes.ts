import { requireNumber, type Unit } from '../../foundation/units/index.js';
import type { BinderClass } from '../binders/index.js';
import type { Lot } from '../materials/index.js';
import type { MixConditions } from './batch.js';
import { calculateMix } from './calculate-mix.js';
import { costPerLitre } from './cost.js';
import type { Mix } from './mix.js';
import { potLifeAndSet } from './pot-life.js';

/** A mix as it is compared. */
export interface Compared {
  readonly name: string;
  readonly mix: Mix;
  readonly binderClass: BinderClass;
  readonly conditions: MixConditions;
}

/** One property of several mixes, in their order; undefined where it is not known. */
export interface ComparedRow {
  readonly key: 'fresh' | 'dry' | 'strength' | 'ratio' | 'water' | 'set' | 'cost' | 'piece';
  readonly label: string;
  readonly unit: Unit;
  readonly values: readonly (number | undefined)[];
}

/** Most mixes side by side. */
const MOST_COMPARED = 4;

/** What mixes are compared by: the air at the bench in °C, the lots, and the volume of one piece in mL. */
export interface CompareBy {
  readonly temperature: number;
  readonly lots: readonly Lot[];
  readonly volume: number;
}

/**
 * Mixes side by side: densities, strength, water, cost of a litre, initial set and the dry mass of one piece.
 * @throws InputError on none or more than four, or on one that cannot be mixed.
 */
export function compareMixes(mixes: readonly Compared[], { temperature, lots, volume }: CompareBy): ComparedRow[] {
  requireNumber('mixes', mixes.length, 'The number of mixes', { min: 1, max: MOST_COMPARED });
  requireNumber('volume', volume, 'The volume of the piece', { above: 0, max: 1e6, unit: 'mL' });
  const all = mixes.map(({ mix, binderClass, conditions }) => ({
    ...calculateMix(mix, conditions),
    set: potLifeAndSet(mix, binderClass, temperature).initialSet.value,
  }));
  const row = (
    key: ComparedRow['key'],
    label: string,
    unit: Unit,
    of: (one: (typeof all)[number]) => number | undefined,
  ): ComparedRow => ({ key, label, unit, values: all.map(of) });
  return [
    row('dry', 'Dry density', 'kg/L', ({ dryDensity }) => dryDensity.value),
    row('fresh', 'Fresh density', 'kg/L', ({ freshDensity }) => freshDensity.value),
    row('strength', 'Strength at 28 days', 'MPa', ({ strength }) => strength.value),
    row('ratio', 'Water–cement ratio', 'ratio', ({ ratio }) => ratio.value),
    row('water', 'Water in a litre', 'g', ({ perPart }) => (perPart.totalWater / perPart.volume) * 1000),
    row('set', 'Initial set', 'h', ({ set }) => set),
    row('cost', 'A litre costs', 'money', ({ perPart }) => costPerLitre(perPart, lots)?.value),
    row('piece', 'The piece, dry', 'g', ({ dryDensity }) => dryDensity.value * volume),
  ];
}
