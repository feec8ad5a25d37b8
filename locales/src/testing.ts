import { InputError, type Message } from '@dewpot/core/units';
import { lookupIn } from './all.js';
import type { Reader } from './reader.js';
import { sayAll, type Said } from './said.js';
import { makeSpeaker, type Speaker } from './speaker.js';

const reader: Reader = { language: 'en', system: 'metric', currency: 'GBP', zone: 'UTC' };

function missing(key: string): never {
  throw new Error(`No sentence ${key}.`);
}

/** A speaker for tests: a missing sentence is an error. */
export const speakerFor = (over: Partial<Reader> = {}): Speaker => {
  const own = { ...reader, ...over };
  return makeSpeaker(own, lookupIn(own.language, missing));
};

const inEnglish = speakerFor();

/** What a test compares: every message in metric English. */
export function english(thing: Message): string;
export function english<T>(thing: T): Said<T>;
export function english(thing: unknown): unknown {
  return sayAll(thing, inEnglish);
}

/** What a call refuses, in English: field, what is wrong and the remedy of each issue. Throws where it does not. */
export function refusal(call: () => unknown): string {
  try {
    call();
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return error.issues.map((issue) => `${issue.field}: ${english(issue.message)} ${english(issue.remedy)}`).join('; ');
  }
  throw new Error('Nothing was refused.');
}
