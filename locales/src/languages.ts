import { languages, type Language } from '@dewpot/core/units';

/** The language that any other falls back to. */
export const FALLBACK: Language = 'en';

export const isLanguage = (text: unknown): text is Language => (languages as readonly unknown[]).includes(text);

/** Characters of a list of preferences that are looked at. */
const MOST_PREFERENCES = 200;

/** The best language of a list of preferences (“es-MX,es;q=0.9,en;q=0.8”) that there are catalogues of. */
export function preferredLanguage(preferences: string | undefined): Language | undefined {
  const asked = (preferences ?? '')
    .slice(0, MOST_PREFERENCES)
    .split(',')
    .flatMap((part, i) => {
      const [tag = '', weight] = part.trim().split(/\s*;\s*q=/);
      const language = tag.split('-')[0]?.toLowerCase();
      const wanted = weight === undefined ? 1 : Number(weight);
      return isLanguage(language) && wanted > 0 ? [{ language, wanted, i }] : [];
    });
  return asked.sort((a, b) => b.wanted - a.wanted || a.i - b.i)[0]?.language;
}
