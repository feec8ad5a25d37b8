import { isBinder, type Mix, type MixConditions } from '../mixes/index.js';
import { lotInUse, lotMonths, type Lot } from '../stores/index.js';
import type { MixLessons } from './learned.js';

/** What is known of a mix beyond its recipe. */
export interface KnownOfMixUse {
  /** Damp cure, equivalent days at 20 °C. */
  readonly dampDays: number;
  readonly lots: readonly Lot[];
  readonly lessons: MixLessons;
  /** ms */
  readonly now: number;
}

/** Conditions under which a mix is reckoned: its damp cure, what its batches taught, and how old its cement is. */
export function conditionsOf({ lines }: Mix, { dampDays, lots, lessons, now }: KnownOfMixUse): MixConditions {
  const months = lines.flatMap(({ material }) => {
    const lot = isBinder(material) && material.family === 'portland' ? lotInUse(material.id, lots) : undefined;
    return lot ? [lotMonths(lot, now)] : [];
  });
  return {
    dampDays,
    ...(lessons.demand.batches > 0 && { learnedDemand: lessons.demand }),
    ...(months.length > 0 && { cementMonths: Math.max(...months) }),
  };
}
