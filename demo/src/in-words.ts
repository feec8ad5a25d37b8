import type { MessageKey } from '@dewpot/core/units';
import type { Speaker } from '@dewpot/locales';

const isSentence = (text: string): text is MessageKey => text.startsWith('demo.');

/** Data of the demo in the words of a language: each key of a sentence as what it says, wherever it stands. */
export function inWords<T>(data: T, say: Speaker): T {
  const told = (value: unknown): unknown => {
    if (typeof value === 'string') return isSentence(value) ? say(value) : value;
    if (Array.isArray(value)) return value.map(told);
    if (typeof value !== 'object' || value === null) return value;
    return Object.fromEntries(Object.entries(value).map(([key, one]) => [key, told(one)]));
  };
  return told(data) as T;
}
