import type { Message } from '@dewpot/core/units';
import type { Reader, Speaker } from '@dewpot/locales';
import { speakerFor } from '../http/speaker.js';

let speaker: Speaker | undefined;

/** Names what a question gave no name to in the reader's language: a thread answers one question at a time. */
export function answerTo(reader: Reader): Speaker {
  speaker = speakerFor(reader);
  return speaker;
}

/** A name of ours, in the language of the question that is answered. */
export function nameOf(message: Message): string {
  if (!speaker) throw new Error('No question is being answered.');
  return speaker(message);
}
