import type { Language } from '@dewpot/core/units';
import { marked, type Token, type Tokens } from 'marked';
import { places, type ChapterPlace } from '../ui/guide-places';

/** A part of a chapter under its own heading. */
interface GuideSection {
  readonly title: string;
  readonly tokens: readonly Token[];
  /** The same without marks: a paragraph, or an entry of a list, in each line. */
  readonly lines: readonly string[];
}

export interface Chapter extends ChapterPlace {
  readonly title: string;
  readonly lead: readonly Token[];
  /** What it is about, without marks. */
  readonly about: string;
  readonly sections: readonly GuideSection[];
}

const isHeading = (depth: number) => (token: Token) => token.type === 'heading' && token.depth === depth;
const bare = (text: string) => text.replace(/[*_`]/g, '').trim();

/** What stands in tokens, without marks. */
const linesOf = (tokens: readonly Token[]): string[] =>
  tokens.flatMap((token) => {
    if (token.type !== 'list') return [bare(token.raw)];
    const { items, ordered } = token as Tokens.List;
    return items.map(({ text }, i) => `${ordered ? `${i + 1}.` : '–'} ${bare(text)}`);
  });

/** A chapter as its file has it: a title, what it is about, and sections. */
export function chapterOf(place: ChapterPlace, file: string): Chapter {
  const tokens = marked.lexer(file).filter(({ type }) => type !== 'space');
  const heads = tokens.flatMap((token, i) => (isHeading(2)(token) ? [i] : []));
  const title = tokens.find(isHeading(1));
  const lead = tokens.slice(0, heads[0]).filter((token) => !isHeading(1)(token));
  return {
    ...place,
    title: title && 'text' in title ? title.text : place.slug,
    lead,
    about: linesOf(lead).join(' '),
    sections: heads.map((head, i) => {
      const own = tokens.slice(head + 1, heads[i + 1]);
      const heading = tokens[head];
      return { title: heading && 'text' in heading ? heading.text : '', tokens: own, lines: linesOf(own) };
    }),
  };
}

const files = import.meta.glob<string>('../../../docs/guide/*/*.md', { query: '?raw', import: 'default' });

const read = new Map<Language, Promise<readonly Chapter[]>>();

/** The guide in a language. */
export function loadGuide(language: Language): Promise<readonly Chapter[]> {
  const known = read.get(language);
  if (known) return known;
  const chapters = places.map(async (place, i) => {
    const name = `../../../docs/guide/${language}/${String(i + 1).padStart(2, '0')}-${place.slug}.md`;
    const load = files[name];
    if (!load) throw new Error(`The guide has no ${name}.`);
    return chapterOf(place, await load());
  });
  const guide = Promise.all(chapters);
  read.set(language, guide);
  // One that could not be fetched is fetched again.
  guide.catch(() => read.delete(language));
  return guide;
}
