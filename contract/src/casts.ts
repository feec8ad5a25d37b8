import type { Message } from '@dewpot/core/units';
import type { Bridge } from '@dewpot/core/ambient';
import {
  demouldRisks,
  type Bearing,
  type DemouldCare,
  type DemouldSeen,
  type LearnedDemouldAge,
  type TemperatureReading,
} from '@dewpot/core/curing';
import type { Expected } from '@dewpot/core/pours';
import type { DryDown } from '@dewpot/core/sealing';
import type { CastEvent, CastSnapshot, DrySummary, Due, Life, Stage, Surroundings } from '@dewpot/core/casts';
import { IsBoolean, IsIn, IsOptional } from 'class-validator';
import { Time, Whole } from './limits.js';

/** A cast as it is kept, by which lists tell of it. */
export interface CastRow {
  readonly id: string;
  readonly code: string;
  readonly pourId: string;
  readonly mouldId: string;
  readonly stage: Stage;
  readonly expected: Expected;
  readonly snapshot: CastSnapshot;
  readonly life: Life;
}

/** A cast with what the weather does to it. */
export interface CastView extends CastRow {
  readonly dry: DrySummary;
  /** What is to be done to it, what comes first at the head. */
  readonly dues: readonly Due[];
}

/** What a caster chose for the demouldings of a mould with a mix. */
export class DemouldWaysInput {
  @IsIn(Object.keys(demouldRisks)) care: DemouldCare;
  /** Goes by the handbook alone. */
  @IsBoolean() off: boolean;
  /** Only demouldings after this count, ms: what was learned before is forgotten. */
  @IsOptional() @Time() since?: number;
  /** How many there were when the caster asked to try it earlier again. */
  @IsOptional() @Whole(0, 10000) triedAgainAt?: number;
}

/** The earliest safe demoulding of a mould with a mix: the handbook's, what was learned, and from what. */
export interface DemouldView {
  /** Equivalent hours at 20 °C. */
  readonly handbook: number;
  readonly learned: LearnedDemouldAge;
  readonly records: readonly DemouldSeen[];
  readonly ways: DemouldWaysInput;
}

/** A photo of a cast, and the event that it shows. */
export interface CastPictureView {
  readonly id: string;
  /** ms */
  readonly at: number;
  readonly width: number;
  readonly height: number;
  readonly eventId?: string;
}

/** The air that a cast stood in, as its cure is calculated from it, and what it does to the piece. */
export interface CastAmbient {
  readonly place: string;
  /** Hours since the pour and °C: recorded up to `forecastFrom` (ms), forecast from there on. */
  readonly temperatures: readonly TemperatureReading[];
  readonly forecastFrom: number;
  readonly bridges: readonly Bridge[];
  /** When it may be handled, walked on, loaded, ms; no time where that is out of sight. */
  readonly bears: readonly { readonly bearing: Bearing; readonly at?: number; readonly told: Message }[];
  readonly does?: Surroundings;
}

/** A cast with its whole record. */
export interface CastDetail extends CastView {
  readonly events: readonly CastEvent[];
  readonly dryDown: DryDown;
  readonly ambient: CastAmbient;
  readonly demould: DemouldView;
  readonly pictures: readonly CastPictureView[];
}
