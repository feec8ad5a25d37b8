import { isBinder, isPortlandFamily, lotInUse, lotMonths, type Lot } from '../../mixing/materials/index.js';
import type { Mix, MixConditions } from '../../mixing/mixes/index.js';
import type { MixLessons } from './pour-lessons.js';

/** What is known of a mix beyond its recipe. */
export interface KnownOfMixUse {
  /** Moist curing, equivalent days at 20 °C. */
  readonly moistCuringDays: number;
  readonly lots: readonly Lot[];
  readonly lessons: MixLessons;
  /** ms */
  readonly now: number;
}

/** Conditions under which a mix is calculated: its moist curing, what its batches taught, and how old its cement is. */
export function conditionsOf({ lines }: Mix, { moistCuringDays, lots, lessons, now }: KnownOfMixUse): MixConditions {
  const months = lines.flatMap(({ material }) => {
    const lot = isBinder(material) && isPortlandFamily(material) ? lotInUse(material.id, lots) : undefined;
    return lot ? [lotMonths(lot, now)] : [];
  });
  return {
    moistCuringDays,
    ...(lessons.demand.batches > 0 && { learnedDemand: lessons.demand }),
    ...(months.length > 0 && { cementMonths: Math.max(...months) }),
  };
}
