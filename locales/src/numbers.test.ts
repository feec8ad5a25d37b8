import { describe, expect, it } from 'vitest';
import { speakerFor } from './testing.js';
import { writeQuantity, writeWeighing } from './numbers.js';

describe('a quantity as the workshop reads it', () => {
  it.each([
    [2014.89, 'mL', 'metric', '2.01 L'],
    [6650, 'g', 'metric', '6.65 kg'],
    [19.88, 'mm', 'metric', '19.9 mm'],
    [180, 'mm', 'us', '7 1/16 in'],
    [4.7625, 'mm', 'us', '3/16 in'],
    [304.8, 'mm', 'us', '12 in'],
    [1200, 'mm', 'us', '47.24 in'],
    [500, 'mL', 'us', '2.11 cups'],
    [100, 'mL', 'us', '3.4 fl oz'],
    [9000, 'mL', 'us', '2.38 gal'],
    [6650, 'g', 'us', '14.7 lb'],
    [20, '°C', 'us', '68 °F'],
    [10, 'K', 'us', '18 °F'],
    [3.5, 'MPa', 'us', '510 psi'],
    [2.1, 'kg/L', 'us', '131 lb/ft³'],
    [185200, 'mm²', 'metric', '0.185 m²'],
    [85240, 'mm²', 'metric', '852 cm²'],
    [449.1, 'h', 'metric', '18.7 days'],
    [29.2, 'MPa', 'metric', '29 MPa'],
    [93.96, '%', 'metric', '94 %'],
  ] as const)('%d %s in %s is %s', (value, unit, system, text) => {
    expect(speakerFor({ system }).quantity(value, unit)).toBe(text);
  });

  it.each([
    [2014.89, 'mL', '2,01 L'],
    [449.1, 'h', '18,7 días'],
    [12345.6, 'money', '12.345,60 €'],
  ] as const)('%d %s is %s in Spanish', (value, unit, text) => {
    const say = speakerFor({ language: 'es', currency: 'EUR' });
    expect(say.quantity(value, unit).replace(/\s/g, ' ')).toBe(text);
  });

  it('money has the sign of its currency where the reader puts it', () => {
    expect(speakerFor({ currency: 'GBP' }).quantity(2.5, 'money')).toBe('£2.50');
    expect(speakerFor({ currency: 'USD', system: 'us' }).quantity(2.5, 'money')).toBe('$2.50');
  });
});

describe('a mass in a field and on a scale', () => {
  const [metric, us, spanish] = [
    speakerFor().reader,
    speakerFor({ system: 'us' }).reader,
    speakerFor({ language: 'es' }).reader,
  ];
  it('keeps what was typed', () => {
    expect(writeQuantity(1976, 'g', metric)).toBe('1.976 kg');
    expect(writeQuantity(1976, 'g', spanish)).toBe('1,976 kg');
    expect(writeQuantity(63.5, 'mm', us)).toBe('2.5 in');
    expect(writeQuantity(180, 'mm', metric)).toBe('180 mm');
  });
  it('is told to the scale’s own step', () => {
    expect(writeWeighing(1976, 1, metric)).toBe('1976 g');
    expect(writeWeighing(1976, 5, metric)).toBe('1976 g');
    expect(writeWeighing(12.4, 0.1, metric)).toBe('12.4 g');
    expect(writeWeighing(1976, 1, us)).toBe('4.356 lb');
  });
});

describe('a time of the clock', () => {
  it.each(['en', 'es'] as const)(
    'is told in %s as each reader’s units have it, whoever was told before',
    (language) => {
      const told = (['metric', 'us', 'metric'] as const).map((system) =>
        speakerFor({ language, system }).value({ at: Date.UTC(2026, 5, 3, 9, 5), as: 'clock' }),
      );
      expect(told[0]).toBe('09:05');
      expect(told[1]).toMatch(/^9:05/);
      expect(told[2]).toBe('09:05');
    },
  );
});
