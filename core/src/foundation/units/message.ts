import type { Unit } from './figure.js';

/** Names a sentence of the catalogues: its stage, a point, and a name of its own. */
export type MessageKey = `${string}.${string}`;

/** An amount in the core's unit. Whoever reads it sees it in the units of the workshop. */
export interface Quantity {
  readonly value: number;
  readonly unit: Unit;
  /** Digits after the point in metric units, where the usual rounding of the unit is not meant. */
  readonly decimals?: number;
}

/** A number without a unit, with this many digits after its point. */
export interface Fixed {
  readonly number: number;
  readonly decimals: number;
}

/** Things in a row: "a, b and c", "a, b or c". */
export interface Listed {
  readonly list: readonly MessageValue[];
  readonly type: 'and' | 'or';
}

/** A time, ms, told as its month, its day, its day with the clock, or a part of these. */
export interface Moment {
  readonly at: number;
  readonly as: 'month' | 'day' | 'time' | 'clock' | 'weekday' | 'longWeekday' | 'date' | 'exact';
}

/** What stands in a sentence. A text is a name that somebody gave, or a code that the sentence chooses by. */
export type MessageValue = string | number | Quantity | Fixed | Listed | Moment | Message;

/** A sentence or a label, not yet in any language: its key, and the values that stand in it. */
export interface Message {
  readonly key: MessageKey;
  readonly values?: Readonly<Record<string, MessageValue>>;
}

/** A message, or what reads the same in every language: a name that somebody gave, a formula. */
export type Phrase = string | Message;

/** A sentence or a label of the catalogues. */
export function msg(key: MessageKey, values?: Readonly<Record<string, MessageValue>>): Message {
  return values ? { key, values } : { key };
}

/** An amount in a sentence, rounded as its unit usually is, or to `decimals` in metric units. */
export function quantity(value: number, unit: Unit, decimals?: number): Quantity {
  return decimals === undefined ? { value, unit } : { value, unit, decimals };
}

/** Digits after the point beyond which nothing is written. */
const MOST_DECIMALS = 3;

/** Digits after the point that a number needs, up to three; none for what somebody sent in place of a number, of which a check is just telling. */
export const neededDecimals = (value: number): number =>
  Number.isFinite(value) ? (`${Number(value.toFixed(MOST_DECIMALS))}`.split('.')[1]?.length ?? 0) : 0;

/** An amount as it was set or typed, with no digit added: "25 mm", not "25.0 mm". */
export const exactly = (value: number, unit: Unit): Quantity => quantity(value, unit, neededDecimals(value));

/** A number without a unit, to so many digits after its point. */
export const fixed = (number: number, decimals: number): Fixed => ({ number, decimals });

export const listed = (list: readonly MessageValue[]): Listed => ({ list, type: 'and' });
export const anyOf = (list: readonly MessageValue[]): Listed => ({ list, type: 'or' });

/** What tells a name or a message from every other, whatever the language: two of the same say the same. */
export const identity = (phrase: Phrase): string => JSON.stringify(phrase);

/** Messages without those that say the same again. */
export function distinct<T extends Phrase>(messages: readonly T[]): T[] {
  return [...new Map(messages.map((one) => [identity(one), one])).values()];
}

const KEY = /^[a-zA-Z]+\.[a-zA-Z0-9]+$/;

/** Whether something is a message: nothing else consists of a key of the catalogues and values alone. */
export function isMessage(thing: unknown): thing is Message {
  if (typeof thing !== 'object' || thing === null) return false;
  const { key, ...rest } = thing as Partial<Message>;
  return typeof key === 'string' && KEY.test(key) && Object.keys(rest).every((name) => name === 'values');
}
