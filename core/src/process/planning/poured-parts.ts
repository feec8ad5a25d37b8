import { lessonOf, lessonsOf, loggedBatch, WORK_TIMES, type MixLessons, type PourLesson } from '../pours/index.js';
import type { Pace } from '../bench/index.js';
import type { PourPart } from './pour-sources.js';

/** What one pour shows of one of its mixes. */
export interface MixLesson extends PourLesson {
  readonly mixId: string;
  /** What was made of it, and what of that was left over, mL; undefined in what was kept before these were. */
  readonly made?: number;
  readonly leftover?: number;
}

/** What a pour shows of each of its mixes; nothing of one that was not poured. */
export const mixLessonsOf = (parts: readonly PourPart[]): MixLesson[] =>
  parts.flatMap(({ mixId, plan, log }) => {
    if (!log) return [];
    const { volume: made } = loggedBatch(plan, log);
    return [{ mixId, ...lessonOf({ plan, log }), made, leftover: Math.min(made, log.leftover ?? 0) }];
  });

/** What the pours of a mix have taught, out of the lessons of all mixes. */
export const lessonsFor = (mixId: string | undefined, lessons: readonly MixLesson[]): MixLessons =>
  lessonsOf(lessons.filter((lesson) => lesson.mixId === mixId).map(({ mixId: _, ...lesson }) => lesson));

/** What the minutes of a part were laid with against what is usual: what earlier runs had taught until then. `people`: the hands that they were shared among. */
export function laidPace({ plan: { binderClass, times } }: PourPart, people = 1): Required<Pace> {
  const usual = WORK_TIMES[binderClass];
  if (!times) return { mixing: 1, filling: 1 };
  return { mixing: times.mixing / usual.mixing, filling: (times.filling * people) / usual.filling };
}
