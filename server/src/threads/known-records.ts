import { findingContext, type FindingContext, type FindingRecord } from '@dewpot/core/findings';
import { Latest } from '../calculation/latest.js';

/** The records of a workshop as they cross to a thread: as text, which is copied many times faster than objects, and by what they are known again. */
export interface CrossingRecords {
  readonly key: string;
  readonly text: string;
}

/** A thread keeps the records of so many workshops: reading five thousand of them anew takes longer than what is asked of them. */
const known = new Latest<FindingContext>(2);

/** The records of a workshop, ready to explain any of them. */
export const contextOf = ({ key, text }: CrossingRecords): FindingContext =>
  known.keep(key, known.get(key) ?? findingContext(JSON.parse(text) as FindingRecord[]));
