import { msg, type Message } from '@dewpot/core/units';
import type { WantedState } from '@dewpot/core/calendar';

/** How a piece is wanted. */
export const stateWords: Record<WantedState, Message> = {
  demoulded: msg('calendar.stateDemoulded'),
  cured: msg('calendar.stateCured'),
  dry: msg('calendar.stateDry'),
  sealed: msg('calendar.stateSealed'),
  hardened: msg('calendar.stateHardened'),
};
