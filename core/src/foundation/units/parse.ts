import Qty from 'js-quantities';
import { InputError } from './input-error.js';
import { msg, type Message } from './message.js';

export type Dimension = 'length' | 'volume' | 'mass' | 'temperature';
export const unitSystems = ['metric', 'us'] as const;
export type UnitSystem = (typeof unitSystems)[number];

/** What a number without a unit means in a field of that dimension. */
const plainUnit: Record<UnitSystem, Record<Dimension, string>> = {
  metric: { length: 'mm', volume: 'mL', mass: 'g', temperature: '°C' },
  us: { length: 'in', volume: 'cup', mass: 'oz', temperature: '°F' },
};

const baseUnit: Record<Dimension, string> = { length: 'mm', volume: 'ml', mass: 'g', temperature: 'tempC' };

/** Ways in which people write a unit that the conversion library spells otherwise. */
const spelling: Record<string, string> = {
  '"': 'in',
  '″': 'in',
  "'": 'ft',
  '′': 'ft',
  inches: 'inch',
  '°c': 'tempC',
  c: 'tempC',
  '°f': 'tempF',
  f: 'tempF',
  'fl oz': 'floz',
  fl_oz: 'floz',
  litre: 'l',
  litres: 'l',
  liters: 'l',
  tbsp: 'tablespoon',
  lbs: 'lb',
  ml: 'ml',
  gallon: 'gal',
  gallons: 'gal',
};

const vulgar: Record<string, string> = { '¼': '1/4', '½': '1/2', '¾': '3/4', '⅓': '1/3', '⅔': '2/3', '⅛': '1/8' };

function readNumber(text: string): number {
  const parts = text.split(/\s+/);
  if (parts.length > 2) return NaN;
  return parts.reduce((sum, part) => {
    const [top, bottom, more] = part.split('/');
    if (more !== undefined || top === '') return NaN;
    return sum + Number(top) / (bottom === undefined ? 1 : Number(bottom || NaN));
  }, 0);
}

/** Units so small that a thousand of them is a usual quantity: in those a point before three digits may mark thousands. */
const small = new Set(['mm', 'ml', 'g']);
const GROUPED = /^[-+]?[1-9]\d{0,2}[.,]\d{3}$/;

/** A number with a point before its decimals, whichever of point and comma were written, and where. */
function pointed(number: string, system: UnitSystem): string {
  const marks = number.match(/[.,]/g) ?? [];
  const last = marks[marks.length - 1];
  const [first] = marks;
  // Both were written, or one of them twice: what stands first marks thousands.
  if (first !== undefined && marks.length > 1) {
    const whole = number.replaceAll(first, '');
    return last === first ? whole : whole.replace(',', '.');
  }
  if (system === 'us' && last === ',' && GROUPED.test(number)) return number.replace(',', '');
  return number.replace(',', '.');
}

/**
 * Reads a quantity as a person writes it: "2 1/2 in", "6 cm", "3/4 cup", "2½", "1,5 L", "1.500,5 g".
 * A number alone is in `plainUnit[system]`. Answers in the core's base unit (mm, mL, g, °C).
 * @throws InputError naming `field` when the text is no quantity of that dimension, or could be two: “1.500 g” where commas are usual.
 */
export function parseQuantity(text: string, dimension: Dimension, system: UnitSystem, field: string): number {
  const refuse = (message: Message) =>
    new InputError([{ field, value: text, message, remedy: msg('units.writeLike', { dimension }) }]);
  const tidy = text
    .trim()
    .replace(/[¼½¾⅓⅔⅛]/g, (sign) => ` ${vulgar[sign]}`)
    .trim();
  const match = /^([-+]?[\d.,/\s]+?)\s*([a-zA-Z°"'″′][a-zA-Z°. _]*)?$/.exec(tidy);
  if (!match) throw refuse(msg('units.notQuantity', { text }));
  const written = (match[2] ?? plainUnit[system][dimension]).trim();
  const unit = spelling[written.toLowerCase()] ?? written;
  const typed = match[1]!.trim();
  if (system === 'metric' && small.has(unit.toLowerCase()) && GROUPED.test(typed)) {
    const [whole, part] = [Number(typed.replace(/[.,]/, '')), Number(pointed(typed, system))];
    const either = { text, whole: `${whole}`, part: `${part}`, unit: written };
    const remedy = msg('units.writeWhich', { ...either, part: part.toFixed(4) });
    throw new InputError([{ field, value: text, message: msg('units.couldBeTwo', either), remedy }]);
  }
  const number = readNumber(pointed(typed, system));
  if (!Number.isFinite(number)) throw refuse(msg('units.notANumber', { text }));
  try {
    return Qty(number, unit).to(baseUnit[dimension]).scalar;
  } catch {
    throw refuse(msg('units.notUnit', { unit: written, dimension }));
  }
}
