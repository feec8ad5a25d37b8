import { remedies, msg, quantity } from '../../foundation/units/index.js';
import { staysPut } from '../../geometry/moulds/index.js';
import { ANOTHER_MIX, type ItemRule } from './judged.js';

/** What more than one person lifts, and where it must be filled. */
export const weightRule: ItemRule = ({ item, plan: { liftLimit }, piece: { fresh, dry } }) => {
  if (fresh.value <= liftLimit) return undefined;
  const kg = (grams: number) => quantity(grams, 'g');
  const stays = staysPut(item) ? 'yes' : 'no';
  return {
    key: 'weight',
    harm: 1,
    text: msg('judging.heavy', {
      item: item.name,
      value: kg(fresh.value),
      value2: kg(dry.value),
      liftLimit: kg(liftLimit),
      stays,
    }),
    reason: msg('judging.heavyReason'),
    basis: 'calculated',
    remedies: [
      ...remedies(msg('judging.fillWhere'), msg('judging.twoPeopleSlide')),
      { text: msg('judging.lighterMix'), change: ANOTHER_MIX },
    ],
  };
};
