import type { Language } from '@dewpot/core/units';
import { FALLBACK, type Entry, type Lookup } from '@dewpot/locales';
import { FIRST_STAGES } from './first-stages';

type Catalogue = Readonly<Record<string, Entry>>;

/** A file for each stage of each language; each is fetched when its first sentence is wanted. */
const files = import.meta.glob<Catalogue>(['../../../locales/*/*.json', '!../../../locales/*/demo.json'], {
  import: 'default',
});

const kept = new Map<string, Catalogue>();
const under = new Map<string, Promise<void>>();
const told = new Set<string>();
/** Stages of which a sentence was asked for before it was here. */
const wanted = new Set<string>();
const readers = new Set<() => void>();
let count = 0;

const nameOf = (language: Language, stage: string) => `${language}/${stage}`;

/** Keeps the sentences of a stage. Where none of them was asked for yet nothing is said anew. */
export function keepCatalogue(language: Language, stage: string, sentences: Catalogue): void {
  kept.set(nameOf(language, stage), sentences);
  if (!wanted.delete(nameOf(language, stage))) return;
  count += 1;
  readers.forEach((hear) => hear());
}

async function fetchCatalogue(language: Language, stage: string, file: () => Promise<Catalogue>): Promise<void> {
  try {
    keepCatalogue(language, stage, await file());
  } catch (error) {
    // Offline, before it was ever seen: the screen says what it can.
    reportError(error);
  } finally {
    under.delete(nameOf(language, stage));
  }
}

/** Fetches the sentences of a stage, once; whoever asks meanwhile waits with it. One that cannot be fetched is asked for again with the next sentence. */
function loadCatalogue(language: Language, stage: string): Promise<void> {
  const name = nameOf(language, stage);
  const file = files[`../../../locales/${name}.json`];
  if (!file || kept.has(name)) return Promise.resolve();
  const fetched = under.get(name) ?? fetchCatalogue(language, stage, file);
  under.set(name, fetched);
  return fetched;
}

/** Fetches the sentences of a stage for somebody who waits for them. */
function want(language: Language, stage: string): void {
  wanted.add(nameOf(language, stage));
  void loadCatalogue(language, stage);
}

/** Fetches what the first screen says, all at once, so that it stands whole when it is drawn. */
export async function loadFirst(language: Language): Promise<void> {
  await Promise.all(FIRST_STAGES.map((stage) => loadCatalogue(language, stage)));
}

const stagesOf = (language: Language): string[] =>
  Object.keys(files).flatMap((path) => new RegExp(`/${language}/(\\w+)\\.json$`).exec(path)?.[1] ?? []);

/** Fetches every stage of a language, so that any screen opens without a connection. */
export async function loadLanguage(language: Language): Promise<void> {
  await Promise.all(stagesOf(language).map((stage) => loadCatalogue(language, stage)));
}

/** Whether every stage of a language is here. */
export const hasLanguage = (language: Language): boolean =>
  stagesOf(language).every((stage) => kept.has(nameOf(language, stage)));

/** A sentence that a language lacks is said in English, and told once: nobody sees its key. */
function missing(language: Language, key: string): Entry | undefined {
  const [stage = '', name = ''] = key.split('.');
  if (!told.has(`${language} ${key}`)) reportError(new Error(`There is no sentence ${language} ${key}.`));
  told.add(`${language} ${key}`);
  if (language === FALLBACK) return undefined;
  const fallback = kept.get(nameOf(FALLBACK, stage));
  if (!fallback) want(FALLBACK, stage);
  return fallback?.[name];
}

/** Finds the sentences of a language; those of a stage that is not here yet are fetched. */
export const lookupIn =
  (language: Language): Lookup =>
  (key) => {
    const [stage = '', name = ''] = key.split('.');
    const sentences = kept.get(nameOf(language, stage));
    if (!sentences) want(language, stage);
    return sentences && (sentences[name] ?? missing(language, key));
  };

/** How often sentences came that were waited for; changes when some have come. */
export const catalogueCount = (): number => count;

/** Tells when sentences have come that were waited for. */
export function hearCatalogues(hear: () => void): () => void {
  readers.add(hear);
  return () => readers.delete(hear);
}
