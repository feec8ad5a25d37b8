import type { Unit } from './figure.js';
import type { UnitSystem } from './parse.js';

interface Shown {
  readonly value: number;
  readonly unit: string;
  readonly decimals: number;
}

const MM_PER_INCH = 25.4;
const ML_PER_FLUID_OUNCE = 29.5735295625;
const ML_PER_GALLON = 3785.411784;
const G_PER_OUNCE = 28.349523125;
const G_PER_POUND = 453.59237;

/** Steps of a ruler on which a person reads round figures, in the core's units, rising. */
export const rulerSteps: Record<UnitSystem, { readonly mm: readonly number[]; readonly mL: readonly number[] }> = {
  metric: {
    mm: [10, 20, 25, 50, 100, 200, 250, 500],
    mL: [50, 100, 200, 250, 500, 1000, 2000, 5000, 10000, 20000, 50000, 100000],
  },
  us: {
    mm: [0.25, 0.5, 1, 2, 4, 8, 12, 24].map((inches) => inches * MM_PER_INCH),
    mL: [1, 2, 4, 8, 16, 32, 64, 128, 256, 512, 1024, 2048, 4096].map((ounces) => ounces * ML_PER_FLUID_OUNCE),
  },
};

function metric(value: number, unit: Unit): Shown {
  const size = Math.abs(value);
  if (unit === 'mm') return { value, unit: 'mm', decimals: size < 30 ? 1 : 0 };
  if (unit === 'mL')
    return size < 1000 ? { value, unit: 'mL', decimals: 0 } : { value: value / 1000, unit: 'L', decimals: 2 };
  if (unit === 'g') {
    if (size < 1000) return { value, unit: 'g', decimals: size < 10 ? 1 : 0 };
    return { value: value / 1000, unit: 'kg', decimals: size < 10000 ? 2 : 1 };
  }
  return other(value, unit);
}

function customary(value: number, unit: Unit): Shown {
  if (unit === 'mm') return { value: value / MM_PER_INCH, unit: 'in', decimals: 2 };
  if (unit === 'mL') {
    const gallons = Math.abs(value) >= ML_PER_GALLON;
    return {
      value: value / (gallons ? ML_PER_GALLON : ML_PER_FLUID_OUNCE),
      unit: gallons ? 'gal' : 'fl oz',
      decimals: gallons ? 2 : 1,
    };
  }
  if (unit === 'g') {
    const pounds = Math.abs(value) >= G_PER_POUND;
    return {
      value: value / (pounds ? G_PER_POUND : G_PER_OUNCE),
      unit: pounds ? 'lb' : 'oz',
      decimals: pounds ? 1 : 2,
    };
  }
  if (unit === '°C') return { value: (value * 9) / 5 + 32, unit: '°F', decimals: 0 };
  return other(value, unit);
}

/** Hours from which an age is told in days. */
const TOLD_IN_DAYS = 72;

function other(value: number, unit: Unit): Shown {
  if (unit === 'h' && Math.abs(value) >= TOLD_IN_DAYS) return { value: value / 24, unit: 'days', decimals: 1 };
  if (unit === '%') return { value, unit, decimals: Math.abs(value) < 10 ? 1 : 0 };
  const decimals: Partial<Record<Unit, number>> = {
    'mm²': 0,
    '°C': 1,
    h: 1,
    min: 0,
    days: 1,
    MPa: 0,
    kPa: 2,
    'kg/L': 2,
    'kg/m²/h': 3,
    ratio: 2,
    money: 2,
    scoops: 2,
  };
  if (unit === 'mm²')
    return value < 1e5
      ? { value: value / 100, unit: 'cm²', decimals: 0 }
      : { value: value / 1e6, unit: 'm²', decimals: 3 };
  return { value, unit: unit === 'ratio' || unit === 'money' ? '' : unit, decimals: decimals[unit] ?? 2 };
}

/** A value of the core as the workshop reads it, split into number and unit, rounded to what a hand can use. */
export function splitQuantity(value: number, unit: Unit, system: UnitSystem): { number: string; unit: string } {
  const shown = system === 'us' ? customary(value, unit) : metric(value, unit);
  return { number: shown.value.toFixed(shown.decimals), unit: shown.unit };
}

/** A value of the core as the workshop reads it: "2.01 L", "19.9 mm", "6.65 kg". */
export function formatQuantity(value: number, unit: Unit, system: UnitSystem): string {
  const { number, unit: sign } = splitQuantity(value, unit, system);
  return sign ? `${number} ${sign}` : number;
}

const MOST_DECIMALS = 3;

/** A value of the core as it is put into a field: no digit of what was typed is lost, and none is added ("1.976 kg", "2.5 in"). */
export function writeQuantity(value: number, unit: Unit, system: UnitSystem): string {
  const { value: shown, unit: sign } = system === 'us' ? customary(value, unit) : metric(value, unit);
  return `${Number(shown.toFixed(MOST_DECIMALS))} ${sign}`;
}

/** A mass as its scale shows it, to the scale's own `step` (both g): "1976 g", "12.4 g", "4.356 lb". */
export function formatWeighing(mass: number, step: number, system: UnitSystem): string {
  const decimals = (size: number) => Math.max(0, -Math.floor(Math.log10(size) + 1e-9));
  if (system === 'metric') return `${mass.toFixed(decimals(step))} g`;
  const [unit, size] = mass >= G_PER_POUND ? (['lb', G_PER_POUND] as const) : (['oz', G_PER_OUNCE] as const);
  return `${(mass / size).toFixed(decimals(step / size))} ${unit}`;
}
