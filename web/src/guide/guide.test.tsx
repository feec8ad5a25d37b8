import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import fontkit from '@pdf-lib/fontkit';
import { act, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import type { Token, Tokens } from 'marked';
import { fakeServer, renderScreen } from '../../test/fake-server';
import { stations } from '../shell/stations';
import { innerScreens } from '../shell/inner-screens';
import { chapterAt, places } from '../ui/guide-places';
import { chapterOf, loadGuide, type Chapter } from './chapters';
import { GuidePage } from './guide-page';
import { findInGuide } from './search';

const FACE = '@fontsource/atkinson-hyperlegible/files/atkinson-hyperlegible-latin-400-normal.woff';
const en = await loadGuide('en');
const es = await loadGuide('es');

/** Kinds of all tokens, and of those within them. */
const kindsOf = (tokens: readonly Token[]): string[] =>
  tokens.flatMap((token) => [
    token.type,
    ...('tokens' in token && token.tokens ? kindsOf(token.tokens) : []),
    ...(token.type === 'list' ? (token as Tokens.List).items.flatMap(({ tokens: own }) => kindsOf(own)) : []),
  ]);
const shapeOf = ({ slug, lead, sections }: Chapter) => [slug, lead.length, sections.map(({ lines }) => lines.length)];

describe('the guide', () => {
  it('has the same chapters and sections in both languages', () => {
    expect(en.map(({ slug }) => slug)).toEqual(places.map(({ slug }) => slug));
    expect(es.map(shapeOf)).toEqual(en.map(shapeOf));
  });

  it.each([['en', en, 'The work, Two ways, Cautions, How the figures are made, What to record, and why'], ['es', es, 'El trabajo, Dos maneras, Precauciones, Cómo se hacen las cifras, Qué anotar, y por qué']] as const)(
    'tells in every chapter the work, the schools, the cautions, the figures and the record: %s',
    (_, chapters, headings) => {
      for (const { sections } of chapters) expect(sections.map(({ title }) => title).join(', ')).toBe(headings);
    },
  ); // prettier-ignore

  it('is written in nothing that its screen cannot show', () => {
    const kinds = [...en, ...es].flatMap(({ lead, sections }) => kindsOf([...lead, ...sections.flatMap(({ tokens }) => tokens)])); // prettier-ignore
    expect([...new Set(kinds)].sort()).toEqual(['em', 'list', 'paragraph', 'strong', 'text']);
  });

  it('has no letter that the face of its book lacks', () => {
    const face = fontkit.create(new Uint8Array(readFileSync(createRequire(import.meta.url).resolve(FACE)))); // prettier-ignore
    const text = [...en, ...es].flatMap(({ title, about, sections }) => [title, about, ...sections.flatMap((one) => [one.title, ...one.lines])]); // prettier-ignore
    const lacks = [...new Set(text.join(''))].filter((letter) => !face.hasGlyphForCodePoint(letter.codePointAt(0)!));
    expect(lacks).toEqual([]);
  });

  it('is opened where one stands', () => {
    expect(['/', '/moulds/new', '/mixes/7/card', '/pours/7', '/pours/7/bench', '/casts/7', '/findings', '/findings/money', '/workshop/data', '/glossary'].map(chapterAt)).toEqual(
      ['curing', 'moulds', 'mixes', 'pours', 'bench', 'sealing', 'findings', 'money', 'workshop', 'curing'],
    ); // prettier-ignore
    const slugs = places.map(({ slug }) => slug);
    for (const { path } of [...stations, ...innerScreens]) expect(slugs).toContain(chapterAt(path));
  });

  it('finds words without regard to accents and capitals, in headings first', () => {
    expect(findInGuide(es, 'VENTANA desmoldeo')[0]).toMatchObject({ slug: 'curing', section: 'Cómo se hacen las cifras' }); // prettier-ignore
    expect(findInGuide(en, 'moulds work')[0]).toMatchObject({ slug: 'moulds', section: 'The work', at: 0 });
    expect(findInGuide(en, 'vinegar')[0]?.line).toMatch(/^A vinegar bath etches/);
    expect(findInGuide(en, 'unicorn')).toEqual([]);
    expect(findInGuide(en, '  ')).toEqual([]);
  });

  it('takes a file without headings as it is', () => {
    expect(chapterOf({ slug: 'x', from: [] }, 'Words alone.')).toMatchObject({ title: 'x', about: 'Words alone.', sections: [] }); // prettier-ignore
  });
});

// jsdom lays nothing out, and so scrolls nowhere.
Element.prototype.scrollIntoView = () => undefined;

it('a chapter is read, another one found by a word, and its lesson tried', async () => {
  fakeServer();
  await act(async () => void renderScreen(<GuidePage />, '/guide/curing', '/guide/:chapter'));
  const work = await screen.findByRole('region', { name: 'The work' });
  expect(within(work).getAllByRole('listitem')).toHaveLength(5);
  expect(screen.getByRole('link', { name: 'Heatwave' })).toHaveAttribute('href', '/casts/try?lesson=heatwave');
  await userEvent.type(screen.getByLabelText('Search the guide'), 'candle');
  expect(await screen.findByText(/sections on “candle”/)).toBeVisible();
  await userEvent.click(screen.getByRole('link', { name: 'Drying and sealing: Cautions' }));
  await userEvent.clear(screen.getByLabelText('Search the guide'));
  expect(await screen.findByRole('heading', { level: 1, name: 'Drying and sealing' })).toBeVisible();
});
