import { findingContext, type FindingContext, type FindingRecord } from '@dewpot/core/findings';

/** The records of a workshop as they cross to a thread: as text, which is copied many times faster than objects, and by what they are known again. */
export interface CrossingRecords {
  readonly key: string;
  readonly text: string;
}

/** A thread keeps the records of so many workshops: reading five thousand of them anew takes longer than what is asked of them. */
const MOST_KNOWN = 2;
const known = new Map<string, FindingContext>();

/** The records of a workshop, ready to explain any of them. */
export function contextOf({ key, text }: CrossingRecords): FindingContext {
  const found = known.get(key) ?? findingContext(JSON.parse(text) as FindingRecord[]);
  known.delete(key);
  known.set(key, found);
  for (const oldest of known.keys()) {
    if (known.size <= MOST_KNOWN) break;
    known.delete(oldest);
  }
  return found;
}
