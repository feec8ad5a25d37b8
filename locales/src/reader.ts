import type { Language, UnitSystem } from '@dewpot/core/units';

/** Who reads: the language, and what the workshop measures and pays in. */
export interface Reader {
  readonly language: Language;
  readonly system: UnitSystem;
  /** ISO 4217, as “EUR”. */
  readonly currency: string;
  /** IANA name of the zone whose clock times are told by; the device's own where left out. */
  readonly zone?: string;
}

/** The tag by which numbers and dates are written: English of the workshop's units. */
export const localeOf = ({ language, system }: Pick<Reader, 'language' | 'system'>): string =>
  language === 'en' ? (system === 'us' ? 'en-US' : 'en-GB') : language;
