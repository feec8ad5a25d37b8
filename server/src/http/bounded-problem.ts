import type { FieldIssue, Message } from '@dewpot/core/units';
import type { ProblemIssue } from '@dewpot/contract';
import type { Speaker } from '@dewpot/locales';

/** So many errors are told, and so much of each value: an answer is never larger than what was asked. */
const MOST_ERRORS = 20;
const MOST_TEXT = 200;
const MOST_DETAIL = 2_000;

const cut = (text: string, most: number) => (text.length > most ? `${text.slice(0, most)}…` : text);

/** A value as it is told back: numbers and short texts as they are, the rest cut. */
function shortValue(value: unknown): unknown {
  if (typeof value === 'string') return cut(value, MOST_TEXT);
  if (typeof value !== 'object' || value === null) return value;
  const size = Array.isArray(value) ? value.length : Object.keys(value).length;
  // Long things are not even written out before they are cut.
  if (size > MOST_TEXT) return Array.isArray(value) ? `a list of ${size}` : `an object of ${size} fields`;
  const text = JSON.stringify(value);
  return text.length > MOST_TEXT ? cut(text, MOST_TEXT) : value;
}

/** The first errors, each short, in the reader's words. */
export const boundedErrors = (errors: readonly FieldIssue[], say: Speaker): ProblemIssue[] =>
  errors.slice(0, MOST_ERRORS).map(({ field, value, message, remedy }) => ({
    field: cut(field, MOST_TEXT),
    value: shortValue(value),
    message: cut(say(message), MOST_DETAIL),
    remedy: cut(say(remedy), MOST_DETAIL),
  }));

export const boundedDetail = (detail: readonly Message[], say: Speaker): string =>
  cut(
    detail
      .slice(0, MOST_ERRORS)
      .map((one) => say(one))
      .join(' '),
    MOST_DETAIL,
  );
