import {
  formatQuantity,
  formatWeighing,
  splitQuantity,
  type Figure,
  type Unit,
  type UnitSystem,
} from '@dewpot/core/units';
import { useMemo } from 'react';
import { useSession } from '../api/session';

export interface Units {
  readonly system: UnitSystem;
  readonly currency: string;
  /** A value of the core as a person reads it. */
  say(value: number, unit: Unit): string;
  split(value: number, unit: Unit): { number: string; unit: string };
  sayFigure(figure: Figure): string;
  /** A mass to the step of the scale that it was read from. */
  sayWeighing(weighing: { readonly mass: number; readonly step: number }): string;
}

export function unitsOf(system: UnitSystem, currency: string): Units {
  const say = (value: number, unit: Unit) =>
    unit === 'money' ? `${currency}${value.toFixed(2)}` : formatQuantity(value, unit, system);
  return {
    system,
    currency,
    say,
    split: (value, unit) =>
      unit === 'money' ? { number: value.toFixed(2), unit: currency } : splitQuantity(value, unit, system),
    sayFigure: ({ value, unit }) => say(value, unit),
    sayWeighing: ({ mass, step }) => formatWeighing(mass, step, system),
  };
}

/** Units and currency of the workshop. */
export function useUnits(): Units {
  const { workshop } = useSession();
  return useMemo(() => unitsOf(workshop.units, workshop.currency), [workshop.units, workshop.currency]);
}
