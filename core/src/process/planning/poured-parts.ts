import { lessonsOf, type MixLessons, type PouredRecord } from '../pours/index.js';
import type { PourPart } from './pour-sources.js';

/** What was poured of a mix, out of the parts of all pours. */
export const pouredOf = (mixId: string, parts: readonly PourPart[]): PouredRecord[] =>
  parts.flatMap((part) => (part.mixId === mixId && part.log ? [{ plan: part.plan, log: part.log }] : []));

/** What the pours of a mix have taught. */
export function lessonsFor(
  mixId: string | undefined,
  pours: readonly { readonly status: string; readonly parts: readonly PourPart[] }[],
): MixLessons {
  const poured = pours.filter(({ status }) => status === 'finished').flatMap(({ parts }) => parts);
  return lessonsOf(mixId === undefined ? [] : pouredOf(mixId, poured));
}
