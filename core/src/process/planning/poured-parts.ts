import { lessonOf, lessonsOf, type MixLessons, type PourLesson } from '../pours/index.js';
import type { PourPart } from './pour-sources.js';

/** What one pour shows of one of its mixes. */
export interface MixLesson extends PourLesson {
  readonly mixId: string;
}

/** What a pour shows of each of its mixes; nothing of one that was not poured. */
export const mixLessonsOf = (parts: readonly PourPart[]): MixLesson[] =>
  parts.flatMap(({ mixId, plan, log }) => (log ? [{ mixId, ...lessonOf({ plan, log }) }] : []));

/** What the pours of a mix have taught, out of the lessons of all mixes. */
export const lessonsFor = (mixId: string | undefined, lessons: readonly MixLesson[]): MixLessons =>
  lessonsOf(lessons.filter((lesson) => lesson.mixId === mixId).map(({ mixId: _, ...lesson }) => lesson));
