import { msg, quantity, exactly, type Message } from '../../foundation/units/index.js';
import { moistDaysTo, isPortland, timeToShare, type BinderClass } from '../../mixing/binders/index.js';

/** What the end of a moist curing may go by. */
export const moistCuringWays = ['share', 'days', 'school'] as const satisfies readonly MoistCuring['by'][];

/** What the end of a moist curing goes by: a share of strength, days, or a school of casters. */
export type MoistCuring =
  | { readonly by: 'share'; readonly share: number }
  | { readonly by: 'days'; readonly days: number }
  | { readonly by: 'school'; readonly school: MoistCuringSchool };
export type MoistCuringSchool = 'patient' | 'hurried';

export const moistCuringSchools: Record<MoistCuringSchool, { readonly days: number; readonly reason: Message }> = {
  patient: { days: 28, reason: msg('curing.fewestCracks') },
  hurried: { days: 3, reason: msg('curing.freeSooner') },
};

/** By default it is kept damp to 70 % of its 28-day strength: about a week for Portland at 20 °C, whatever the weather. */
export const usualMoistCuring: MoistCuring = { by: 'share', share: 0.7 };

/** A lightweight piece, or one for frost, is kept damp so many days at the least. */
const LONG_DAYS = 7;

/** When a moist curing ends: once both are over, equivalent hours at 20 °C and days by the clock, since the pour. */
export interface MoistCuringEnd {
  readonly age: number;
  readonly days: number;
}

/**
 * When a moist curing ends (handbook section 11). Gypsum wants none: for it, drying is the cure. `longer` is for lightweight
 * pieces and for those that meet frost: a week at the least.
 */
export function moistCuringEnd(
  binderClass: BinderClass,
  cure: MoistCuring = usualMoistCuring,
  longer = false,
): MoistCuringEnd {
  if (binderClass === 'gypsum') return { age: 0, days: 0 };
  if (cure.by === 'days') return { age: 0, days: cure.days };
  if (cure.by === 'school') return { age: 0, days: moistCuringSchools[cure.school].days };
  const age = isPortland(binderClass)
    ? moistDaysTo(cure.share, binderClass) * 24
    : timeToShare(binderClass, cure.share);
  return { age, days: longer ? LONG_DAYS : 0 };
}

/** The rule in words. */
export function moistCuringInWords(cure: MoistCuring): Message {
  if (cure.by === 'share')
    return msg('curing.untilStrength', { share: quantity(Math.round(cure.share * 100), '%', 0) });
  if (cure.by === 'days') return msg('curing.forDays', { days: exactly(cure.days, 'days') });
  const { days, reason } = moistCuringSchools[cure.school];
  return msg('curing.forDaysReason', { days: exactly(days, 'days'), reason });
}
