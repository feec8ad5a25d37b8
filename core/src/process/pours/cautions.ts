import { defined } from '../../foundation/math/index.js';
import { staysPut } from '../../geometry/moulds/index.js';
import type { PieceFigures } from './pieces.js';
import type { PourPlan } from './plan.js';

/** Step of the work at which a caution stands. */
export type CautionStep = 'measure' | 'mix' | 'place' | 'lift' | 'clean';

/** What can hurt someone, in a line or two, where it does. Never in place of a data sheet. */
export interface Caution {
  readonly step: CautionStep;
  readonly text: string;
}

/** Cautions of a pour at their steps. */
export function cautionsFor(plan: PourPlan, pieces: readonly PieceFigures[]): Caution[] {
  const found: Caution[] = [
    {
      step: 'measure',
      text: 'Cement and sand dust harm the lungs: wear a fitted respirator, mix outdoors, never sweep dry.',
    },
    { step: 'mix', text: 'Wet mix is caustic: gloves, goggles and long sleeves; rinse skin at once.' },
    { step: 'clean', text: 'Let rinse water settle and harden in the bucket; never pour it down a drain.' },
  ];
  if (plan.binderClass === 'gypsum' || plan.binderClass === 'fast-setting') {
    found.push({ step: 'place', text: 'This mix heats up as it sets: never cast a hand or any part of a body.' });
  }
  pieces.forEach(({ name, fresh }, i) => {
    if (fresh.value <= plan.liftLimit && !staysPut(defined(plan.items[i]))) return;
    found.push({
      step: 'place',
      text: `Fill ${name} where it will set. Do not move it before demoulding.`,
    });
  });
  const heavy = pieces.filter(({ fresh }) => fresh.value > plan.liftLimit);
  for (const { name, fresh } of heavy) {
    found.push({
      step: 'lift',
      text: `${name} weighs ${(fresh.value / 1000).toFixed(0)} kg: two people, slide it, do not catch it.`,
    });
  }
  return found;
}
