import {
  type Arrangement,
  type Bearing,
  type Bond,
  type Bridge,
  type CastEvent,
  type DryDown,
  type DryDownCurve,
  type Due,
  type Expected,
  type Exposure,
  type JointUse,
  type LearnedDemouldAge,
  type Life,
  type DemouldCare,
  type DemouldRecord,
  demouldRisks,
  type MouldShape,
  type OuterSize,
  type PieceKind,
  type RuleStanding,
  type BinderClass,
  type FaceColouring,
  type Stage,
  type StrayWeighing,
  type Surroundings,
  type TemperatureReading,
} from '@dewpot/core';
import { IsBoolean, IsIn, IsOptional } from 'class-validator';
import { Time, Whole } from './limits.js';

/** What the weighings say, without the curve. Times in ms. */
export interface DrySummary {
  readonly dryEnough: boolean;
  readonly missing: readonly string[];
  readonly opensAt?: number;
  readonly opensLow?: number;
  readonly opensHigh?: number;
  readonly typical?: DryDownCurve;
  /** What it is judged for: a film sealer or a candle wants it drier. */
  readonly film: boolean;
  /** The rule that keeps the gate shut longest. */
  readonly decides?: RuleStanding;
  /** The bound of the water that is left over the limit. */
  readonly over?: number;
  readonly heldDays: number;
  readonly heldWithin: number;
  /** Codes of like pieces that were weighed in its place. */
  readonly inferredFrom?: readonly string[];
  /** Weighings that were set aside as another piece's, or misread. */
  readonly strays: readonly StrayWeighing[];
  /** How fast its place dried when it was judged, 1 at 20 °C and half damp; all that is judged of it later goes by the same. */
  readonly pace?: number;
}

/** A cast as a part of an article, and how it stands in it. */
export interface ArticlePartView {
  readonly castId: string;
  readonly code: string;
  readonly name: string;
  readonly shape: MouldShape;
  readonly colour: string;
  readonly faceColouring?: FaceColouring;
  /** Upside down from how it lay in its mould. */
  readonly over: boolean;
}

/** What is kept of the joining with each article. */
export interface ArticleSnapshot {
  readonly arrangement: Arrangement;
  readonly bond: Bond;
  readonly uses: readonly JointUse[];
  readonly parts: readonly ArticlePartView[];
  /** Faces that the joints cover, mm². */
  readonly joinedFaces: number;
  /** Outer size, mm. */
  readonly size: OuterSize;
}

/** What is kept of the pour with each cast. */
export interface CastSnapshot {
  readonly mouldName: string;
  readonly mixName: string;
  readonly shape: MouldShape;
  readonly piece: PieceKind;
  readonly binderClass: BinderClass;
  readonly colour: string;
  /** Of a piece in tints: its colours as they dry, from the bottom up, or as they are poured together. */
  readonly faceColouring?: FaceColouring;
  readonly copyMark?: string;
  readonly release?: string;
  readonly cover?: string;
  readonly place?: string;
  readonly placeId?: string;
  readonly mixId?: string;
  /** Its grains are light: its faces dry faster. */
  readonly lightweight?: boolean;
  readonly accelerated?: boolean;
  /** At 20 °C, h, where the caster or a bag gave it. */
  readonly initialSet?: number;
  /** Where its mix was made for. */
  readonly exposure?: Exposure;
  /** To be expected of its mix at 28 days, MPa. */
  readonly strength?: number;
  /** Of an article: its parts and how they are joined. */
  readonly article?: ArticleSnapshot;
  /** Free water to cement, as it was mixed. */
  readonly ratio: number;
}

export interface CastView {
  readonly id: string;
  readonly code: string;
  readonly pourId: string;
  readonly mouldId: string;
  readonly stage: Stage;
  readonly expected: Expected;
  readonly snapshot: CastSnapshot;
  readonly life: Life;
  readonly dry: DrySummary;
  /** What is to be done to it, what comes first at the head. */
  readonly dues: readonly Due[];
}

/** A demoulding from a mould with a mix, and which cast it was. */
export interface DemouldSeen extends DemouldRecord {
  readonly code: string;
  /** ms */
  readonly at: number;
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
export interface CastAir {
  readonly place: string;
  /** Hours since the pour and °C: recorded up to `forecastFrom` (ms), forecast from there on. */
  readonly temperatures: readonly TemperatureReading[];
  readonly forecastFrom: number;
  readonly bridges: readonly Bridge[];
  /** When it may be handled, walked on, loaded, ms; no time where that is out of sight. */
  readonly bears: readonly { readonly bearing: Bearing; readonly at?: number; readonly told: string }[];
  readonly does?: Surroundings;
}

/** A cast with its whole record. */
export interface CastDetail extends CastView {
  readonly events: readonly CastEvent[];
  readonly dryDown: DryDown;
  readonly air: CastAir;
  readonly demould: DemouldView;
  readonly pictures: readonly CastPictureView[];
}
