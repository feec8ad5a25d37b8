import { DAY } from '../../foundation/units/index.js';
import { wantedStates, type WantedState } from '../../process/calendar/index.js';
import type { DrySummary } from './cast-snapshot.js';
import { lastCoat, sealerOfCoat, type Life } from './life.js';
import { coatsToCome } from './sealing-dues.js';

/** How far a cast has come on the way that orders go by; undefined while it sets, and of one that is broken. */
export function reachedState(
  life: Life,
  { dryEnough }: Pick<DrySummary, 'dryEnough'>,
  now: number,
): WantedState | undefined {
  const coat = lastCoat(life);
  switch (life.stage) {
    case 'setting':
    case 'broken':
      return undefined;
    case 'curing':
      return 'demoulded';
    case 'drying':
      return dryEnough ? 'dry' : 'cured';
    case 'sealed':
      if (!coat || coatsToCome(life) > 0) return 'dry';
      return coat.at + sealerOfCoat(coat).cureDays * DAY <= now ? 'hardened' : 'sealed';
    default:
      return 'hardened';
  }
}

/** Whether a cast is as it is wanted. */
export const isAsWanted = (reached: WantedState | undefined, wanted: WantedState): boolean =>
  reached !== undefined && wantedStates.indexOf(reached) >= wantedStates.indexOf(wanted);
