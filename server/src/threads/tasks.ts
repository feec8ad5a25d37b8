import { monthNormals } from '@dewpot/core/ambient';
import { benchRecordOf, checkRunEvent, paceOf, runOf, triesOf, type RunEvent } from '@dewpot/core/bench';
import {
  compareWays,
  explainFault,
  explainPour,
  learnedFigures,
  trialStandings,
  watchCasts,
  type AllWays,
  type Explanation,
  type FindingRecord,
  type PourExplanation,
  type WatchedCasts,
} from '@dewpot/core/findings';
import {
  benchOf,
  castsOf,
  laidPace,
  mixLessonsOf,
  partsOf,
  type PourPart,
  type RunLesson,
} from '@dewpot/core/planning';
import { averaged, calculateSheet, type PourLog } from '@dewpot/core/pours';
import type { PourFinish, PourInput, PourView, RunEventTold } from '@dewpot/contract';
import { sourcesOf, type PlanData } from '../calculation/crossing.js';
import { gatherFindings } from './gather-findings.js';
import { contextOf, type CrossingRecords } from './known-records.js';

type Bench = Pick<PourView, 'parts' | 'input'>;

/** The parts of a plan with copies of all that they use. */
function plan(input: Omit<PourInput, 'version'>, data: PlanData): PourPart[] {
  const parts = partsOf(input, sourcesOf(data)).map((part) => ({ ...part, plan: averaged(part.plan) }));
  for (const part of parts) calculateSheet(part.plan);
  return parts;
}

/** Whether events may happen in a pour: those that may, as they are kept, and which of them are finishing faces. */
function runEvents(pour: Bench, given: readonly RunEventTold[]): { events: RunEvent[]; late: boolean } {
  const { parts, steps } = benchOf(pour);
  return {
    events: given.map((told) => {
      checkRunEvent(told, parts, steps);
      return { ...told };
    }),
    late: given.every(
      (told) =>
        told.kind === 'void' || ('step' in told && steps.some(({ key, window }) => window && key === told.step)),
    ),
  };
}

/** What a pour's run taught of each of its mixes. */
function lessons(pour: Bench, events: readonly RunEvent[]): RunLesson[] {
  const run = runOf(events);
  const { parts, steps } = benchOf(pour);
  return parts.map((made, part) => ({
    mixId: made.mixId,
    pace: paceOf(steps, run, part, laidPace(made, pour.input.people)),
    tries: triesOf(steps, run, part, made.windows),
    bench: benchRecordOf(steps, run, part),
  }));
}

/** The casts that a finished pour makes. */
const casts = (parts: readonly (PourPart & { readonly log: PourLog })[], finish: PourFinish) =>
  castsOf(parts, finish.casts);

/** Why a cast has each of its faults, among all casts of its workshop. */
function explain(cast: FindingRecord, records: CrossingRecords): Explanation[] {
  const context = contextOf(records);
  return cast.faults.map(({ fault }) => explainFault(cast, fault, context));
}

/** Why the casts of a pour have their faults, among all casts of their workshop. */
const explainCasts = (casts: readonly FindingRecord[], records: CrossingRecords): PourExplanation[] =>
  explainPour(casts, contextOf(records));

/** Every way beside every other, and over how many casts that had left their mould. */
function ways(crossing: CrossingRecords): { ways: AllWays; seen: number } {
  const { records, columns } = contextOf(crossing);
  return { ways: compareWays(columns), seen: records.filter(({ seen }) => seen).length };
}

/** What is watched from cast to cast. */
const watch = (records: CrossingRecords, now: number): WatchedCasts => watchCasts(contextOf(records).records, now);

/** What a thread can be asked to do. */
const tasks = {
  plan,
  months: monthNormals,
  runEvents,
  lessons,
  taught: mixLessonsOf,
  casts,
  gather: gatherFindings,
  explain,
  explainCasts,
  ways,
  watch,
  trials: trialStandings,
  learned: learnedFigures,
};

/** … and what takes large libraries for it: those are loaded with the first of its kind, since most threads never do one. */
const seldom = {
  question: async () => (await import('./question.js')).question,
  archiveRows: async () => (await import('./archive-rows.js')).archiveRows,
  redraw: async () => (await import('../pictures/redraw.js')).redraw,
  shrink: async () => (await import('../pictures/redraw.js')).shrink,
  checkKept: async () => (await import('../pictures/redraw.js')).checkKept,
};

export type Tasks = typeof tasks & { [K in keyof typeof seldom]: Awaited<ReturnType<(typeof seldom)[K]>> };

/** The work of a task, with all that it takes. */
export const taskCalled = async <K extends keyof Tasks>(name: K): Promise<Tasks[K]> =>
  name in seldom ? ((await seldom[name as keyof typeof seldom]()) as Tasks[K]) : (tasks as Tasks)[name];
