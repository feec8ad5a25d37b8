import { finishTries, runEventKinds, type FinishTry, type Grade, type RunEvent, type RunEventKind } from '@dewpot/core';
import { IsIn, IsOptional, IsUUID } from 'class-validator';
import { Amount, ListOf, Text, Time, Whole } from './limits.js';

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
