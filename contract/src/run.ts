import type { Grade } from '@dewpot/core/mixes';
import { runEventKinds, type RunEvent, type RunEventBody, type RunEventKind } from '@dewpot/core/bench';
import { finishTries, type FinishTry } from '@dewpot/core/pours';
import { IsIn, IsUUID } from 'class-validator';
import { kindsOf, ListOfKind, type AnyOf } from './kinds.js';
import { Amount, Text, Time, Whole } from './limits.js';

/** What happened at the bench. Its key is made by whoever saw it; its `kind` tells which class it is of. */
export class RunEventInput {
  @IsUUID() id: string;
  /** By the wall clock, ms. */
  @Time() at: number;
  @IsIn(runEventKinds) kind: RunEventKind;
}

type Seen<K extends RunEventKind> = Extract<RunEventBody, { kind: K }>;

export class BegunInput extends RunEventInput implements Seen<'begin'> {
  declare kind: 'begin';
  @Text(1, 60) step: string;
}

export class DoneInput extends RunEventInput implements Seen<'done'> {
  declare kind: 'done';
  @Text(1, 60) step: string;
}

export class WeighedInInput extends RunEventInput implements Seen<'weighed'> {
  declare kind: 'weighed';
  @Text(1, 20) bucket: string;
  @IsUUID() material: string;
  /** g */
  @Amount(0, 1e6) mass: number;
}

export class WaterInput extends RunEventInput implements Seen<'water'> {
  declare kind: 'water';
  @Text(1, 20) bucket: string;
  /** g */
  @Amount(0, 1e6) mass: number;
}

export class GradedInput extends RunEventInput implements Seen<'grade'> {
  declare kind: 'grade';
  @Text(1, 20) bucket: string;
  @Whole(1, 7) grade: Grade;
}

export class SkippedInput extends RunEventInput implements Seen<'skip'> {
  declare kind: 'skip';
  @Text(1, 20) mould: string;
}

export class LeakInput extends RunEventInput implements Seen<'leak'> {
  declare kind: 'leak';
  @Text(1, 20) mould: string;
  /** mL */
  @Amount(0, 1e6) volume: number;
}

export class MoreInput extends RunEventInput implements Seen<'more'> {
  declare kind: 'more';
  @Text(1, 20) bucket: string;
  @Amount(0.05, 4) share: number;
}

export class TriedInput extends RunEventInput implements Seen<'tried'> {
  declare kind: 'tried';
  @Text(1, 60) step: string;
  @IsIn(finishTries) went: FinishTry;
}

export class RunVoidInput extends RunEventInput implements Seen<'void'> {
  declare kind: 'void';
  /** The event that is taken back. */
  @IsUUID() of: string;
}

/** The class of each kind of event at the bench. */
export const runEvents = kindsOf(RunEventInput, 'kind', {
  begin: BegunInput,
  done: DoneInput,
  weighed: WeighedInInput,
  water: WaterInput,
  grade: GradedInput,
  skip: SkippedInput,
  leak: LeakInput,
  more: MoreInput,
  tried: TriedInput,
  void: RunVoidInput,
});

/** An event at the bench as a device tells of it. */
export type RunEventTold = AnyOf<typeof runEvents>;

export class RunEventsInput {
  @ListOfKind(runEvents, { least: 1, most: 500 })
  events: readonly RunEventTold[];
}

/** All that happened in a pour so far, in the order in which it arrived. */
export interface RunView {
  readonly events: readonly RunEvent[];
}
