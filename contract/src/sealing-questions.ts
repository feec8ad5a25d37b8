import { binderClasses, type BinderClass } from '@dewpot/core/binders';
import { sealerKinds, type SealerKind } from '@dewpot/core/materials';
import { exposures, type Exposure } from '@dewpot/core/mixes';
import { coversInOrder, type Cover } from '@dewpot/core/curing';
import {
  decorationsInOrder,
  dryingSchools,
  pieceUses,
  sides,
  type Decoration,
  type DryingSchool,
  type PieceUse,
  type Side,
} from '@dewpot/core/sealing';
import { simulationClimates, type SimulationClimate } from '@dewpot/core/simulation';
import {
  arrangements,
  bondsInOrder,
  jointUses,
  type Arrangement,
  type Bond,
  type JoinedState,
  type JointUse,
} from '@dewpot/core/assembly';
import type { Stage } from '@dewpot/core/casts';
import { IsBoolean, IsIn, IsOptional } from 'class-validator';
import {
  LATEST,
  MOST_MASS,
  Amount,
  Amounts,
  Area,
  Celsius,
  Choices,
  Grams,
  Hours,
  ListOf,
  Part,
  Share,
  Text,
  Whole,
  Time,
} from './limits.js';
import { MouldShapeInput } from './solids.js';
import { SealerSheetInput } from './materials.js';

const stages: readonly Stage[] = ['setting', 'curing', 'drying', 'sealed', 'joined', 'finished', 'broken'];

export class WeighingPoint {
  /** Since the pour. */
  @Hours() hour: number;
  @Grams(0.1) mass: number;
  @Amount(0.001, 1000) step: number;
  @IsOptional() @Celsius() temperature?: number;
  @IsOptional() @Share() humidity?: number;
}

/** What a mix promised of a piece, g. */
class PromisedMasses {
  @Grams(1) dry: number;
  @Grams(0.1) loss: number;
}

export class DryDownQuestion extends PromisedMasses {
  @ListOf(() => WeighingPoint, { most: 500 }) weighings: readonly WeighingPoint[];
  @IsIn(binderClasses) binderClass: BinderClass;
  /** For a film sealer or a candle. */
  @IsOptional() @IsBoolean() film?: boolean;
  /** Share by which a record has moved the limit. */
  @IsOptional() @Amount(1, 1.5) ease?: number;
  /** Youngest age by the product's sheet, days. */
  @IsOptional() @Amount(0, 365) leastDays?: number;
}

export class DryingAmbientInput {
  @Amount(-40, 60) temperature: number;
  @Share() humidity: number;
}

export class DryingAmbientPoint extends DryingAmbientInput {
  /** Since the pour. */
  @Hours() hour: number;
}

/** When a gate opens under a forecast. Hours since the pour. */
export class OpensQuestion {
  /** By the weighings alone. */
  @Hours() opens: number;
  /** The last weighing. */
  @Hours() from: number;
  /** Air that it was weighed in so far, and the forecast, each reading holding until the next. */
  @ListOf(() => DryingAmbientPoint, { most: 20_000 }) past: readonly DryingAmbientPoint[];
  @ListOf(() => DryingAmbientPoint, { most: 5000 }) ahead: readonly DryingAmbientPoint[];
}

export class TogetherQuestion {
  @Grams() total: number;
  @Amount(0.001, 1000) step: number;
  /** What each was expected to weigh dry, g. */
  @Amounts(0, MOST_MASS, { most: 200 }) dry: readonly number[];
}

export class ExpectedNowInput {
  @Text(1, 40) code: string;
  @Grams(0.1) mass: number;
  /** A standard deviation, g. */
  @Amount(0.01, MOST_MASS) sd: number;
}

export class WhichPieceQuestion {
  @Grams(0.1) mass: number;
  @Part(() => ExpectedNowInput) said: ExpectedNowInput;
  @ListOf(() => ExpectedNowInput, { most: 500 })
  others: readonly ExpectedNowInput[];
}

export class WithoutScaleQuestion extends PromisedMasses {
  @IsIn(Object.keys(dryingSchools)) school: DryingSchool;
  @Part(() => DryingAmbientInput) ambient: DryingAmbientInput;
  @IsOptional() @IsBoolean() film?: boolean;
  /** Of a taped film. */
  @IsOptional() @Amount(0, 8760) hours?: number;
  @IsOptional() @IsBoolean() drops?: boolean;
}

export class OverrideInput {
  /** The water that may be left over the limit, then. */
  @Amount(0, 100) over: number;
  @IsBoolean() film: boolean;
  @IsOptional() @IsBoolean() held?: boolean;
}

export class OverridesQuestion {
  @ListOf(() => OverrideInput, { most: 500 }) overrides: readonly OverrideInput[];
  @IsBoolean() film: boolean;
}

export class SealSchoolQuestion {
  @Choices(pieceUses, { most: 10 }) uses: readonly PieceUse[];
  /** A sealer that is to hand: what speaks against it. */
  @IsOptional() @IsIn(sealerKinds) sealer?: SealerKind;
  @IsOptional() @IsIn(sides) side?: Side;
}

export class SealerQuestion {
  @Part(() => MouldShapeInput) shape: MouldShapeInput;
  @IsIn(sides) side: Side;
  @Whole(1, 200) pieces: number;
  @Whole(1, 10) coats: number;
  @IsIn(sealerKinds) sealer: SealerKind;
  /** The product's own sheet. */
  @IsOptional() @Part(() => SealerSheetInput) sheet?: SealerSheetInput;
  @IsBoolean() porous: boolean;
  /** Faces that joints cover, mm². */
  @IsOptional() @Area() joined?: number;
}

/** A coat that is about to go on. Times ms. */
export class CoatQuestion {
  @IsIn(sealerKinds) sealer: SealerKind;
  @Amount(0, LATEST) at: number;
  @Part(() => DryingAmbientInput) ambient: DryingAmbientInput;
  /** The coat before it. */
  @IsOptional() @Amount(0, LATEST) lastAt?: number;
  @IsOptional() @Amount(0, 600) openMonths?: number;
  @IsOptional() @Amount(0, LATEST) decorationDryAt?: number;
}

export class DecorationQuestion {
  @IsIn(decorationsInOrder) decoration: Decoration;
  @Amount(0, LATEST) at: number;
  @IsBoolean() dryEnough: boolean;
  @IsBoolean() sealed: boolean;
  @IsOptional() @Amount(0, LATEST) dryAt?: number;
}

export class ArticlePartInput {
  @Text(1, 40) code: string;
  @Text(1, 80) name: string;
  @Part(() => MouldShapeInput) shape: MouldShapeInput;
  @Grams(0.1) mass: number;
  @IsOptional() @IsBoolean() over?: boolean;
}

export class ArticleQuestion {
  @IsIn(arrangements) arrangement: Arrangement;
  @ListOf(() => ArticlePartInput, { least: 2, most: 12 })
  parts: readonly ArticlePartInput[];
  @IsIn(bondsInOrder) bond: Bond;
  @Choices(jointUses, { most: 6 }) uses: readonly JointUse[];
  @Celsius() temperature: number;
  @Amount(1000, 200_000) liftLimit: number;
}

export class JoinedStateInput implements JoinedState {
  @Text(1, 40) code: string;
  @IsIn(stages) stage: Stage;
  @Amount(0, 2) strength: number;
  @IsBoolean() dry: boolean;
}

export class JoiningQuestion {
  @ListOf(() => JoinedStateInput, { least: 2, most: 12 })
  parts: readonly JoinedStateInput[];
  @IsIn(bondsInOrder) bond: Bond;
}

export class AfterSealQuestion {
  @IsIn(sealerKinds) sealer: SealerKind;
  @Choices(pieceUses, { most: 10 }) uses: readonly PieceUse[];
}

export class PlantedQuestion {
  @Grams(1) dry: number;
  @Part(() => MouldShapeInput) shape: MouldShapeInput;
  /** How far below its rim a jar is filled, mm. */
  @IsOptional() @Amount(0, 500) fillGap?: number;
}

export class CareSealerInput {
  @IsIn(sealerKinds) kind: SealerKind;
  @Text(1, 80) name: string;
  @Whole(1, 20) coats: number;
}

export class CareNoteQuestion {
  @Text(1, 80) name: string;
  @Text(1, 40) code: string;
  @Text(1, 200) mixName: string;
  @IsOptional() @Part(() => CareSealerInput) sealer?: CareSealerInput;
  @Choices(pieceUses, { most: 10 }) uses: readonly PieceUse[];
  @IsOptional() @IsIn(exposures) exposure?: Exposure;
  @IsBoolean() lightweight: boolean;
  @IsBoolean() gypsum: boolean;
  @IsBoolean() lamp: boolean;
  /** When it was cast and what it weighs, in words. */
  /** When it was cast, ms. */
  @IsOptional() @Time() castAt?: number;
  /** What it weighs by itself and with soil in it, g. */
  @IsOptional() @Amount(0, 1e6) weight?: number;
  @IsOptional() @Amount(0, 1e6) planted?: number;
  @IsOptional() @Amount(0, 14) ph?: number;
}

export class SimulationPieceInput extends PromisedMasses {
  @Text(1, 80) name: string;
  @IsIn(binderClasses) binderClass: BinderClass;
  @IsBoolean() lightweight: boolean;
  /** mm² */
  @Amount(100, 1e8) area: number;
  /** MPa */
  @Amount(0.1, 200) strength: number;
  /** Equivalent hours. */
  @Amount(0.1, 1000) demouldAge: number;
}

export class SimulationChoicesInput {
  @IsIn(Object.keys(simulationClimates)) climate: SimulationClimate;
  @IsIn(coversInOrder) cover: Cover;
  @Amount(0, 960) demould: number;
  @Amount(0, 960) uncover: number;
  @Whole(0, 20) wettings: number;
  @IsOptional() @IsIn(sealerKinds) sealer?: SealerKind;
  @Amount(0, 960) coat: number;
}

export class SimulationQuestion {
  @Part(() => SimulationPieceInput) piece: SimulationPieceInput;
  @Part(() => SimulationChoicesInput) choices: SimulationChoicesInput;
}
