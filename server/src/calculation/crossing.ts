import type { FieldIssue, Message } from '@dewpot/core/units';
import { ProblemError, type Detail } from '../http/problem-error.js';
import { finderOf, type Material } from '@dewpot/core/materials';
import { lessonsFor, type MixLesson, type PourSources } from '@dewpot/core/planning';
import { knownColours } from '@dewpot/core/tints';
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

/** What a pour is planned from, out of plain data. @throws ProblemError 404 where a material is gone. */
export function sourcesOf({ materials, swatches, lessons, ...rest }: PlanData): PourSources {
  const known = finderOf(materials);
  const find = (id: string): Material => {
    const found = known(id);
    if (!found) throw ProblemError.notFound('material');
    return found;
  };
  return { ...rest, find, colours: knownColours(swatches, find), lessons: (mixId) => lessonsFor(mixId, lessons) };
}
