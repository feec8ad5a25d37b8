import {
  figure,
  handbook,
  line,
  typed,
  type Basis,
  type Figure,
  msg,
  type Message,
  exactly,
} from '../../foundation/units/index.js';
import {
  handbookTimes,
  initialSet,
  isPortland,
  potLife,
  type BinderClass,
  type SettingTimes,
} from '../binders/index.js';
import { isBinder } from '../materials/index.js';
import type { Mix } from './mix.js';

/** Whether a mix sets sooner for an accelerator. */
export const isAccelerated = ({ doses = [] }: Mix): boolean =>
  doses.some(({ material, amount }) => material.additive === 'accelerator' && amount > 0);

/** How long a mix can be placed, min, and when it sets, h, at the bench's temperature, °C. */
export interface PotLifeAndSet {
  readonly potLife: Figure;
  readonly initialSet: Figure;
}

/** A time at 20 °C, and where it comes from. */
interface TimeAt20 {
  readonly value: number;
  readonly basis: Basis;
  readonly from: Message;
}

/** The temperature at which binders are given. */
const AT_20 = { temperature: exactly(20, '°C') };

const shortest = (mix: Mix, of: keyof SettingTimes): number | undefined => {
  const told = mix.lines.flatMap(({ material }) => (isBinder(material) ? (material.times?.[of] ?? []) : []));
  return told.length > 0 ? Math.min(...told) : undefined;
};

/**
 * A time of a mix at 20 °C: as the caster entered it for the mix, else as the bag of its quickest binder says, which an
 * accelerator shortens as it shortens the handbook's, else the handbook's.
 */
function timeAt20(mix: Mix, binderClass: BinderClass, of: keyof SettingTimes): TimeAt20 {
  const own = mix.times?.[of];
  if (own !== undefined) return { value: own, basis: typed, from: msg('mixes.potLifeEntered', AT_20) };
  const hurried = isAccelerated(mix);
  const byBag = shortest(mix, of);
  if (byBag === undefined)
    return {
      value: handbookTimes(binderClass, hurried)[of],
      basis: handbook,
      from:
        hurried && isPortland(binderClass) ? msg('mixes.withAccelerator', AT_20) : msg('mixes.atTemperature', AT_20),
    };
  const factor = handbookTimes(binderClass, hurried)[of] / handbookTimes(binderClass)[of];
  return {
    value: byBag * factor,
    basis: typed,
    from: factor < 1 ? msg('mixes.bagWithAccelerator') : msg('mixes.fromBag'),
  };
}

/** Pot life, min, and initial set, h, of a mix at 20 °C. */
export const timesAt20 = (mix: Mix, binderClass: BinderClass): Required<SettingTimes> => ({
  potLife: timeAt20(mix, binderClass, 'potLife').value,
  initialSet: timeAt20(mix, binderClass, 'initialSet').value,
});

/** Initial set of a mix at 20 °C where the caster or a bag gives it, h; undefined where it is the handbook's. */
export function typedInitialSet(mix: Mix, binderClass: BinderClass): number | undefined {
  const { value, basis } = timeAt20(mix, binderClass, 'initialSet');
  return basis.kind === 'typed' ? value : undefined;
}

/** The clock of a mix at a temperature, °C: its times at 20 °C ÷ the rate of its binder. */
export function potLifeAndSet(mix: Mix, binderClass: BinderClass, temperature: number): PotLifeAndSet {
  const [life, set] = [timeAt20(mix, binderClass, 'potLife'), timeAt20(mix, binderClass, 'initialSet')];
  const bench = line(msg('mixes.atBench'), temperature, '°C');
  const lifeHere = potLife(binderClass, temperature, life.value);
  const setHere = initialSet(binderClass, temperature, set.value);
  return {
    potLife: figure(lifeHere, 'min', life.basis, [
      line(msg('mixes.potLife'), life.value, 'min', life.from),
      bench,
      line(msg('mixes.potLifeHere'), lifeHere, 'min', msg('mixes.potLifeFormula', AT_20)),
    ]),
    initialSet: figure(setHere, 'h', set.basis, [
      line(msg('mixes.initialSet'), set.value, 'h', set.from),
      bench,
      line(msg('mixes.initialSetHere'), setHere, 'h', msg('mixes.initialSetFormula', AT_20)),
    ]),
  };
}
