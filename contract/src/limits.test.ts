import 'reflect-metadata';
import { plainToInstance } from 'class-transformer';
import { getMetadataStorage, validateSync } from 'class-validator';
import { describe, expect, it } from 'vitest';
import * as contract from './index.js';

type Checks = ReadonlyMap<string, boolean>;

/** The checks of each field of a class: their names, and whether they are of each element. */
function fieldsOf(kind: new () => object): Map<string, Checks> {
  const metas = getMetadataStorage().getTargetValidationMetadatas(kind, '', false, false);
  const fields = new Map<string, Map<string, boolean>>();
  for (const { propertyName, name, type, each } of metas) {
    const checks = fields.get(propertyName) ?? new Map<string, boolean>();
    checks.set(name ?? type, each);
    fields.set(propertyName, checks);
  }
  return fields;
}

const CLOSED = [
  'isIn',
  'isUuid',
  'isHexColor',
  'isBoolean',
  'equals',
  'isTimeZone',
  'isISO4217CurrencyCode',
  contract.BY_KEY,
  contract.LOOPS,
  contract.OUTLINE,
];

/** What a field lacks to be bounded. */
function missing(checks: Checks): string[] {
  const has = (name: string) => checks.has(name);
  const wants = (kind: string, ...bounds: string[]) =>
    has(kind) ? bounds.filter((bound) => !has(bound)).map((bound) => `${kind} without ${bound}`) : [];
  const element = has('nestedValidation') && has('isArray') && !checks.get('isObject') ? ['a list within a list'] : [];
  const kinds = ['isNumber', 'isInt', 'isString', 'isEmail', 'isArray', 'nestedValidation', ...CLOSED];
  return [
    ...wants('isNumber', 'min', 'max'),
    ...wants('isInt', 'min', 'max'),
    ...wants('isString', 'isLength'),
    ...wants('isEmail', 'maxLength'),
    ...wants('isArray', 'arrayMaxSize'),
    ...wants('nestedValidation', 'isObject'),
    ...element,
    ...(kinds.some(has) ? [] : ['no kind at all']),
  ];
}

const classes = Object.entries(contract).filter(
  (entry): entry is [string, new () => object] =>
    typeof entry[1] === 'function' && fieldsOf(entry[1] as new () => object).size > 0,
);

describe('every number, list and text of a request has a least and a most', () => {
  it('looks at every class of the contract', () => {
    expect(classes.length).toBeGreaterThan(120);
  });

  it.each(classes)('%s', (_, kind) => {
    const unbounded = [...fieldsOf(kind)].flatMap(([field, checks]) =>
      missing(checks).map((what) => `${field}: ${what}`),
    );
    expect(unbounded).toEqual([]);
  });
});

describe('what would freeze a calculation or fell it is refused', () => {
  const refused = (kind: new () => object, given: object) =>
    validateSync(plainToInstance(contract.classFor(kind, given), given), { whitelist: true }).map(
      ({ property }) => property,
    );
  const pot = { kind: 'polygon-frustum', height: 100, bottomAcross: 100, topAcross: 120 };
  const mix = { lines: [{ material: 'grey-cement', parts: 1 }], by: 'volume', grade: 4, exposure: 'outdoors' };

  it.each([
    ['a billion sides', contract.SolidInput, { ...pot, sides: 1e9 }, 'sides'],
    ['a height that is no number', contract.SolidInput, { ...pot, sides: 6, height: NaN }, 'height'],
    [
      'a scoop of a millionth',
      contract.MeasuresQuestion,
      { mix, volume: 900, scoops: [1e-6], step: 0.5, scaleStep: 1 },
      'scoops',
    ],
    ['a billion hours', contract.TemperaturePoint, { hour: 1e9, temperature: 18 }, 'hour'],
    ['a stretch without an end', contract.FaceHourInput, { from: 0, to: 1e9, evaporation: 1 }, 'to'],
    ['an empty list as a line', contract.MixQuestion, { ...mix, lines: [[]] }, 'lines'],
    ['a list in a list as a line', contract.MixQuestion, { ...mix, lines: [[[]]] }, 'lines'],
    [
      'an outline of words',
      contract.SolidInput,
      {
        kind: 'prism',
        outline: [
          ['a', 1],
          [0, 1],
          [1, 1],
        ],
      },
      'outline',
    ],
    [
      'a moisture of the wrong kind',
      contract.WaterQuestion,
      { mix, volume: 900, order: 'powder-to-water', moisture: { peat: 'wet' } },
      'moisture',
    ],
  ] as const)('%s', (_, kind, given, field) => {
    expect(refused(kind, given)).toEqual([field]);
  });
});
