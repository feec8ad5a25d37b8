import type { Page } from '@playwright/test';

/** An element of a parsed sentence: text, or a value with what it chooses between. */
interface Element {
  readonly type: number;
  readonly value: string;
  readonly options?: Readonly<Record<string, { readonly value: Sentence }>>;
}
type Sentence = string | readonly Element[];

const TEXT = 0;
const accents: Readonly<Record<string, string>> = { a: 'á', e: 'é', i: 'í', o: 'ó', u: 'ú', A: 'Á', E: 'É', I: 'Í', O: 'Ó', U: 'Ú' }; // prettier-ignore
/** By how much a translation may be longer than its English. */
const LONGER = 0.3;
const MOST = 12;

/** A text of a language that nobody speaks: every vowel accented, and longer than English. */
function text(english: string): string {
  const letters = english.trim().length;
  if (letters < 3 || !/[a-z]/i.test(english)) return english;
  const more = '·'.repeat(Math.min(MOST, Math.ceil(letters * LONGER)));
  return english.replace(/[aeiou]/gi, (vowel) => accents[vowel] ?? vowel).replace(/(\s*)$/, `${more}$1`);
}

function sentence(english: Sentence): Sentence {
  if (typeof english === 'string') return text(english);
  return english.map(({ options, ...element }) => ({
    ...element,
    ...(element.type === TEXT && { value: text(element.value) }),
    ...(options && {
      options: Object.fromEntries(
        Object.entries(options).map(([key, one]) => [key, { ...one, value: sentence(one.value) }]),
      ),
    }),
  }));
}

type Catalogue = Readonly<Record<string, Sentence>>;

/** What a file of sentences gives: the sentences of a stage, or those of several, each under a name of its own. */
type CatalogueFile = Readonly<Record<string, Catalogue | { readonly default: Catalogue }>>;

const asModule = (code: string) => `data:text/javascript;charset=utf-8,${encodeURIComponent(code)}`;

const inPseudo = (english: Catalogue): string =>
  JSON.stringify(Object.fromEntries(Object.entries(english).map(([key, one]) => [key, sentence(one)])));

/** The code of a file of sentences in the pseudo-language. `helper`: the code of what files of several stages import. */
async function pseudoFile(code: string, helper: string): Promise<string> {
  const alone = code.replace(/from\s*"\.\/rolldown-runtime[^"]*"/, () => `from ${JSON.stringify(asModule(helper))}`);
  const { default: english, ...stages } = (await import(asModule(alone))) as CatalogueFile;
  if (english) return `export default ${inPseudo(english as Catalogue)};`;
  return Object.entries(stages)
    .map(([name, stage]) => `export const ${name} = { default: ${inPseudo(stage.default as Catalogue)} };`)
    .join('\n');
}

/** Has the page read its English sentences in the pseudo-language. What is still plain English is in no catalogue. */
export async function readPseudo(page: Page): Promise<void> {
  await page.route(/\/assets\/sentences-en-[^/]*\.js$/, async (route) => {
    // A connection that was kept open may be closed by the server just as it is used again.
    const response = await route.fetch({ maxRetries: 3 });
    const code = await response.text();
    const [helper] = /rolldown-runtime[^"]*/.exec(code) ?? [];
    const helping = helper ? await route.fetch({ url: new URL(helper, route.request().url()).href, maxRetries: 3 }) : undefined; // prettier-ignore
    await route.fulfill({ response, body: await pseudoFile(code, (await helping?.text()) ?? '') });
  });
}

const COLOUR = /#[0-9a-f]{6}\b/g;
const ADDRESS = /https?:\/\/\S+/g;

/** English words of what stands on a page that come neither from a catalogue nor from the workshop's own data. */
export function plainEnglish(said: readonly string[], own: ReadonlySet<string>): string[] {
  const names = [...own].filter((name) => name.length > 2).sort((a, b) => b.length - a.length);
  return said.filter((one) => {
    const rest = names.reduce(
      (left, name) => left.split(name.toLowerCase()).join(' '),
      one.toLowerCase().replace(COLOUR, ' ').replace(ADDRESS, ' '),
    );
    return (rest.match(/[a-zà-ÿ·]+/g) ?? []).some(
      (word) => /^[a-z]{3,}$/.test(word) && /[aeiou]/.test(word) && !known.has(word),
    );
  });
}

/** Units, days, months and the words of a list as the browser writes them, and names that are the same everywhere. */
const known = new Set(
  'and alt chromium linux min day days cup cups scoop scoops mon tue wed thu fri sat sun monday tuesday wednesday thursday friday saturday sunday jan feb mar apr may jun jul aug sept oct nov dec january february march april june july august september october november december english español dew pot kpa mpa'.split(
    ' ',
  ),
);
