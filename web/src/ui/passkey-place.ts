import { ProblemFailure } from '../api/client';

/** What is said of a passkey that failed: the browser's own question may be left without an answer, and its error says nothing to a reader. */
export const passkeyFailure = (error: Error | null, told: string): Error | null =>
  error instanceof ProblemFailure || !error ? error : new Error(told);

/** Whether passkeys serve here: a browser has them at an address with a name alone. */
export function passkeyPlace(
  { hostname, port } = window.location,
): 'here' | 'no passkeys' | { readonly address: string } {
  if (/^[\d.]+$|^\[/.test(hostname)) return { address: `http://localhost${port && `:${port}`}` };
  return 'PublicKeyCredential' in window ? 'here' : 'no passkeys';
}
