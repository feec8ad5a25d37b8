import { requireNumber, type Unit, msg, type Message } from '../../foundation/units/index.js';
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
  readonly label: Message;
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
  requireNumber('mixes', mixes.length, msg('mixes.mixCount'), { min: 1, max: MOST_COMPARED });
  requireNumber('volume', volume, msg('mixes.pieceVolume'), { above: 0, max: 1e6, unit: 'mL' });
  const all = mixes.map(({ mix, binderClass, conditions }) => ({
    ...calculateMix(mix, conditions),
    set: potLifeAndSet(mix, binderClass, temperature).initialSet.value,
  }));
  const row = (
    key: ComparedRow['key'],
    label: Message,
    unit: Unit,
    of: (one: (typeof all)[number]) => number | undefined,
  ): ComparedRow => ({ key, label, unit, values: all.map(of) });
  return [
    row('dry', msg('mixes.dryDensity'), 'kg/L', ({ dryDensity }) => dryDensity.value),
    row('fresh', msg('mixes.freshDensity'), 'kg/L', ({ freshDensity }) => freshDensity.value),
    row('strength', msg('mixes.strengthAt28'), 'MPa', ({ strength }) => strength.value),
    row('ratio', msg('mixes.ratio'), 'ratio', ({ ratio }) => ratio.value),
    row('water', msg('mixes.waterInLitre'), 'g', ({ perPart }) => (perPart.totalWater / perPart.volume) * 1000),
    row('set', msg('mixes.initialSet'), 'h', ({ set }) => set),
    row('cost', msg('mixes.litreCosts'), 'money', ({ perPart }) => costPerLitre(perPart, lots)?.value),
    row('piece', msg('mixes.pieceDry'), 'g', ({ dryDensity }) => dryDensity.value * volume),
  ];
}
