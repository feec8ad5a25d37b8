import { faults, trialKinds, type Fault, type TrialKind } from '@dewpot/core/casts';
import type { TrialPlan, TrialStanding } from '@dewpot/core/findings';
import { IsIn, IsOptional, IsUUID } from 'class-validator';
import { Share, Text, Version } from './limits.js';

/** A trial: one thing that is changed on purpose, and what is expected of it. */
export class TrialInput implements TrialPlan {
  @Text(1, 80) name: string;
  @IsIn(trialKinds) kind: TrialKind;
  /** How it is done now. */
  @Text(1, 60) a: string;
  /** What is expected to be better. */
  @Text(1, 60) b: string;
  /** The fault that is watched; without one, whether anything is wrong at all. */
  @IsOptional() @IsIn(faults) watched?: Fault;
  /** Shares of good casts that are expected. */
  @Share() worse: number;
  @Share() better: number;
  /** The one mould, and the one mix, that it is tried on. */
  @IsOptional() @IsUUID() mouldId?: string;
  @IsOptional() @IsUUID() mixId?: string;
  @Version() version: number;
}

export const trialKeeps = ['a', 'b', 'neither'] as const;
export type TrialKeep = (typeof trialKeeps)[number];

/** The end of a trial: which of its ways is how things are done from now on, or neither. */
export class TrialClosing {
  @IsIn(trialKeeps) keep: TrialKeep;
  @Version() version: number;
}

/** A trial, how far it has come, and how it ended. Times ms. */
export interface TrialView extends Omit<TrialInput, 'version'> {
  readonly id: string;
  readonly version: number;
  readonly standing: TrialStanding;
  readonly closed?: { readonly at: number; readonly keep: TrialKeep };
  /** What it was tried on is no longer here: nothing more can be dealt. */
  readonly gone: boolean;
}
