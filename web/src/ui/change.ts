/** What of a thing is to be otherwise; undefined takes away a field that may be left out. */
export type Change<T> = { readonly [K in keyof T]?: object extends Pick<T, K> ? T[K] | undefined : T[K] };

/** A thing with a change made to it. */
export function withChange<T extends object>(whole: T, change: Change<T>): T {
  const kept = Object.entries({ ...whole, ...change }).filter(([, value]) => value !== undefined);
  // Only fields that may be left out can be undefined in a change.
  return Object.fromEntries(kept) as T;
}
