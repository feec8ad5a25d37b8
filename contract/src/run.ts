import {
  finishTries,
  releaseCalled,
  placingsOf,
  calculateSheet,
  runEventKinds,
  stepsOf,
  type FinishTry,
  type Grade,
  type Pace,
  type FinishRecord,
  type Placing,
  type CalculatedPart,
  type RunEventKind,
  type RunEvent,
  type RunWays,
  type Step,
} from '@dewpot/core';
import { IsIn, IsOptional, IsUUID } from 'class-validator';
import { Amount, ListOf, Text, Time, Whole } from './limits.js';
import type { PourPart, PourView } from './pours.js';

/** What happened at the bench; which fields are wanted goes by `kind`. Its key is made by whoever saw it. */
export class RunEventInput {
  @IsUUID() id: string;
  /** By the wall clock, ms. */
  @Time() at: number;
  @IsIn(runEventKinds) kind: RunEventKind;
  @IsOptional() @Text(1, 60) step?: string;
  @IsOptional() @Text(1, 20) bucket?: string;
  @IsOptional() @Text(1, 20) mould?: string;
  @IsOptional() @IsUUID() material?: string;
  /** g */
  @IsOptional() @Amount(0, 1e6) mass?: number;
  @IsOptional() @Whole(1, 7) grade?: Grade;
  /** mL */
  @IsOptional() @Amount(0, 1e6) volume?: number;
  @IsOptional() @Amount(0.05, 4) share?: number;
  @IsOptional() @IsIn(finishTries) went?: FinishTry;
  /** The event that is taken back. */
  @IsOptional() @IsUUID() of?: string;
}

export class RunEventsInput {
  @ListOf(() => RunEventInput, { least: 1, most: 500 })
  events: RunEventInput[];
}

/** All that happened in a pour so far, in the order in which it arrived. */
export interface RunView {
  readonly events: readonly RunEvent[];
}

/** What a run taught of one mix. */
export interface RunLesson {
  readonly mixId: string;
  readonly pace: Pace;
  readonly tries: readonly FinishRecord[];
}

/** What a pour makes of one mix, with its sheet and how its moulds are filled. */
export type BenchPart = PourPart & CalculatedPart & { readonly placings: readonly Placing[] };

/** A pour at the bench: its mixes with their sheets, and its steps. */
export interface BenchOf {
  readonly parts: readonly BenchPart[];
  readonly steps: readonly Step[];
}

/** How a pour is run, from what was chosen for it. */
export const waysOf = (
  { release, finish = 'broom', people = 1 }: PourView['input'],
  windows?: readonly number[],
): RunWays => {
  const named = releaseCalled(release);
  return { finish, people, ...(named && { release: named }), ...(windows && { windows }) };
};

/** A pour's mixes with their sheets, and its steps at the bench: the same on every device. @throws InputError */
export function benchOf({ parts, input }: Pick<PourView, 'parts' | 'input'>): BenchOf {
  const calculated = parts.map((part) => ({
    ...part,
    sheet: calculateSheet(part.plan),
    placings: placingsOf(part.plan, input.finish, part.windows),
  }));
  return {
    parts: calculated,
    steps: stepsOf(
      calculated,
      waysOf(
        input,
        parts.map(({ windows = 1 }) => windows),
      ),
    ),
  };
}
