import { Logger } from '@nestjs/common';
import type { Language } from '@dewpot/core/units';
import { FALLBACK, makeSpeaker, preferredLanguage, type Reader, type Speaker } from '@dewpot/locales';
import { lookupIn } from '@dewpot/locales/all';
import type { AppRequest } from './request.js';

const log = new Logger('Words');
const told = new Set<string>();

/** A sentence that is missing is told once. */
function tellMissing(key: string): void {
  if (told.has(key)) return;
  told.add(key);
  log.warn(`There is no sentence ${key}`);
}

const speakers = new Map<string, Speaker>();
/** Speakers that are kept: few languages, units, currencies and zones come together. */
const MOST_KEPT = 200;

/** Says messages to a reader. One is made for many requests. */
export function speakerFor(reader: Reader): Speaker {
  const key = JSON.stringify(reader);
  const speaker = speakers.get(key) ?? makeSpeaker(reader, lookupIn(reader.language, tellMissing));
  if (speakers.size >= MOST_KEPT) speakers.clear();
  speakers.set(key, speaker);
  return speaker;
}

/** Says messages to whoever sent a request: in the language that they chose, else the one that the request asks for. */
export function speakerOf({ readsIn, headers }: Pick<AppRequest, 'readsIn' | 'headers'>): Speaker {
  const asked = preferredLanguage(headers['accept-language']);
  // A script says in its request what it wants; a browser sends its own language, whatever its person chose.
  const [first, second] = headers.authorization ? [asked, readsIn?.language] : [readsIn?.language, asked];
  return speakerFor({
    language: first ?? second ?? FALLBACK,
    system: readsIn?.units ?? 'metric',
    currency: readsIn?.currency ?? 'EUR',
  });
}

/** Says messages in a language that was chosen in the request itself, else as to whoever sent it. */
export const speakerIn = (
  language: Language | undefined,
  request: Pick<AppRequest, 'readsIn' | 'headers'>,
): Speaker => {
  const { reader } = speakerOf(request);
  return speakerFor({ ...reader, ...(language && { language }) });
};
