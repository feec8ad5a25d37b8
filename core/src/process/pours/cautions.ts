import { msg, fixed, type Message } from '../../foundation/units/index.js';
import { defined } from '../../foundation/math/index.js';
import { staysPut } from '../../geometry/moulds/index.js';
import type { PieceFigures } from './pieces.js';
import type { PourPlan } from './plan.js';

/** Step of the work at which a caution stands. */
export type CautionStep = 'measure' | 'mix' | 'place' | 'lift' | 'clean';

/** What can hurt someone, in a line or two, where it does. Never in place of a data sheet. */
export interface Caution {
  readonly step: CautionStep;
  readonly text: Message;
}

/** Cautions of a pour at their steps. */
export function cautionsFor(plan: PourPlan, pieces: readonly PieceFigures[]): Caution[] {
  const found: Caution[] = [
    {
      step: 'measure',
      text: msg('pours.cautionDust'),
    },
    { step: 'mix', text: msg('pours.cautionCaustic') },
    { step: 'clean', text: msg('pours.cautionRinse') },
  ];
  if (plan.binderClass === 'gypsum' || plan.binderClass === 'fast-setting') {
    found.push({ step: 'place', text: msg('pours.cautionHeat') });
  }
  pieces.forEach(({ name, fresh }, i) => {
    if (fresh.value <= plan.liftLimit && !staysPut(defined(plan.items[i]))) return;
    found.push({
      step: 'place',
      text: msg('pours.fillWhereItSets', { name }),
    });
  });
  const heavy = pieces.filter(({ fresh }) => fresh.value > plan.liftLimit);
  for (const { name, fresh } of heavy) {
    found.push({
      step: 'lift',
      text: msg('pours.twoPeople', { name, value: fixed(fresh.value / 1000, 0) }),
    });
  }
  return found;
}
