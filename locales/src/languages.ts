/** Languages that the catalogues are complete in. A further one is one more folder beside them, and one line here. */
export const languages = ['en', 'es'] as const;
export type Language = (typeof languages)[number];

/** Each language by its own name. */
export const languageNames: Record<Language, string> = { en: 'English', es: 'Español' };

/** The language that any other falls back to. */
export const FALLBACK: Language = 'en';

export const isLanguage = (text: unknown): text is Language => (languages as readonly unknown[]).includes(text);

/** The first language of a list of preferences (“es-MX,es;q=0.9,en;q=0.8”) that there are catalogues in. */
export function preferredLanguage(preferences: string | undefined): Language | undefined {
  const asked = (preferences ?? '')
    .slice(0, 200)
    .split(',')
    .flatMap((part, i) => {
      const [tag = '', weight] = part.trim().split(/\s*;\s*q=/);
      const language = tag.slice(0, 2).toLowerCase();
      const wanted = weight === undefined ? 1 : Number(weight);
      return isLanguage(language) && wanted > 0 ? [{ language, wanted, i }] : [];
    });
  return asked.sort((a, b) => b.wanted - a.wanted || a.i - b.i)[0]?.language;
}
