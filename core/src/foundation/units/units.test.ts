import fc from 'fast-check';
import { english, refusal, speakerFor } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import { InputError, parseQuantity, requireNumber } from './index.js';

describe('a quantity as a person writes it', () => {
  it.each([
    ['2 1/2 in', 'length', 63.5],
    ['6 cm', 'length', 60],
    ['180', 'length', 180],
    ['7"', 'length', 177.8],
    ['2½ in', 'length', 63.5],
    ['12,5 cm', 'length', 125],
    ['3/4 cup', 'volume', 177.44],
    ['1.5 L', 'volume', 1500],
    ['2 lb', 'mass', 907.18],
    ['850 g', 'mass', 850],
    ['1.2 kg', 'mass', 1200],
    ['68 °F', 'temperature', 20],
    ['18', 'temperature', 18],
    ['1,500 kg', 'mass', 1500],
    ['1.976 kg', 'mass', 1976],
    ['0,125 g', 'mass', 0.125],
    ['1.500,5 g', 'mass', 1500.5],
    ['1,500.5 g', 'mass', 1500.5],
    ['1.500.000 g', 'mass', 1.5e6],
    ['18,500 °C', 'temperature', 18.5],
  ] as const)('%s', (text, dimension, expected) => {
    expect(parseQuantity(text, dimension, 'metric', 'size')).toBeCloseTo(expected, 1);
  });

  it.each([
    ['1.500', 'mass'],
    ['1,500 mL', 'volume'],
    ['12.500 mm', 'length'],
  ] as const)('“%s” is asked about: it could be thousands or decimals', (text, dimension) => {
    expect(refusal(() => parseQuantity(text, dimension, 'metric', 'size'))).toMatch(/could be \d+00 or \d+\.5 /);
    expect(parseQuantity(text, dimension, 'us', 'size')).toBeGreaterThan(0);
  });

  it('has commas before thousands where the workshop measures in inches', () => {
    expect(parseQuantity('1,500 g', 'mass', 'us', 'size')).toBe(1500);
    expect(parseQuantity('1.500 g', 'mass', 'us', 'size')).toBe(1.5);
  });

  it('means inches without a unit where the workshop measures in inches', () => {
    expect(parseQuantity('8', 'length', 'us', 'size')).toBeCloseTo(203.2, 6);
  });

  it.each(['', 'twelve', '12 bananas', '1/0 in', '1/ cm', '3 kg', '1 2 3 cm'])(
    '“%s” is refused as a length, by field and remedy',
    (text) => {
      try {
        parseQuantity(text, 'length', 'metric', 'outer.height');
        expect.unreachable();
      } catch (error) {
        expect(error).toBeInstanceOf(InputError);
        const issue = (error as InputError).issues[0]!;
        expect(issue.field).toBe('outer.height');
        expect(english(issue.remedy)).toContain('cm');
      }
    },
  );

  it('survives the round trip through either system', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 30, max: 2900, noNaN: true }),
        fc.constantFrom('metric' as const, 'us' as const),
        (mm, system) => {
          const text = speakerFor({ system }).quantity(mm, 'mm');
          expect(Math.abs(parseQuantity(text, 'length', system, 'size') - mm)).toBeLessThan(
            system === 'us' ? 0.8 : 0.51,
          );
        },
      ),
    );
  });
});

it('a number out of range is refused with what is allowed', () => {
  expect(() => requireNumber('spare', 3, 'The spare', { min: 0, max: 1 })).toThrow(InputError);
  expect(refusal(() => requireNumber('spare', 'x', 'The spare', { min: 0, max: 1 }))).toMatch(/not a number/);
  expect(requireNumber('spare', 0.05, 'The spare', { min: 0, max: 1 })).toBe(0.05);
});
