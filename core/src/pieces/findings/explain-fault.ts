import { alikeTo, spreadsOf, usualOf, type Spreads, type Usual } from './baseline.js';
import { causeKeys, causes, namedCauses, type Cause } from './causes.js';
import { circumstanceKeys, circumstances, flags, type Circumstance, type Circumstanced } from './circumstances.js';
import type { Fault } from '../casts/index.js';
import { fitFault, precedes, regressionWithout, type FaultFit, type FaultRegression } from './fault-regression.js';
import { findingColumns, type FindingColumns } from './finding-columns.js';
import { isGood, type FindingRecord } from './finding-record.js';

/** Weights before anything is known: a cause that the handbook names, any other, and something that is not on record. */
const NAMED = 3;
const OTHER = 1;
const UNRECORDED = 3;
/** What a record past its limit, and one well within it, speak for and against a cause. */
const PAST = Math.log(4);
const WITHIN = Math.log(3);
/** A distance from the good casts speaks at most so much. */
const MOST = 3;
const SHOWN = 3;

/** What speaks for or against a cause. */
export interface Evidence {
  readonly value: number;
  /** The limit that it goes by, where there is one, and how it stands to it. */
  readonly limit?: number;
  readonly against: 'past' | 'within' | 'near' | 'none';
  readonly usual?: Usual;
  /** Distance from the good casts in the harmful direction, in spreads. */
  readonly distance?: number;
  readonly regression?: { readonly casts: number; readonly withFault: number; readonly term: number };
}

/** A cause with what speaks for it, and its share of all causes. */
export interface RankedCause {
  readonly cause: Cause;
  readonly named: boolean;
  readonly score: number;
  readonly share: number;
  readonly evidence: Evidence;
}

/** Why a fault came: the first three causes that something speaks for, how likely something that is not on record is, and what would have told more. */
export interface Explanation {
  readonly fault: Fault;
  readonly causes: readonly RankedCause[];
  readonly unrecorded: number;
  /** Causes that the handbook names and of which nothing was recorded. */
  readonly missing: readonly Cause[];
}

/** How a record stands to its limit in the harmful direction; a tenth inside it is well within. */
function againstLimit(kind: Cause, { value, least, most }: Circumstanced): Pick<Evidence, 'limit' | 'against'> {
  const { of, harm } = causes[kind];
  // What did not hold was no cause.
  if (flags.includes(of) && value === 0) return { against: 'within' };
  const limit = harm > 0 ? most : least;
  if (limit === undefined) return { against: 'none' };
  const beyond = (value - limit) * harm;
  // About zero a tenth is no distance: what it can be told apart by is.
  const room = Math.max(Math.abs(limit) / 10, circumstances[of].error);
  if (beyond > 0) return { limit, against: 'past' };
  return { limit, against: beyond < -room ? 'within' : 'near' };
}

function evidenceOf(kind: Cause, recorded: Circumstanced, usual: Usual | undefined, regression: FaultRegression | undefined): Evidence {
  const { of, harm } = causes[kind];
  const distance = usual && ((recorded.value - usual.middle) / usual.spread) * harm;
  const term = regression?.termOf(of, recorded.value, harm) ?? 0;
  return {
    value: recorded.value,
    ...againstLimit(kind, recorded),
    ...(usual && { usual }),
    ...(distance !== undefined && { distance }),
    ...(regression && { regression: { casts: regression.casts, withFault: regression.withFault, term } }),
  };
} // prettier-ignore

/** Its limit speaks against it, and the good casts do not speak for it. */
const speaksAgainst = ({ evidence: { against, distance } }: Pick<RankedCause, 'evidence'>): boolean =>
  against === 'within' && (distance ?? 0) <= 0;

/** Worth showing: the handbook names it, or something speaks for it; and nothing speaks against it. */
const isShown = (one: Pick<RankedCause, 'evidence' | 'named' | 'score'>): boolean =>
  !speaksAgainst(one) && (one.named || one.score > Math.log(OTHER));

/** ln prior + evidence. The regression stands in place of the distance: the same is not counted twice. */
function scoreOf(named: boolean, evidence: Evidence): number {
  const { against, distance, regression } = evidence;
  const prior = Math.log(named ? NAMED : OTHER);
  const past = against === 'past' ? PAST : 0;
  const within = speaksAgainst({ evidence }) ? -WITHIN : 0;
  const far = regression ? regression.term : Math.min(MOST, Math.max(0, (distance ?? 0) - 1));
  return prior + past + within + far;
}

/** All of a workshop's casts, ready to explain any of them. */
export interface FindingContext {
  readonly records: readonly FindingRecord[];
  readonly columns: FindingColumns;
  /** Rows of the good casts. */
  readonly good: readonly number[];
  readonly spreads: Spreads;
  /** A fault over all casts, fitted when it is first asked for; undefined where too few have it. */
  readonly fitOf: (fault: Fault) => FaultFit | undefined;
}

/** What explanations of a workshop's casts have in common. */
export function findingContext(records: readonly FindingRecord[]): FindingContext {
  const columns = findingColumns(records);
  const spreads = spreadsOf(columns);
  const fits = new Map<Fault, FaultFit | undefined>();
  const fitOf = (fault: Fault): FaultFit | undefined => {
    if (!fits.has(fault)) fits.set(fault, fitFault(fault, columns, spreads));
    return fits.get(fault);
  };
  return { records, columns, good: records.flatMap((one, row) => (isGood(one) ? [row] : [])), spreads, fitOf };
}

/** How each of these causes stands in a cast's record, as far as its circumstance may count and is on record. */
function rankCauses(
  cast: FindingRecord,
  of: readonly Cause[],
  counts: (circumstance: Circumstance) => boolean,
  isNamed: (cause: Cause) => boolean,
  { columns, good, spreads }: FindingContext,
  regression?: FaultRegression,
): Omit<RankedCause, 'share'>[] {
  // Too much and too little of a circumstance go by the same good casts.
  const before = circumstanceKeys.filter((one) => cast.under[one] && counts(one));
  const alike = alikeTo(cast, good, columns);
  const usual = new Map(before.map((one) => [one, usualOf(one, alike, columns, spreads)]));
  return of.flatMap((cause) => {
    const { of: circumstance } = causes[cause];
    const recorded = cast.under[circumstance];
    if (!recorded || !usual.has(circumstance)) return [];
    const evidence = evidenceOf(cause, recorded, usual.get(circumstance), regression);
    return [{ cause, named: isNamed(cause), evidence, score: scoreOf(isNamed(cause), evidence) }];
  });
}

/** The likeliest of some causes that alone could be it, where something speaks for one. */
export function likeliestOf(cast: FindingRecord, of: readonly Cause[], context: FindingContext): Cause | undefined {
  const ranked = rankCauses(cast, of, () => true, () => false, context).filter(isShown); // prettier-ignore
  return ranked.sort((a, b) => b.score - a.score)[0]?.cause;
}

/**
 * Why a cast has a fault: each cause that was on record before the fault could come about, by ln prior + evidence, and their shares by softmax beside
 * "something not on record". Handbook 20, "One cast". A cast without a record has no causes and says what was missing.
 */
export function explainFault(cast: FindingRecord, fault: Fault, context: FindingContext): Explanation {
  const regression = regressionWithout(cast, context.fitOf(fault), context.spreads);
  const isNamed = (cause: Cause) => namedCauses[fault].includes(cause);
  const ranked = rankCauses(cast, causeKeys, (of) => precedes(of, fault), isNamed, context, regression);
  const all = ranked.reduce((sum, { score }) => sum + Math.exp(score), UNRECORDED);
  return {
    fault,
    causes: ranked
      .map((one) => ({ ...one, share: Math.exp(one.score) / all }))
      .filter(isShown)
      .sort((a, b) => b.share - a.share)
      .slice(0, SHOWN),
    unrecorded: UNRECORDED / all,
    missing: namedCauses[fault].filter((cause) => cast.under[causes[cause].of] === undefined),
  };
} // prettier-ignore
