import { useSyncExternalStore } from 'react';
import type { Language } from '@dewpot/core/units';
import { FALLBACK, isLanguage, preferredLanguage } from '@dewpot/locales';

const KEPT = 'dew-pot-language';
const readers = new Set<() => void>();

/** The language that was chosen in this browser, else the one that it asks pages for, else English. */
export function chosenLanguage(): Language {
  const kept = localStorage.getItem(KEPT);
  return isLanguage(kept) ? kept : (preferredLanguage(navigator.languages.join(',')) ?? FALLBACK);
}

/** Keeps a choice for what is seen before anybody has signed in, and for what the server is asked in. */
export function keepLanguage(language: Language): void {
  if (language === chosenLanguage()) return;
  localStorage.setItem(KEPT, language);
  readers.forEach((hear) => hear());
}

function hearLanguage(hear: () => void): () => void {
  readers.add(hear);
  return () => readers.delete(hear);
}

/** The language of whoever has not signed in; changes with their choice. */
export const useChosenLanguage = (): Language => useSyncExternalStore(hearLanguage, chosenLanguage);
