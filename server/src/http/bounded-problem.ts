import type { FieldIssue } from '@dewpot/core/units';

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

/** The first errors, each short. */
export const boundedErrors = (errors: readonly FieldIssue[]): FieldIssue[] =>
  errors.slice(0, MOST_ERRORS).map(({ field, value, message, remedy }) => ({
    field: cut(field, MOST_TEXT),
    value: shortValue(value),
    message: cut(message, MOST_DETAIL),
    remedy: cut(remedy, MOST_DETAIL),
  }));

export const boundedDetail = (detail: string): string => cut(detail, MOST_DETAIL);
