import { useSyncExternalStore } from 'react';
import type { Language } from '@dewpot/core/units';
import { FALLBACK, isLanguage, preferredLanguage } from '@dewpot/locales';
import { keptChoice } from './kept-choice';

const choice = keptChoice('dew-pot-language');

/** The language that was chosen in this browser, else the one that it asks pages for, else English. */
export function chosenLanguage(): Language {
  const kept = choice.read();
  return isLanguage(kept) ? kept : (preferredLanguage(navigator.languages.join(',')) ?? FALLBACK);
}

/** Keeps a choice for what is seen before anybody has signed in, and for what the server is asked in. */
export function keepLanguage(language: Language): void {
  if (language === chosenLanguage()) return;
  choice.keep(language);
}

/** The language of whoever has not signed in; changes with their choice. */
export const useChosenLanguage = (): Language => useSyncExternalStore(choice.hear, chosenLanguage);
