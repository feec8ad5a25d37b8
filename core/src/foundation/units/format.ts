import type { Unit } from './figure.js';
import type { UnitSystem } from './parse.js';

const MM_PER_INCH = 25.4;
const MM2_PER_SQUARE_INCH = MM_PER_INCH ** 2;
const SQUARE_FEET_PER_SQUARE_METRE = 10.7639104;
const ML_PER_FLUID_OUNCE = 29.5735295625;
const ML_PER_CUP = 8 * ML_PER_FLUID_OUNCE;
const ML_PER_GALLON = 3785.411784;
export const G_PER_OUNCE = 28.349523125;
export const G_PER_POUND = 453.59237;
const PSI_PER_MPA = 145.0377377;
const LB_PER_CUBIC_FOOT = 62.42796;
const LB_PER_CUBIC_YARD = 1.685555;
const LB_PER_SQUARE_FOOT = 0.2048161;
const KM_PER_MILE = 1.609344;

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

/** Units in which values are shown: those of the core, and those of the workshop. */
type ShownUnit =
  | Unit
  | 'L'
  | 'kg'
  | 'cm²'
  | 'in'
  | 'in²'
  | 'ft²'
  | 'fl oz'
  | 'cups'
  | 'gal'
  | 'oz'
  | 'lb'
  | '°F'
  | 'psi'
  | 'lb/ft³'
  | 'lb/yd³'
  | 'lb/ft²/h'
  | 'mph';

/** A value in the unit in which it is shown, with the digits that a hand can use. */
export interface ShownQuantity {
  readonly value: number;
  readonly unit: ShownUnit;
  readonly decimals: number;
  /** Parts of a whole to which it is rounded in place of decimals: 16 for sixteenths of an inch. */
  readonly parts?: number;
}

const usual: Partial<Record<Unit, number>> = {
  'mm²': 0,
  'm²': 2,
  '°C': 1,
  K: 0,
  h: 1,
  min: 0,
  days: 1,
  MPa: 0,
  kPa: 2,
  'kg/L': 2,
  'kg/m²/h': 3,
  'kg/m³': 1,
  'km/h': 0,
  ratio: 2,
  money: 2,
  scoops: 2,
  count: 0,
};

/** Hours from which an age is told in days. */
const TOLD_IN_DAYS = 72;

/** A digit after the point where it says something: "2.5 days", "7 days". */
const tenths = (value: number): number => (Math.round(value * 10) % 10 === 0 ? 0 : 1);

function metric(value: number, unit: Unit): ShownQuantity {
  const size = Math.abs(value);
  if (unit === 'mm') return { value, unit, decimals: size < 30 ? 1 : 0 };
  if (unit === 'mL')
    return size < 1000 ? { value, unit, decimals: 0 } : { value: value / 1000, unit: 'L', decimals: 2 };
  if (unit === 'g') {
    if (size < 1000) return { value, unit, decimals: size < 10 ? 1 : 0 };
    return { value: value / 1000, unit: 'kg', decimals: size < 10000 ? 2 : 1 };
  }
  if (unit === 'h' && size >= TOLD_IN_DAYS) return { value: value / 24, unit: 'days', decimals: tenths(value / 24) };
  if (unit === 'h' || unit === 'days') return { value, unit, decimals: tenths(value) };
  if (unit === '%') return { value, unit, decimals: size < 10 ? 1 : 0 };
  if (unit === 'mm²')
    return value < 1e5
      ? { value: value / 100, unit: 'cm²', decimals: 0 }
      : { value: value / 1e6, unit: 'm²', decimals: 3 };
  if (unit === '°') return { value, unit, decimals: tenths(value) };
  return { value, unit, decimals: usual[unit] ?? 2 };
}

/** Inches up to this are shown in sixteenths. */
const FRACTIONS_TO = 36;

function customary(value: number, unit: Unit): ShownQuantity {
  const size = Math.abs(value);
  switch (unit) {
    case 'mm': {
      const inches = value / MM_PER_INCH;
      return { value: inches, unit: 'in', decimals: 2, ...(Math.abs(inches) <= FRACTIONS_TO && { parts: 16 }) };
    }
    case 'mm²':
      return size < 1e5
        ? { value: value / MM2_PER_SQUARE_INCH, unit: 'in²', decimals: 1 }
        : { value: (value / 1e6) * SQUARE_FEET_PER_SQUARE_METRE, unit: 'ft²', decimals: 2 };
    case 'm²':
      return { value: value * SQUARE_FEET_PER_SQUARE_METRE, unit: 'ft²', decimals: 1 };
    case 'mL':
      if (size >= ML_PER_GALLON) return { value: value / ML_PER_GALLON, unit: 'gal', decimals: 2 };
      if (size >= 2 * ML_PER_CUP) return { value: value / ML_PER_CUP, unit: 'cups', decimals: 2 };
      return { value: value / ML_PER_FLUID_OUNCE, unit: 'fl oz', decimals: 1 };
    case 'g':
      return size >= G_PER_POUND
        ? { value: value / G_PER_POUND, unit: 'lb', decimals: 1 }
        : { value: value / G_PER_OUNCE, unit: 'oz', decimals: 2 };
    case '°C':
      return { value: (value * 9) / 5 + 32, unit: '°F', decimals: 0 };
    case 'K':
      return { value: (value * 9) / 5, unit: '°F', decimals: 0 };
    case 'MPa':
      return { value: Math.round((value * PSI_PER_MPA) / 10) * 10, unit: 'psi', decimals: 0 };
    case 'kPa':
      return { value: (value * PSI_PER_MPA) / 1000, unit: 'psi', decimals: 2 };
    case 'kg/L':
      return { value: value * LB_PER_CUBIC_FOOT, unit: 'lb/ft³', decimals: 0 };
    case 'kg/m³':
      return { value: value * LB_PER_CUBIC_YARD, unit: 'lb/yd³', decimals: 1 };
    case 'kg/m²/h':
      return { value: value * LB_PER_SQUARE_FOOT, unit: 'lb/ft²/h', decimals: 3 };
    case 'km/h':
      return { value: value / KM_PER_MILE, unit: 'mph', decimals: 0 };
    default:
      return metric(value, unit);
  }
}

/** A value of the core in the workshop's unit, rounded to what a hand can use. */
export const shownQuantity = (value: number, unit: Unit, system: UnitSystem): ShownQuantity =>
  system === 'us' ? customary(value, unit) : metric(value, unit);

/** A mass as its scale shows it, to the scale's own `step` (both g). */
export function shownWeighing(mass: number, step: number, system: UnitSystem): ShownQuantity {
  const decimals = (size: number) => Math.max(0, -Math.floor(Math.log10(size) + 1e-9));
  if (system === 'metric') return { value: mass, unit: 'g', decimals: decimals(step) };
  const [unit, size] = mass >= G_PER_POUND ? (['lb', G_PER_POUND] as const) : (['oz', G_PER_OUNCE] as const);
  return { value: mass / size, unit, decimals: decimals(step / size) };
}
