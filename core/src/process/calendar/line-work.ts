import { InputError, msg, type FieldIssue } from '../../foundation/units/index.js';
import { batchLimits, pieceVolume, stretchOf, type PourPlan } from '../pours/index.js';
import type { StepKind } from '../bench/index.js';
import type { CalendarSources } from './calendar-sources.js';
import { mixKeyOf, type OpenLine } from './order-lines.js';
import type { ScheduledMix } from './problem.js';
import { sessionBench, sessionChoices } from './session-pour.js';

/** Taking a piece out of its mould and washing that, min. */
export const DEMOULD_MINUTES = 3;
/** Steps of a bucket, whatever is poured from it. */
const ofBucket: readonly StepKind[] = ['weigh', 'mix', 'rest'];
/** Steps of the whole session, which its set-up and cleaning count. */
const ofSession: readonly StepKind[] = ['lay-out', 'release-dries', 'clean', 'wash'];

/** What pouring one piece of a line takes. */
export interface LineWork {
  readonly plan: PourPlan;
  /** mL */
  readonly volume: number;
  /** min */
  readonly minutes: number;
  readonly mix: ScheduledMix;
}

/** What pouring a line takes, by the steps of a pour of one piece. @throws InputError where something of it is gone or cannot be poured */
export function workOf(line: OpenLine, { pour }: Pick<CalendarSources, 'pour'>, temperature: number): LineWork {
  const choices = sessionChoices([{ line: line.id, count: 1 }], [line], { temperature }, pour.mixes);
  const { parts, steps } = sessionBench(
    choices ?? { items: [], mixId: line.mixId, grade: 4, spare: 0, moisture: {}, step: 0.25, temperature },
    pour,
  );
  const [part] = parts;
  const [item] = part?.plan.items ?? [];
  if (!part || !item) throw new InputError([goneIssue(line)]);
  const { volume: capacity, moulds } = batchLimits(part.plan);
  const sum = (kinds: readonly StepKind[], within: boolean) =>
    steps.filter(({ kind }) => kinds.includes(kind) === within).reduce((all, { minutes }) => all + minutes, 0);
  const buckets = Math.max(1, part.sheet.bucketfuls.length);
  return {
    plan: part.plan,
    volume: pieceVolume(item),
    minutes: sum([...ofBucket, ...ofSession], false) + DEMOULD_MINUTES,
    mix: {
      key: mixKeyOf(line),
      bucket: sum(ofBucket, true) / buckets,
      capacity: capacity / stretchOf(part.plan),
      mostPieces: Math.max(1, Math.floor(moulds + 1e-9)),
    },
  };
}

const goneIssue = ({ mouldId }: OpenLine): FieldIssue => ({
  field: 'mouldId',
  value: mouldId,
  message: msg('calendar.cannotBePoured'),
  remedy: msg('pours.chooseAnother'),
});
