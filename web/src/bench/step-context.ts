import type { BucketNow, CoreHold, PartNow, Run, RunEventBody, TimedStep } from '@dewpot/core/bench';
import type { BenchOf } from '@dewpot/core/planning';
import type { Bucketful } from '@dewpot/core/pours';

/** Everything that the view of a step needs. */
export interface StepContext {
  readonly bench: BenchOf;
  /** What holds the cores down. */
  readonly cores: readonly CoreHold[];
  readonly timed: TimedStep;
  readonly run: Run;
  readonly now: number;
  readonly record: (...eventBodies: readonly RunEventBody[]) => void;
  /** What a bucket is called. */
  readonly label: (part: number, bucket: number) => string;
}

/** The view of a step that belongs to a bucket. */
export interface BucketContext extends StepContext {
  readonly bucketful: Bucketful;
  /** part.bucket */
  readonly bucketKey: string;
  readonly bucket: BucketNow;
  readonly part: PartNow;
}
