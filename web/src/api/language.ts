import type { Language } from '@dewpot/core/units';
import { FALLBACK, isLanguage } from '@dewpot/locales';

const KEPT = 'dew-pot-language';

/** The language that was chosen in this browser: English until somebody has chosen. */
export function chosenLanguage(): Language {
  const kept = localStorage.getItem(KEPT);
  return isLanguage(kept) ? kept : FALLBACK;
}

/** Keeps a choice for what is seen before anybody has signed in, and for what the server is asked in. */
export const keepLanguage = (language: Language): void => localStorage.setItem(KEPT, language);
