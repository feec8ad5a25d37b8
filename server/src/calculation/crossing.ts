import type { FieldIssue, Message } from '@dewpot/core/units';
import type { Detail } from '../http/problem-error.js';
import type { Material } from '@dewpot/core/materials';
import type { MixLesson, PourSources } from '@dewpot/core/planning';
import type { SwatchView } from '@dewpot/contract';

/** What a thread answers: a value, or why it was refused. */
export interface CrossingAnswer {
  readonly value?: unknown;
  readonly problem?: Refusal;
}

/** A refusal as it crosses from a thread. */
export interface Refusal {
  readonly status: number;
  readonly title: Message;
  readonly detail: Detail;
  readonly errors: readonly FieldIssue[];
}

/** All that a plan is made from, as plain data that can cross to a thread. */
export interface PlanData extends Omit<PourSources, 'find' | 'colours' | 'lessons'> {
  readonly materials: readonly Material[];
  readonly swatches: readonly SwatchView[];
  /** What pours that are done taught. */
  readonly lessons: readonly MixLesson[];
}
