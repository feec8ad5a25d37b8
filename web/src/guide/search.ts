import type { Chapter } from './chapters';

/** A section of the guide in which words stand. */
export interface GuideHit {
  readonly slug: string;
  readonly chapter: string;
  readonly section: string;
  /** Where the section stands in its chapter. */
  readonly at: number;
  /** The line in which the first of the words stands. */
  readonly line: string;
}

/** Without accents and capitals. */
const plain = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/** The sections of a guide that have all these words, those first that have them in their headings. */
export function findInGuide(chapters: readonly Chapter[], typed: string): GuideHit[] {
  const wanted = plain(typed).split(/\s+/).filter(Boolean);
  const [first] = wanted;
  if (first === undefined) return [];
  const has = (text: string) => wanted.every((word) => plain(text).includes(word));
  const hits = chapters.flatMap(({ slug, title: chapter, sections }) =>
    sections
      .map(({ title: section, lines }, at) => ({ slug, chapter, section, at, lines }))
      .filter((hit) => has(`${hit.chapter} ${hit.section} ${hit.lines.join(' ')}`))
      .map(({ lines, ...hit }) => ({ ...hit, line: lineWith(lines, first), headed: has(`${hit.chapter} ${hit.section}`) })),
  ); // prettier-ignore
  return hits.sort((a, b) => Number(b.headed) - Number(a.headed)).map(({ headed: _, ...hit }) => hit);
}

const lineWith = (lines: readonly string[], word: string): string =>
  (lines.find((line) => plain(line).includes(word)) ?? '').replace(/^(?:–|\d+\.) /, '');
