import { sayScoops } from '@dewpot/core/materials';
import { UNSEEN, type Measure, type MeasuringChoice, type MeasuringWay } from '@dewpot/core/measuring';

/** Ways of measuring as a screen names them. */
export const wayNames: Record<MeasuringWay, string> = {
  scale: 'By the scale',
  scoop: 'By one scoop',
  scoops: 'By several scoops',
  'scoop-and-scale': 'Whole scoops, the rest weighed',
};

/** Measures in words: "2 of the jug and ½ of the cup", "412 g on the scale". */
export const sayMeasures = (measures: readonly Measure[], sayMass: (mass: number) => string): string =>
  measures
    .map((one) =>
      one.kind === 'scale' ? `${sayMass(one.mass)} on the scale` : `${sayScoops(one.count)} of ${one.scoop.name}`,
    )
    .join(' and ');

const percent = (share: number) => `${(share * 100).toFixed(share < 0.01 ? 1 : 0)} %`;

/** How a way comes out: how far its ratios are off, what is left over, how many measures it takes. */
export function sayChoice({ measured: { worst, measures }, faults, left }: MeasuringChoice): string {
  const some = left < UNSEEN ? 'nothing left over' : `${percent(left)} left over`;
  const rest = faults.short > 0 ? `falls short by ${percent(faults.short)}` : some;
  const off = worst < 0.0005 ? 'ratios exact' : `ratios within ${percent(worst)}`;
  return `${off}, ${rest}, ${measures} ${measures === 1 ? 'measure' : 'measures'}`;
}
