import { listed, msg, quantity, type Listed, type Message, type Quantity } from '@dewpot/core/units';
import { sayScoops } from '@dewpot/core/materials';
import { UNSEEN, type Measure, type MeasuringChoice, type MeasuringWay } from '@dewpot/core/measuring';

/** Ways of measuring as a screen names them. */
export const wayNames: Record<MeasuringWay, Message> = {
  scale: msg('ui.byScale'),
  scoop: msg('ui.byOneScoop'),
  scoops: msg('ui.byScoops'),
  'scoop-and-scale': msg('ui.scoopAndScale'),
};

/** Measures in words: "2 of the jug and ½ of the cup", "412 g on the scale". */
export const tellMeasures = (measures: readonly Measure[]): Listed =>
  listed(
    measures.map((one) =>
      one.kind === 'scale'
        ? msg('ui.massOn', { mass: quantity(one.mass, 'g') })
        : msg('ui.scoopsOn', { scoops: sayScoops(one.count), name: one.scoop.name }),
    ),
  );

const percent = (share: number): Quantity => quantity(share * 100, '%', share < 0.01 ? 1 : 0);
/** Ratios that are off by less than this are exact. */
const EXACT = 0.0005;

/** How a way comes out: how far its ratios are off, what is left over, how many measures it takes. */
export function tellChoice({ measured: { worst, measures }, faults: { short }, left }: MeasuringChoice): Message {
  return msg('ui.wayTold', {
    exact: worst < EXACT ? 'yes' : 'no',
    worst: percent(worst),
    rest: short > 0 ? 'short' : left < UNSEEN ? 'none' : 'left',
    amount: percent(short > 0 ? short : left),
    measures,
  });
}
