import { describe, expect, it } from 'vitest';
import { parse, TYPE, type MessageFormatElement } from '@formatjs/icu-messageformat-parser';
import { languages, type MessageKey } from '@dewpot/core/units';
import { catalogues } from './all.js';
import { makeSpeaker, type Entry } from './speaker.js';

/** The names that a sentence asks for. */
function placeholders(elements: readonly MessageFormatElement[]): string[] {
  return elements.flatMap((one) => {
    if (one.type === TYPE.literal || one.type === TYPE.pound) return [];
    if (one.type === TYPE.plural || one.type === TYPE.select)
      return [one.value, ...Object.values(one.options).flatMap(({ value }) => placeholders(value))];
    return 'value' in one ? [one.value] : [];
  });
}
/** The same name within a sentence or by itself is the same value. */
const asked = (sentence: string) =>
  [...new Set(placeholders(parse(sentence, { ignoreTag: true })).map((name) => name.replace(/Inline$/, '')))].sort();
const sentencesOf = (language: (typeof languages)[number], stage: string) =>
  catalogues[language][stage] as Record<string, string>;

describe.each(languages.filter((language) => language !== 'en'))('the catalogues in %s', (language) => {
  it('have the stages of English', () => {
    expect(Object.keys(catalogues[language])).toEqual(Object.keys(catalogues.en));
  });

  it.each(Object.keys(catalogues.en))('say all of %s, with the same values', (stage) => {
    const [own, english] = [sentencesOf(language, stage), sentencesOf('en', stage)];
    expect(Object.keys(own).sort()).toEqual(Object.keys(english).sort());
    for (const [key, sentence] of Object.entries(english))
      expect([key, asked(own[key] ?? '')]).toEqual([key, asked(sentence)]);
  });
});

describe.each(languages)('a sentence in %s that the build has parsed', (language) => {
  const reader = { language, system: 'metric', currency: 'EUR', zone: 'UTC' } as const;
  const say = (entry: Entry, values: Record<string, string | number>) =>
    makeSpeaker(reader, () => entry)('shell.title' as MessageKey, values);

  it.each(Object.keys(catalogues.en))('is said as it was written, in %s', (stage) => {
    for (const sentence of Object.values(sentencesOf(language, stage))) {
      const parsed = parse(sentence, { ignoreTag: true });
      const names = asked(sentence);
      const texts = Object.fromEntries(names.map((name, i) => [name, `Jar ${i}`]));
      const counts = Object.fromEntries(names.map((name, i) => [name, i + 1]));
      for (const values of [texts, counts]) expect(say(parsed, values)).toBe(say(sentence, values));
    }
  });
});
