import { msg, type Message } from '@dewpot/core/units';
import type { Costing } from '@dewpot/core/money';
import type { PricingInput } from '@dewpot/contract';

/** What is asked of a mould's pieces. */
export const costFields: readonly { readonly key: keyof Costing; readonly label: Message }[] = [
  { key: 'price', label: msg('money.askPrice') },
  { key: 'lasts', label: msg('money.askLasts') },
  { key: 'release', label: msg('money.askRelease') },
  { key: 'sealer', label: msg('money.askSealer') },
  { key: 'fitting', label: msg('money.askFitting') },
  { key: 'packing', label: msg('money.askPacking') },
  { key: 'minutes', label: msg('money.askMinutes') },
  { key: 'laterMinutes', label: msg('money.askLater') },
  { key: 'evenings', label: msg('money.askEvenings') },
  { key: 'evening', label: msg('money.askEvening') },
];

/** What is asked of the workshop. `per`: how many of what is asked make one of what is kept. */
export const pricingFields: readonly { readonly key: keyof Omit<PricingInput, 'bands'>; readonly label: Message; readonly per: number }[] = [
  { key: 'rate', label: msg('money.askRate'), per: 1 },
  { key: 'margin', label: msg('money.askMargin'), per: 100 },
]; // prettier-ignore
