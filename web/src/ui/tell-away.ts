import { msg, type Message } from '@dewpot/core/units';
import { SEEN } from '@dewpot/core/tints';

/** Further than this, a colour is another one to any eye, ΔE00. */
export const FAR = 5;

/** How far a colour is from the wanted one, in words. */
export function tellAway(away: number): Message {
  if (away <= SEEN) return msg('tints.awayNone');
  return away <= FAR ? msg('tints.awayClose') : msg('tints.awayFar');
}
