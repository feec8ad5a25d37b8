import { computed, figure, line, type Figure, msg, type Message, quantity } from '../../foundation/units/index.js';
import { pricePerGram, type Lot } from '../materials/index.js';
import { goods, scaleMasses, type BatchMasses } from './batch.js';

const LITRE = 1000;

/** Cost of a batch's materials by the lots in store, in the workshop's money; undefined where no lot has a price. */
export function batchCost(
  batch: Pick<BatchMasses, 'portions' | 'doses'>,
  lots: readonly Lot[],
  what: Message,
): Figure | undefined {
  const priced = goods(batch).map((portion) => ({ ...portion, price: pricePerGram(portion.material.id, lots) }));
  if (priced.every(({ price }) => price === undefined)) return undefined;
  const cost = priced.reduce((sum, { mass, price }) => sum + mass * (price ?? 0), 0);
  return figure(cost, 'money', computed, [
    ...priced.map(({ material, mass, price }) =>
      line(
        material.name,
        mass * (price ?? 0),
        'money',
        price === undefined
          ? msg('mixes.noPrice')
          : msg('mixes.massAtPrice', { mass: quantity(mass, 'g'), price: quantity(price * 1000, 'money') }),
      ),
    ),
    line(what, cost, 'money'),
  ]);
}

/** Cost of one litre of the fresh mix; undefined where no lot has a price. */
export function costPerLitre(batch: BatchMasses, lots: readonly Lot[]): Figure | undefined {
  return batchCost(scaleMasses(batch, LITRE / batch.volume), lots, msg('mixes.litreOfMix'));
}
