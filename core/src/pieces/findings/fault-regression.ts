import { defined, fitLogistic, mean, type LogisticFit, type LogisticTable } from '../../foundation/math/index.js';
import type { Spreads } from './baseline.js';
import { circumstanceKeys, circumstances, type Circumstance } from './circumstances.js';
import type { Fault } from '../casts/index.js';
import { valuesAt, type FindingColumns } from './finding-columns.js';
import { causedBy, phases } from './phases.js';
import type { FindingRecord } from './finding-record.js';

/** So many casts with a fault, and so many without, before a regression is believed. */
const WITH = 8;
const WITHOUT = 20;

/** Whether a circumstance was settled before a fault could come about. */
export const precedes = (of: Circumstance, fault: Fault): boolean =>
  phases.indexOf(circumstances[of].phase) <= phases.indexOf(causedBy[fault]);

const hasFault = ({ faults }: FindingRecord, fault: Fault): boolean => faults.some((one) => one.fault === fault);

/** What a regression over all recorded circumstances says of a fault, and over how many casts. */
export interface FaultRegression {
  readonly casts: number;
  readonly withFault: number;
  /** By how much a circumstance of this amount speaks for the fault, as a logarithm: on the harmless side never for it. 0 where it says nothing. */
  readonly termOf: (of: Circumstance, value: number, harm: 1 | -1) => number;
}

/** A fault over all casts of a workshop, from which that of all but one is a small step. */
export interface FaultFit {
  /** Ids of the casts, in the order of the table. */
  readonly ids: readonly string[];
  readonly withFault: number;
  /** The circumstances that differ among them, with their means, in the order of the table. */
  readonly means: ReadonlyMap<Circumstance, number>;
  readonly table: LogisticTable;
  readonly fit: LogisticFit;
}

/** Fits a fault over all casts that were seen; undefined where too few have it. What was not recorded of a cast counts as usual. */
export function fitFault(fault: Fault, { records, under }: FindingColumns, spreads: Spreads): FaultFit | undefined {
  const seen = records.flatMap((one, row) => (one.seen ? [row] : []));
  const happened = Uint8Array.from(seen, (row) => (hasFault(defined(records[row]), fault) ? 1 : 0));
  const withFault = happened.reduce((sum, one) => sum + one, 0);
  if (withFault < WITH) return undefined;
  const means = new Map<Circumstance, number>();
  for (const of of circumstanceKeys.filter((one) => precedes(one, fault))) {
    const values = valuesAt(under[of], seen);
    if (values.some((value) => value !== values[0])) means.set(of, mean(values));
  }
  const width = means.size + 1;
  const rows = new Float64Array(seen.length * width);
  seen.forEach((_, i) => (rows[i * width] = 1));
  [...means].forEach(([of, middle], k) =>
    seen.forEach((row, i) => {
      const far = (defined(under[of][row]) - middle) / spreads[of];
      rows[i * width + k + 1] = Number.isNaN(far) ? 0 : far;
    }),
  );
  const table = { width, rows, happened };
  const ids = seen.map((row) => defined(records[row]).id);
  return { ids, withFault, means, table, fit: fitLogistic(table) };
}

/**
 * A logistic regression of a fault over all circumstances on record, without the cast that is to be explained; undefined with fewer than 8 casts
 * that have the fault and 20 that have not. Handbook 20, "One cast".
 */
export function regressionWithout(cast: FindingRecord, fitted: FaultFit | undefined, spreads: Spreads): FaultRegression | undefined {
  if (!fitted) return undefined;
  const { ids, withFault: all, means, table, fit } = fitted;
  const own = ids.indexOf(cast.id);
  const withFault = all - (table.happened[own] ?? 0);
  const casts = ids.length - (own < 0 ? 0 : 1);
  if (withFault < WITH || casts - withFault < WITHOUT) return undefined;
  const { weights } = own < 0 ? fit : fitLogistic(table, { from: fit, without: own });
  const used = [...means.keys()];
  return {
    casts,
    withFault,
    termOf: (of, value, harm) => {
      const middle = means.get(of);
      if (middle === undefined) return 0;
      const far = (value - middle) / spreads[of];
      const term = defined(weights[used.indexOf(of)]) * far;
      return far * harm > 0 ? term : Math.min(0, term);
    },
  };
} // prettier-ignore
