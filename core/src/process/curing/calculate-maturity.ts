import { computed, figure, line, type Figure, msg, exactly } from '../../foundation/units/index.js';
import { shareBand, strengthShare, type BinderClass } from '../../mixing/binders/index.js';
import { DATUM, ageBetween, ageCourse, nurseSaul, type TemperatureReading } from './maturity.js';

/** How far a piece has hardened. */
export interface Maturity {
  readonly equivalentAge: Figure;
  /** Share of its 28-day (or final) strength, %. */
  readonly strengthShare: Figure;
}

/** Calculates how far a piece has hardened `hours` after the pour, from the temperatures it stood in; `datum` °C, under which it stands still. */
export function calculateMaturity(
  readings: readonly TemperatureReading[],
  hours: number,
  binderClass: BinderClass,
  datum = DATUM,
): Maturity {
  const age = ageBetween(ageCourse(readings, binderClass, datum), 0, hours);
  const [low, high] = shareBand(binderClass, age);
  const share = strengthShare(binderClass, age) * 100;
  const sameAt20 = line(msg('curing.asAt20', { temperature: exactly(20, '°C') }), age, 'h', msg('curing.arrhenius'));
  return {
    equivalentAge: figure(age, 'h', computed, [
      line(msg('curing.byClock'), hours, 'h'),
      line(
        msg('curing.maturityFrom', { temperature: exactly(datum, '°C') }),
        nurseSaul(readings, hours, datum),
        'ratio',
        msg('curing.nurseSaul'),
      ),
      sameAt20,
    ]),
    strengthShare: figure(
      share,
      '%',
      computed,
      [
        sameAt20,
        line(msg('curing.atLeast'), low * 100, '%', msg('curing.slowerBinder')),
        line(msg('curing.atMost'), high * 100, '%', msg('curing.fasterOne')),
        line(msg('curing.strengthOf28'), share, '%'),
      ],
      [low * 100, high * 100],
    ),
  };
}
