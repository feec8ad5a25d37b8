import { dampDaysTo, timeToShare, type SettingClass } from './strength-share.js';

/** What the end of a damp cure goes by: a share of strength, days, or a school of casters. */
export type DampCure =
  | { readonly by: 'share'; readonly share: number }
  | { readonly by: 'days'; readonly days: number }
  | { readonly by: 'school'; readonly school: DampSchool };
export type DampSchool = 'patient' | 'hurried';

export const dampSchools: Record<DampSchool, { readonly days: number; readonly reason: string }> = {
  patient: { days: 28, reason: 'all of its strength, and the fewest cracks' },
  hurried: { days: 3, reason: 'the mould and the place are free sooner; thin pieces craze more' },
};

/** By default it is kept damp to 70 % of its 28-day strength: about a week for Portland at 20 °C, whatever the weather. */
export const usualDampCure: DampCure = { by: 'share', share: 0.7 };

/** A lightweight piece, or one for frost, is kept damp so many days at the least. */
const LONG_DAYS = 7;

/** When a damp cure ends: once both are over, equivalent hours at 20 °C and days by the clock, since the pour. */
export interface DampEnd {
  readonly age: number;
  readonly days: number;
}

/**
 * When a damp cure ends (handbook section 11). Gypsum wants none: for it, drying is the cure. `longer` is for lightweight
 * pieces and for those that meet frost: a week at the least.
 */
export function dampEnd(setting: SettingClass, cure: DampCure = usualDampCure, longer = false): DampEnd {
  if (setting === 'gypsum') return { age: 0, days: 0 };
  if (cure.by === 'days') return { age: 0, days: cure.days };
  if (cure.by === 'school') return { age: 0, days: dampSchools[cure.school].days };
  const age = setting === 'portland' ? dampDaysTo(cure.share) * 24 : timeToShare(setting, cure.share);
  return { age, days: longer ? LONG_DAYS : 0 };
}

/** The rule in words. */
export function dampCureInWords(cure: DampCure): string {
  if (cure.by === 'share') return `until ${Math.round(cure.share * 100)} % of its strength`;
  if (cure.by === 'days') return `for ${cure.days} days`;
  const { days, reason } = dampSchools[cure.school];
  return `for ${days} days: ${reason}`;
}
