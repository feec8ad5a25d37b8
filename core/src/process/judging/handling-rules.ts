import { formatQuantity, remedies } from '../../foundation/units/index.js';
import { staysPut } from '../../geometry/moulds/index.js';
import { ANOTHER_MIX, type ItemRule } from './judged.js';

/** What more than one person lifts, and where it must be filled. */
export const weightRule: ItemRule = ({ item, plan: { liftLimit }, piece: { fresh, dry } }) => {
  if (fresh.value <= liftLimit) return undefined;
  const kg = (grams: number) => formatQuantity(grams, 'g', 'metric');
  const stays = staysPut(item) ? ' It is not moved until its demould.' : '';
  return {
    key: 'weight',
    harm: 1,
    text: `${item.name} weighs ${kg(fresh.value)} full and ${kg(dry.value)} dry: more than one person lifts here, ${kg(liftLimit)}.${stays}`,
    reason: 'A full mould that is caught as it slips hurts a back or a foot.',
    basis: 'calculated',
    remedies: [
      ...remedies('Fill it where it is to set.', 'Two people: slide it and turn it over an edge, do not catch it.'),
      { text: 'Choose a lighter mix.', change: ANOTHER_MIX },
    ],
  };
};
