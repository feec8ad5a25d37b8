import { isISO4217CurrencyCode } from 'class-validator';
import { localeOf, type Reader } from '@dewpot/locales';

/** Every currency that is in use, by its code and by its name in the reader's language, in the order of the names. */
export function currencyOptions(reader: Reader): { value: string; label: string }[] {
  const locale = localeOf(reader);
  const names = new Intl.DisplayNames(locale, { type: 'currency' });
  return Intl.supportedValuesOf('currency')
    .filter(isISO4217CurrencyCode)
    .map((value) => ({ value, label: `${names.of(value) ?? value} (${value})` }))
    .sort((a, b) => a.label.localeCompare(b.label, locale));
}
