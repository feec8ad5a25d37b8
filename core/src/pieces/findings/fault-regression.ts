import { defined, fitLogistic, mean } from '../../foundation/math/index.js';
import { valuesOf, type Spreads } from './baseline.js';
import { circumstanceKeys, circumstances, type Circumstance } from './circumstances.js';
import type { Fault } from '../casts/index.js';
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

/**
 * A logistic regression of a fault over all circumstances on record, without the cast that is to be explained; undefined with fewer than 8 casts
 * that have the fault and 20 that have not. What was not recorded of a cast counts as usual. Handbook 20, "One cast".
 */
export function faultRegression(cast: FindingRecord, records: readonly FindingRecord[], fault: Fault, spreads: Spreads): FaultRegression | undefined {
  const others = records.filter((one) => one.seen && one.id !== cast.id);
  const withFault = others.filter((one) => hasFault(one, fault)).length;
  if (withFault < WITH || others.length - withFault < WITHOUT) return undefined;
  const means = new Map<Circumstance, number>();
  for (const of of circumstanceKeys.filter((one) => precedes(one, fault))) {
    const values = valuesOf(others, of);
    if (new Set(values).size > 1) means.set(of, mean(values));
  }
  const used = [...means.keys()];
  const standard = (of: Circumstance, value: number | undefined) => (value === undefined ? 0 : (value - defined(means.get(of))) / spreads[of]);
  const { weights } = fitLogistic(others.map((one) => ({ happened: hasFault(one, fault) ? 1 : 0, under: used.map((of) => standard(of, one.under[of]?.value)) })));
  return {
    casts: others.length,
    withFault,
    termOf: (of, value, harm) => {
      if (!means.has(of)) return 0;
      const far = standard(of, value);
      const term = defined(weights[used.indexOf(of)]) * far;
      return far * harm > 0 ? term : Math.min(0, term);
    },
  };
} // prettier-ignore
