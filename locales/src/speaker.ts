import type { Message, MessageKey, MessageValue, Moment, Phrase, Quantity, Unit } from '@dewpot/core/units';
import { IntlMessageFormat } from 'intl-messageformat';
import { splitQuantity, writeMoney, writeNumber } from './numbers.js';
import { localeOf, type Reader } from './reader.js';

/** A sentence of a catalogue: as it was written, or as the build has parsed it. */
export type Entry = ConstructorParameters<typeof IntlMessageFormat>[0];
/** Finds the sentence of a key. Undefined: there is none yet. */
export type Lookup = (key: MessageKey) => Entry | undefined;
type Values = Readonly<Record<string, MessageValue>>;

/** Says messages, and what stands in them, to one reader. */
export interface Speaker {
  readonly reader: Reader;
  /** A message by its key and values, or as it came. What somebody named stays as it is. */
  (key: MessageKey, values?: Values): string;
  (phrase: Message): string;
  /** A name, a message, or any value of one. */
  value(value: MessageValue | Phrase): string;
  /** The same as it stands within a sentence: its first letter small. */
  inline(value: MessageValue | Phrase): string;
  quantity(value: number, unit: Unit, decimals?: number): string;
  /** An amount split into its number and its unit. */
  split(value: number, unit: Unit): { number: string; unit: string };
}

/** A sentence with its first letter small, as it stands within another; capitals of an abbreviation stay. */
const lowerFirst = (text: string): string =>
  /^\p{Lu}(?!\p{Lu})/u.test(text) ? text.charAt(0).toLocaleLowerCase() + text.slice(1) : text;

/** Spanish joins “de el” and “a el” to one word. */
const joined = (text: string): string =>
  text.replace(/(^|\s)([Dd]e|[Aa]) el (?=\p{Ll})/gu, (_, before: string, word: string) => `${before}${word}l `);

/** Kinds of a parsed sentence's parts, as the parser numbers them (its own enumeration would be loaded whole). */
const LITERAL = 0;
const ARGUMENT = 1;

const day = { day: 'numeric', month: 'short', year: 'numeric' } as const;
/** US readers tell the clock by a.m. and p.m. */
const clockOf = ({ system }: Reader): Intl.DateTimeFormatOptions =>
  system === 'us' ? { hour: 'numeric', minute: '2-digit' } : { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' };
const momentParts: Record<Moment['as'], (clock: Intl.DateTimeFormatOptions) => Intl.DateTimeFormatOptions> = {
  month: () => ({ month: 'long', year: 'numeric' }),
  day: () => day,
  time: (clock) => ({ weekday: 'short', day: 'numeric', month: 'short', ...clock }),
  clock: (clock) => clock,
  weekday: () => ({ weekday: 'short' }),
  longWeekday: () => ({ weekday: 'long' }),
  date: () => ({ day: 'numeric', month: 'short' }),
  exact: (clock) => ({ weekday: 'long', ...day, month: 'long', ...clock }),
};

/** Sentences that choose by their values, by the locale that they are read in, and ways to write a moment, by all that they depend on: made once for all readers. */
const sentences = new Map<string, Map<Entry, IntlMessageFormat>>();
const moments = new Map<string, Intl.DateTimeFormat>();

/** What is kept under a key; made where it is not there yet. */
function kept<Key, Made>(all: Map<Key, Made>, key: Key, make: () => Made): Made {
  const made = all.get(key) ?? make();
  all.set(key, made);
  return made;
}

/** Makes the speaker of a reader. `lookup` finds sentences. */
export function makeSpeaker(reader: Reader, lookup: Lookup): Speaker {
  const locale = localeOf(reader);
  const chosen = kept(sentences, locale, () => new Map<Entry, IntlMessageFormat>());

  function moment(as: Moment['as']): Intl.DateTimeFormat {
    const { system, zone } = reader;
    const make = () =>
      new Intl.DateTimeFormat(locale, { ...momentParts[as](clockOf(reader)), ...(zone && { timeZone: zone }) });
    // Spanish is one locale whatever the units are, and these choose the clock.
    return kept(moments, [locale, system, zone, as].join(' '), make);
  }

  function written(entry: Entry, values: Values): string {
    if (typeof entry === 'string' && !entry.includes('{')) return entry;
    const text = plain(entry, values);
    if (text !== undefined) return text;
    const make = () => new IntlMessageFormat(entry, locale, undefined, { ignoreTag: true });
    return String(kept(chosen, entry, make).format(spoken(values)));
  }

  /** A parsed sentence that only names its values; undefined where it chooses by them, or one is missing. */
  function plain(entry: Entry, values: Values): string | undefined {
    if (typeof entry === 'string') return undefined;
    let text = '';
    for (const part of entry) {
      const said = part.type === LITERAL ? part.value : part.type === ARGUMENT ? named(part.value, values) : undefined;
      if (said === undefined) return undefined;
      text += said;
    }
    return text;
  }

  /** A value by the name that a sentence has for it. */
  function named(name: string, values: Values): string | undefined {
    const value = values[name];
    if (value !== undefined) return typeof value === 'number' ? String(value) : sayValue(value);
    const whole = name.endsWith('Inline') ? values[name.slice(0, -'Inline'.length)] : undefined;
    return whole === undefined ? undefined : inline(whole);
  }

  /** Values as the sentence takes them: numbers to count by, the rest as text, each also as it stands within a sentence, made only where one asks. */
  function spoken(values: Values): Record<string, string | number> {
    const said: Record<string, string | number> = {};
    for (const [name, value] of Object.entries(values)) {
      said[name] = typeof value === 'number' ? value : sayValue(value);
      Object.defineProperty(said, `${name}Inline`, { get: () => inline(value) });
    }
    return said;
  }

  /** A value as it stands within a sentence; of a list, each of its own. */
  function inline(value: MessageValue): string {
    if (typeof value === 'object' && 'list' in value) return sayValue({ ...value, list: value.list.map(inline) });
    return lowerFirst(sayValue(value));
  }

  function sayQuantity({ value, unit, decimals }: Quantity): string {
    if (unit === 'money') return writeMoney(value, reader);
    const split = splitQuantity(value, unit, reader, decimals);
    const sign = unitWord(split.unit, split.number);
    // The sign of an angle stands close to its number (ISO 80000-1).
    return sign === '°' ? `${split.number}°` : sign ? `${split.number} ${sign}` : split.number;
  }

  /** A unit as it stands behind its number. Most are the same in every language. */
  function unitWord(unit: string, number: string): string {
    if (unit === 'ratio' || unit === 'money' || unit === 'count') return '';
    if (unit === 'days' || unit === 'scoops' || unit === 'cups')
      return say(`units.${unit}`, { count: number === '1' ? 1 : 2 });
    return unit;
  }

  function sayValue(value: MessageValue): string {
    if (typeof value === 'string') return value;
    if (typeof value === 'number') return writeNumber(value, 0, reader);
    if ('key' in value) return say(value);
    if ('list' in value)
      return new Intl.ListFormat(locale, { type: value.type === 'and' ? 'conjunction' : 'disjunction' }).format(
        value.list.map(sayValue),
      );
    if ('number' in value) return writeNumber(value.number, value.decimals, reader);
    if ('at' in value) return moment(value.as).format(value.at);
    return sayQuantity(value);
  }

  function say(phrase: MessageKey | Message, given: Values = {}): string {
    const { key, values = {} } = typeof phrase === 'string' ? { key: phrase, values: given } : phrase;
    const entry = lookup(key);
    if (entry === undefined) return '';
    const text = written(entry, values);
    return reader.language === 'es' ? joined(text) : text;
  }

  return Object.assign(say, {
    reader,
    value: sayValue,
    inline,
    quantity: (value: number, unit: Unit, decimals?: number) =>
      sayQuantity(decimals === undefined ? { value, unit } : { value, unit, decimals }),
    split: (value: number, unit: Unit) => {
      const { number, unit: sign } = splitQuantity(value, unit, reader);
      return { number, unit: unitWord(sign, number) };
    },
  });
}
