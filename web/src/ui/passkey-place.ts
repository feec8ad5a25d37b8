/** Whether passkeys serve here: a browser has them at an address with a name alone. */
export function passkeyPlace(
  { hostname, port } = window.location,
): 'here' | 'no passkeys' | { readonly address: string } {
  if (/^[\d.]+$|^\[/.test(hostname)) return { address: `http://localhost${port && `:${port}`}` };
  return 'PublicKeyCredential' in window ? 'here' : 'no passkeys';
}
