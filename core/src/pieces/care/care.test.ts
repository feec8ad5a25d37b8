import { english, refusal } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import { careNote, filledMass, plantedMass, type CareFacts } from './index.js';

const facts = {
  name: 'Hexagon pot',
  code: '12a',
  mixName: 'Sand and cement',
  uses: [],
  lightweight: false,
  gypsum: false,
  lamp: false,
} as const;

describe('a care note', () => {
  it('goes by what the piece was sealed for, else by what its mix was made for, and guesses nothing', () => {
    const care = (over: Partial<CareFacts>) => english(careNote({ ...facts, ...over }).care).join(' ');
    expect(care({})).toMatch(/was not written down/);
    expect(care({ exposure: 'frost' })).toMatch(/In winter stand it on feet/);
    expect(care({ exposure: 'outdoors' })).toMatch(/Bring it in before the first frost/);
    expect(care({ exposure: 'indoors' })).toMatch(/dry room/);
    expect(care({ uses: ['candle'], exposure: 'outdoors' })).toMatch(/dry room/);
    expect(care({ gypsum: true, exposure: 'frost' })).toMatch(/gypsum softens/);
  });

  it('says what it is made of, how it is sealed and when to look at it again', () => {
    const note = careNote({
      ...facts,
      uses: ['outdoors', 'frost'],
      sealer: { kind: 'penetrating', name: 'Penetrating silane', coats: 2 },
    });
    expect(english(note.made)).toEqual([
      'Cast by hand; number 12a.',
      'Concrete (Sand and cement).',
      'Sealed with penetrating silane, 2 coats.',
    ]);
    const { made } = careNote({ ...facts, castAt: Date.UTC(2026, 9, 12), weight: 4200, planted: 6600 });
    expect(english(made[0])).toBe('Cast by hand in October 2026; number 12a.');
    expect(english(made).at(-1)).toBe('It weighs about 4.20 kg, planted about 6.60 kg.');
    expect(english(note.care).join(' ')).toContain('every 5 years with a drop of water');
    expect(english(note.care).join(' ')).toContain('stand it on feet');
  });

  it('warns by what it is for, and of what nobody tested', () => {
    expect(english(careNote({ ...facts, uses: ['candle'] }).cautions).join()).toContain('Never leave a candle alone');
    expect(english(careNote({ ...facts, lamp: true }).cautions).join()).toContain('qualified person');
    expect(english(careNote({ ...facts, uses: ['animals'] }).cautions).join()).toContain('Change its water');
    expect(english(careNote({ ...facts, uses: ['animals'], ph: 8.2 }).cautions).join()).toContain('pH 8.2');
    expect(english(careNote(facts).cautions)).toEqual(['Not for food or drink.']);
    expect(english(careNote({ ...facts, gypsum: true }).care).join()).toContain('softens in water');
  });
});

it('a planted pot weighs itself and watered soil; a full jar itself and its water', () => {
  expect(plantedMass(4000, 2000).value).toBeCloseTo(6200, 9);
  expect(filledMass(900, 350).value).toBe(1250);
  expect(refusal(() => plantedMass(0, 2000))).toContain('The piece');
});
