import { shownQuantity, shownWeighing, type ShownQuantity, type Unit } from '@dewpot/core/units';
import { localeOf, type Reader } from './reader.js';

/** Makes formatters once for each way of writing: making one takes long. */
const kept = new Map<string, Intl.NumberFormat>();

function formatter(locale: string, options: Intl.NumberFormatOptions): Intl.NumberFormat {
  const key = `${locale} ${JSON.stringify(options)}`;
  const known = kept.get(key) ?? new Intl.NumberFormat(locale, options);
  kept.set(key, known);
  return known;
}

/** A number with this many digits after its point, in the reader's own marks. */
export const writeNumber = (value: number, decimals: number, reader: Reader): string =>
  formatter(localeOf(reader), {
    minimumFractionDigits: decimals,
    maximumFractionDigits: decimals,
    useGrouping: 'min2' as unknown as boolean,
  }).format(value);

/** A number to so many figures as it is put into a field, without groups: "2.5", in Spanish "2,5". None where it is none. */
export function writePlain(value: number, figures: number, reader: Reader): string {
  if (!Number.isFinite(value)) return '';
  return formatter(localeOf(reader), { maximumSignificantDigits: figures, useGrouping: false }).format(value);
}

/** An amount of money in the workshop's currency. */
export function writeMoney(value: number, { currency, ...reader }: Reader): string {
  return formatter(localeOf(reader), { style: 'currency', currency, currencyDisplay: 'narrowSymbol' }).format(value);
}

const greatestDivisor = (a: number, b: number): number => (b === 0 ? a : greatestDivisor(b, a % b));

/** A value rounded to parts of a whole, as a fraction: "2 1/2", "3/16". */
function writeFraction(value: number, parts: number): string {
  const all = Math.round(Math.abs(value) * parts);
  const [whole, rest] = [Math.floor(all / parts), all % parts];
  const by = greatestDivisor(rest, parts);
  const fraction = rest === 0 ? '' : `${rest / by}/${parts / by}`;
  const sign = value < 0 && all > 0 ? '−' : '';
  return `${sign}${[whole > 0 || !fraction ? `${whole}` : '', fraction].filter(Boolean).join(' ')}`;
}

const writeShown = ({ value, decimals, parts }: ShownQuantity, reader: Reader): string =>
  parts === undefined ? writeNumber(value, decimals, reader) : writeFraction(value, parts);

/** An amount split into its number and its unit. `decimals` counts in metric units only. */
export function splitQuantity(
  value: number,
  unit: Unit,
  reader: Reader,
  decimals?: number,
): { number: string; unit: ShownQuantity['unit'] } {
  const shown = shownQuantity(value, unit, reader.system);
  const exact = decimals !== undefined && reader.system === 'metric' && shown.unit === unit;
  return { number: writeShown(exact ? { ...shown, decimals } : shown, reader), unit: shown.unit };
}

const MOST_DECIMALS = 3;

/** An amount as it is put into a field: no digit of what was typed is lost, and none is added ("1.976 kg", "2.5 in"). */
export function writeQuantity(value: number, unit: Unit, reader: Reader): string {
  const shown = shownQuantity(value, unit, reader.system);
  const number = formatter(localeOf(reader), { maximumFractionDigits: MOST_DECIMALS, useGrouping: false });
  return `${number.format(shown.value)} ${shown.unit}`;
}

/** A mass as its scale shows it, to the scale's own `step` (both g): "1976 g", "12.4 g", "4.356 lb". */
export function writeWeighing(mass: number, step: number, reader: Reader): string {
  const { value, unit, decimals } = shownWeighing(mass, step, reader.system);
  const number = formatter(localeOf(reader), {
    minimumFractionDigits: decimals,
    maximumFractionDigits: decimals,
    useGrouping: false,
  });
  return `${number.format(value)} ${unit}`;
}

/** The sign by which the reader knows the workshop's currency. */
export function currencySign({ currency, ...reader }: Reader): string {
  const format = formatter(localeOf(reader), { style: 'currency', currency, currencyDisplay: 'narrowSymbol' });
  return format.formatToParts(0).find(({ type }) => type === 'currency')?.value ?? currency;
}
