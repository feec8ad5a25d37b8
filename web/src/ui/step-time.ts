import { msg, quantity, type Message, type Quantity } from '@dewpot/core/units';
import type { PlacingStep } from '@dewpot/core/pours';

/** Minutes from which on a time is told in hours. */
const LONG = 90;

/** Minutes as they are read at the bench: "25 min", "2.5 h". */
export const minutesOf = (minutes: number): Quantity =>
  minutes < LONG ? quantity(minutes, 'min', 0) : quantity(minutes / 60, 'h', 1);

/** When a step of placing is done: within so many minutes, or in a window after what it waits for. */
export function stepTime({ key, within, window }: PlacingStep): Message | undefined {
  if (within !== undefined) return msg('ui.withinTime', { within: minutesOf(within) });
  if (!window) return undefined;
  const [from, to] = window;
  const smooth = key === 'smooth' ? 'yes' : 'no';
  return from < 1
    ? msg('ui.stepWithin', { to: minutesOf(to), smooth })
    : msg('ui.stepWindow', { from: minutesOf(from), to: minutesOf(to), smooth });
}
