import { InputError } from '@dewpot/core/units';

/** What core refused, in its own sentences with their remedies. Any other error is thrown on. */
export function sayRefusal(error: unknown): string {
  if (!(error instanceof InputError)) throw error;
  return error.issues.map(({ message, remedy }) => `${message} ${remedy}`).join(' ');
}
