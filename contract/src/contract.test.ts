import 'reflect-metadata';
import { plainToInstance } from 'class-transformer';
import { validateSync, type ValidationError } from 'class-validator';
import { describe, expect, it } from 'vitest';
import { CastEventInput, classFor, MouldInput, MixInput, PourInput, Registration, WorkshopSettings } from './index.js';

const KEY = '01890a5d-ac96-774b-bcce-b302099a8057';

/** Paths of the fields that a class refuses. */
function refused(kind: new () => object, given: object): string[] {
  const paths = (errors: readonly ValidationError[], before = ''): string[] =>
    errors.flatMap(({ property, constraints, children }) => [
      ...(constraints ? [`${before}${property}`] : []),
      ...paths(children ?? [], `${before}${property}.`),
    ]);
  return paths(
    validateSync(plainToInstance(classFor(kind, given), given), { whitelist: true, forbidNonWhitelisted: true }),
  );
}

const frustum = { kind: 'round-frustum', bottomDiameter: 160, topDiameter: 200, height: 180 };
const mould = {
  name: 'Pot',
  flexibility: 'rigid',
  piece: 'pot',
  shape: { outer: frustum, cores: [], inserts: [] },
  copies: [],
  version: 0,
};
const mix = {
  name: 'Grey',
  by: 'volume',
  grade: 5,
  exposure: 'outdoors',
  packed: false,
  binderClass: 'portland',
  moistCuringDays: 7,
  colour: '#b3ada1',
  lines: [{ materialId: KEY, parts: 1 }],
  version: 0,
};
const pour = {
  items: [{ mouldId: KEY, count: 3 }],
  mixId: KEY,
  grade: 5,
  spare: 0.05,
  moisture: {},
  scoopId: KEY,
  step: 0.25,
  temperature: 18,
  version: 0,
};
const settings = { name: 'Yard', units: 'metric', currency: 'EUR', liftLimit: 25000, bucket: 14000, scaleStep: 1 };

describe('what is right passes', () => {
  it.each([
    ['a mould', MouldInput, mould],
    ['a mix', MixInput, mix],
    ['a pour', PourInput, pour],
    ['settings', WorkshopSettings, settings],
    ['a weighing', CastEventInput, { id: KEY, at: 5, type: 'weighed', mass: 4000, step: 1 }],
    ['a clean demould', CastEventInput, { id: KEY, at: 5, type: 'demoulded', damage: [] }],
    ['bubbles', CastEventInput, { id: KEY, at: 5, type: 'bubbles', face: 'rim', grade: 3 }],
  ] as const)('%s', (_, kind, given) => {
    expect(refused(kind, given)).toEqual([]);
  });
});

describe('what is wrong is named by its field', () => {
  it.each([
    ['a mould without a name', MouldInput, { ...mould, name: '' }, 'name'],
    [
      'a solid of another kind',
      MouldInput,
      { ...mould, shape: { ...mould.shape, outer: { ...frustum, kind: 'cube' } } },
      'shape.outer.kind',
    ],
    [
      'a size in words',
      MouldInput,
      { ...mould, shape: { ...mould.shape, outer: { ...frustum, height: 'tall' } } },
      'shape.outer.height',
    ],
    ['a mould without a shape', MouldInput, { ...mould, shape: undefined }, 'shape'],
    ['a list in place of a shape', MouldInput, { ...mould, shape: [] }, 'shape'],
    ['a shape without its outer', MouldInput, { ...mould, shape: { cores: [], inserts: [] } }, 'shape.outer'],
    ['a field that nobody asked for', MouldInput, { ...mould, owner: 'me' }, 'owner'],
    ['an eighth grade', MixInput, { ...mix, grade: 8 }, 'grade'],
    ['a colour that is none', MixInput, { ...mix, colour: 'greyish' }, 'colour'],
    ['a line with no key', MixInput, { ...mix, lines: [{ materialId: 'cement', parts: 1 }] }, 'lines.0.materialId'],
    ['a pour of nothing', PourInput, { ...pour, items: [] }, 'items'],
    ['half a mould', PourInput, { ...pour, items: [{ mouldId: KEY, count: 0.5 }] }, 'items.0.count'],
    ['a third of a scoop', PourInput, { ...pour, step: 0.33 }, 'step'],
    [
      'a short passphrase',
      Registration,
      { workshop: 'Y', name: 'A', email: 'a@example.org', passphrase: 'short' },
      'passphrase',
    ],
    ['a bucket that holds nothing', WorkshopSettings, { ...settings, bucket: 0 }, 'bucket'],
    ['a weighing without a mass', CastEventInput, { id: KEY, at: 5, type: 'weighed', step: 1 }, 'mass'],
    ['a coat of honey', CastEventInput, { id: KEY, at: 5, type: 'coated', sealer: 'honey', side: 'both' }, 'sealer'],
    [
      'damage where there is no such spot',
      CastEventInput,
      { id: KEY, at: 5, type: 'demoulded', damage: [{ spot: 'lid', size: 'chip' }] },
      'damage.0.spot',
    ],
    ['a sixth grade of bubbles', CastEventInput, { id: KEY, at: 5, type: 'bubbles', face: 'rim', grade: 6 }, 'grade'],
    ['an event that nobody knows', CastEventInput, { id: KEY, at: 5, type: 'eaten' }, 'type'],
  ] as const)('%s', (_, kind, given, field) => {
    expect(refused(kind, given)).toEqual([field]);
  });
});
