import type { Phrase } from './message.js';

/** Units in which the core computes and answers. */
export type Unit =
  | 'mm'
  | 'mm²'
  | 'm²'
  | 'mL'
  | 'g'
  | '°C'
  /** A difference of temperatures. */
  | 'K'
  | 'h'
  | 'min'
  | 'days'
  | 'MPa'
  | 'kPa'
  | 'kg/L'
  | 'kg/m²/h'
  | '%'
  | '°'
  | 'kg/m³'
  | 'km/h'
  | 'ratio'
  | 'money'
  /** Things that are counted. */
  | 'count'
  | 'scoops';

/** What a figure rests on. */
export type Basis =
  | { readonly kind: 'computed' }
  | { readonly kind: 'handbook' }
  | { readonly kind: 'learned'; readonly records: number }
  | { readonly kind: 'measured' }
  | { readonly kind: 'typed' };

/** One line of the working that is shown beneath a figure. */
export interface WorkingLine {
  readonly label: Phrase;
  readonly value?: number;
  readonly unit?: Unit;
  /** How the value came about, or where it was taken from: a message or a formula. */
  readonly how?: Phrase;
}

/** A number that a person will see, with what it rests on and how it came about. */
export interface Figure {
  readonly value: number;
  readonly unit: Unit;
  readonly basis: Basis;
  /** Low and high end, where the figure is uncertain. */
  readonly band?: readonly [number, number];
  readonly working: readonly WorkingLine[];
}

export const computed: Basis = { kind: 'computed' };
export const handbook: Basis = { kind: 'handbook' };
export const measured: Basis = { kind: 'measured' };
/** Entered by the caster, who has it from a bag or a sheet. */
export const typed: Basis = { kind: 'typed' };

/** Makes a figure. The last line of its working is the result itself. */
export function figure(
  value: number,
  unit: Unit,
  basis: Basis,
  working: readonly WorkingLine[],
  band?: readonly [number, number],
): Figure {
  return band ? { value, unit, basis, band, working } : { value, unit, basis, working };
}

/** One line of working. */
export function line(label: Phrase, value?: number, unit?: Unit, how?: Phrase): WorkingLine {
  return { label, ...(value !== undefined && { value }), ...(unit && { unit }), ...(how && { how }) };
}
