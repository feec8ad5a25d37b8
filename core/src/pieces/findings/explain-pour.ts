import { defined } from '../../foundation/math/index.js';
import type { Cause } from './causes.js';
import { explainFault, type Explanation, type FindingContext, type RankedCause } from './explain-fault.js';
import type { FindingRecord } from './finding-record.js';

/** Why a fault came in a pour: what is likely over all of its casts that have it. */
export interface PourExplanation extends Explanation {
  /** Casts of the pour that have the fault, of so many that were looked at. */
  readonly casts: number;
  readonly of: number;
}

const SHOWN = 3;
const mean = (values: readonly number[], count: number) => values.reduce((sum, value) => sum + value, 0) / count;

/** The causes of several casts with one fault: each by its mean share, with the evidence of the cast that shows it best. */
function together(explained: readonly Explanation[]): RankedCause[] {
  const found = new Map<Cause, RankedCause[]>();
  for (const one of explained.flatMap(({ causes }) => causes))
    found.set(one.cause, [...(found.get(one.cause) ?? []), one]);
  return [...found.values()]
    .map((own): RankedCause => {
      const best = own.reduce((most, one) => (one.share > most.share ? one : most));
      return {
        ...best,
        share: mean(
          own.map(({ share }) => share),
          explained.length,
        ),
      };
    })
    .sort((a, b) => b.share - a.share)
    .slice(0, SHOWN);
}

/** Why each fault of a pour's casts came, over all of them together; the commonest fault first. Handbook 20, "One cast", over the casts of a pour. */
export function explainPour(casts: readonly FindingRecord[], context: FindingContext): PourExplanation[] {
  const seen = casts.filter((cast) => cast.seen);
  const faults = [...new Set(seen.flatMap((cast) => cast.faults.map(({ fault }) => fault)))];
  return faults
    .map((fault) => {
      const explained = seen.filter((cast) => cast.faults.some((one) => one.fault === fault)).map((cast) => explainFault(cast, fault, context));
      const unrecorded = mean(explained.map((one) => one.unrecorded), explained.length);
      return { fault, causes: together(explained), unrecorded, missing: defined(explained[0]).missing, casts: explained.length, of: seen.length };
    })
    .sort((a, b) => b.casts - a.casts);
} // prettier-ignore
