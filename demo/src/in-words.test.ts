import { makeSpeaker } from '@dewpot/locales';
import { lookupIn } from '@dewpot/locales/all';
import { describe, expect, it } from 'vitest';
import { inWords } from './in-words.js';
import { moulds, tubs } from './moulds.js';
import { season } from './season.js';
import { tiles } from './tiles.js';
import { chips, tints } from './tints.js';
import { mixes, scoops } from './workshop.js';

const yard = { moulds, tubs, season, tiles, chips, tints, mixes, scoops };
const speaker = (language: 'en' | 'es') =>
  makeSpeaker({ language, system: 'metric', currency: 'EUR' }, lookupIn(language));

describe('the demo workshop', () => {
  it.each([
    ['en', 'Hexagon herb pot', 'the bench', 'the bean can'],
    ['es', 'Maceta hexagonal para hierbas', 'el banco', 'la lata de alubias'],
  ] as const)('calls its things in %s', (language, pot, bench, can) => {
    const told = inWords(yard, speaker(language));
    expect(told.moulds[0]).toMatchObject({ name: pot, flexibility: 'apart', copies: 4 });
    expect(told.season[0]).toMatchObject({ place: bench, cover: 'film' });
    expect(told.scoops[0]).toEqual([can, 400]);
    expect(JSON.stringify(told)).not.toContain('demo.');
  });

  it('has a name of its own for each thing, in each language', () => {
    for (const language of ['en', 'es'] as const) {
      const { moulds: shapes, mixes: recipes, tints: colours } = inWords(yard, speaker(language));
      const names = [...shapes, ...recipes, ...colours].map(({ name }) => name);
      expect(new Set(names).size).toBe(names.length);
    }
  });
});
