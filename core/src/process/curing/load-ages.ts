import { msg, type Message } from '../../foundation/units/index.js';
import { moistDaysTo, isPortland, timeToShare, type BinderClass } from '../../mixing/binders/index.js';

/** What a piece can bear by the share of its 28-day strength, in the order in which it comes. */
export type Bearing = 'handled' | 'walked on' | 'loaded';
export const bearings: readonly { readonly bearing: Bearing; readonly share: number; readonly told: Message }[] = [
  { bearing: 'handled', share: 0.35, told: msg('curing.loadCarried') },
  { bearing: 'walked on', share: 0.5, told: msg('curing.loadStepped') },
  { bearing: 'loaded', share: 0.9, told: msg('curing.loadFull') },
];

/** Equivalent hours at 20 °C at which a piece comes to a share of its strength; gypsum its wet half at once, the rest by drying. */
export function ageOfShare(binderClass: BinderClass, share: number): number | undefined {
  if (binderClass === 'gypsum') return share <= 0.5 ? share / 0.5 : undefined;
  return isPortland(binderClass) ? moistDaysTo(share, binderClass) * 24 : timeToShare(binderClass, share);
}
