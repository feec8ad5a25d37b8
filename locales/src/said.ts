import { isMessage, type Message } from '@dewpot/core/units';
import type { Speaker } from './speaker.js';

/** A value with every message in it as a text. */
export type Said<T> = T extends Message
  ? string
  : T extends readonly (infer One)[]
    ? Said<One>[]
    : T extends (...args: never[]) => unknown
      ? T
      : T extends object
        ? { [Key in keyof T]: Said<T[Key]> }
        : T;

const isPlain = (thing: object) => [Object.prototype, null].includes(Object.getPrototypeOf(thing) as object | null);

/** Says every message in plain data, however deep. Anything else stays as it is. */
export function sayAll<T>(thing: T, say: Speaker): Said<T> {
  if (isMessage(thing)) return say(thing) as Said<T>;
  if (Array.isArray(thing)) return thing.map((one: unknown) => sayAll(one, say)) as Said<T>;
  if (typeof thing === 'object' && thing !== null && isPlain(thing))
    return Object.fromEntries(
      Object.entries(thing).map(([name, one]) => [name, sayAll(one as unknown, say)]),
    ) as Said<T>;
  return thing as Said<T>;
}
