import type { Message } from '../../foundation/units/index.js';
import type { MouldShape, OuterSize, PieceKind } from '../../geometry/moulds/index.js';
import type { BinderClass } from '../../mixing/binders/index.js';
import type { Exposure } from '../../mixing/mixes/index.js';
import type { FaceColouring } from '../../process/pours/index.js';
import type { DryDownCurve, RuleStanding, StrayWeighing } from '../../process/sealing/index.js';
import type { Arrangement, Bond, JointUse } from '../assembly/index.js';
import type { TrialMark } from './trial-mark.js';

/** What the weighings say, without the curve. Times in ms. */
export interface DrySummary {
  readonly dryEnough: boolean;
  readonly missing: readonly Message[];
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
interface ArticlePart {
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
interface JoinedArticle {
  readonly arrangement: Arrangement;
  readonly bond: Bond;
  readonly uses: readonly JointUse[];
  readonly parts: readonly ArticlePart[];
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
  /** The trial that it was dealt to, and the way that it got. */
  readonly trial?: TrialMark;
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
  readonly article?: JoinedArticle;
  /** Free water to cement, as it was mixed. */
  readonly ratio: number;
}
