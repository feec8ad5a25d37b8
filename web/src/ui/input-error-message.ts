import { InputError, issueInWords, type Message } from '@dewpot/core/units';
import type { Speaker } from '@dewpot/locales';
import { Unreachable } from '../api/client';

/** What core refused: its first sentence with the remedy. Any other error is thrown on. */
export function firstIssue(error: unknown): Message | undefined {
  if (!(error instanceof InputError)) throw error;
  const [first] = error.issues;
  return first && issueInWords(first);
}

/** What core refused, in sentences with their remedies. Any other error is thrown on. */
export function sayRefusal(error: unknown, say: Speaker): string {
  if (!(error instanceof InputError)) throw error;
  return error.issues.map((issue) => say(issueInWords(issue))).join(' ');
}

/** Any error as a person is told it. What the server refused, it has said in their language. */
export function sayError(error: unknown, say: Speaker): string {
  if (error instanceof Unreachable)
    return say(error.reading ? 'shell.notSeenHere' : 'shell.keptUnsent', { why: error.why });
  if (error instanceof InputError) return sayRefusal(error, say);
  return error instanceof Error ? error.message : JSON.stringify(error);
}
