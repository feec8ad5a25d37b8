import { useMemo } from 'react';
import type { Figure, Unit, UnitSystem } from '@dewpot/core/units';
import { currencySign, writeWeighing, type Speaker } from '@dewpot/locales';
import { useSay } from './say';

export interface Units {
  readonly system: UnitSystem;
  /** The sign of the workshop's money. */
  readonly currency: string;
  /** A value of the core as a person reads it. */
  say(value: number, unit: Unit): string;
  split(value: number, unit: Unit): { number: string; unit: string };
  sayFigure(figure: Figure): string;
  /** A mass to the step of the scale that it was read from. */
  sayWeighing(weighing: { readonly mass: number; readonly step: number }): string;
}

/** Units and currency of a reader. */
function unitsOf(say: Speaker): Units {
  const { reader } = say;
  return {
    system: reader.system,
    currency: currencySign(reader),
    say: (value, unit) => say.quantity(value, unit),
    split: (value, unit) => say.split(value, unit),
    sayFigure: ({ value, unit }) => say.quantity(value, unit),
    sayWeighing: ({ mass, step }) => writeWeighing(mass, step, reader),
  };
}

/** Units and currency of the workshop. */
export function useUnits(): Units {
  const say = useSay();
  return useMemo(() => unitsOf(say), [say]);
}
