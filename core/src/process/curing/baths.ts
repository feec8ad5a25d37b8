import { msg, type Message } from '../../foundation/units/index.js';
import type { BinderClass } from '../../mixing/binders/index.js';

export type Bath = 'water' | 'vinegar' | 'leach';

/** What each bath is for, how long, and its caution. */
export const baths: Record<
  Bath,
  { readonly name: Message; readonly does: Message; readonly caution: Message; readonly most: number }
> = {
  water: {
    name: msg('curing.waterBath'),
    does: msg('curing.waterBathDoes'),
    caution: msg('curing.waterBathCaution'),
    most: 28 * 24,
  },
  vinegar: {
    name: msg('curing.vinegarBath'),
    does: msg('curing.vinegarBathDoes'),
    caution: msg('curing.vinegarBathCaution'),
    most: 24,
  },
  leach: {
    name: msg('curing.leachingSoak'),
    does: msg('curing.leachingSoakDoes'),
    caution: msg('curing.leachingSoakCaution'),
    most: 14 * 24,
  },
};

/** What to say of a bath for a piece of this binder, where there is something to say. */
export function bathNote(bath: Bath, binderClass: BinderClass): Message | undefined {
  if (binderClass === 'gypsum') return msg('curing.gypsumNoSoak');
  if (bath === 'water' && binderClass === 'fast-setting') return msg('curing.fastNoSoak');
  return undefined;
}
