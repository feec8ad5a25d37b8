import type { ArgumentMetadata } from '@nestjs/common';
import { defined } from '@dewpot/core/math';
import { monthNormals } from '@dewpot/core/ambient';
import { benchRecordOf, checkRunEvent, paceOf, runOf, triesOf, type RunEvent } from '@dewpot/core/bench';
import {
  compareWays,
  explainFault,
  explainPour,
  findingContext,
  learnedFigures,
  trialStandings,
  watchCasts,
  type Explanation,
  type FindingRecord,
  type PourExplanation,
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
import { sayAll, type Reader } from '@dewpot/locales';
import { sourcesOf, type PlanData } from '../calculation/crossing.js';
import { validation } from '../http/validation.js';
import { answerTo, questionControllers } from '../script-api/index.js';
import { redraw } from '../pictures/redraw.js';
import { gatherFindings } from './gather-findings.js';

type Bench = Pick<PourView, 'parts' | 'input'>;

const controllers = new Map(questionControllers.map((kind) => [kind.name, new kind()]));

/** Answers a script's question as JSON, in its language. The body is checked here, so that a large one holds nobody up. */
async function question(controller: string, method: string, body: unknown, reader: Reader): Promise<string> {
  const say = answerTo(reader);
  const asked = controllers.get(controller) as unknown as Record<string, (given?: unknown) => unknown>;
  const [metatype] = Reflect.getMetadata('design:paramtypes', asked, method) as ArgumentMetadata['metatype'][];
  const given = metatype && (await validation.transform(body, { type: 'body', metatype }));
  return JSON.stringify(sayAll(await defined(asked[method])(given), say));
}

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
function explain(cast: FindingRecord, records: readonly FindingRecord[]): Explanation[] {
  const context = findingContext(records);
  return cast.faults.map(({ fault }) => explainFault(cast, fault, context));
}

/** Why the casts of a pour have their faults, among all casts of their workshop. */
const explainCasts = (casts: readonly FindingRecord[], records: readonly FindingRecord[]): PourExplanation[] =>
  explainPour(casts, findingContext(records));

/** What a thread can be asked to do. */
export const tasks = {
  question,
  plan,
  months: monthNormals,
  runEvents,
  lessons,
  taught: mixLessonsOf,
  casts,
  redraw,
  gather: gatherFindings,
  explain,
  explainCasts,
  ways: compareWays,
  watch: watchCasts,
  trials: trialStandings,
  learned: learnedFigures,
};
export type Tasks = typeof tasks;
