import {
  arrangements,
  bondsInOrder,
  coversInOrder,
  decorationsInOrder,
  dryingSchools,
  jointUses,
  pieceUses,
  rehearsalClimates,
  sealerKinds,
  sides,
  type Arrangement,
  type Bond,
  type Cover,
  type Decoration,
  type DryingSchool,
  type JoinedState,
  type JointUse,
  type PieceUse,
  type RehearsalClimate,
  type SealerKind,
  type SettingClass,
  type Side,
  type Stage,
} from '@dewpot/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  Length,
  Max,
  Min,
  ValidateNested,
} from 'class-validator';
import { settingClasses } from './mixes.js';
import { MouldShapeInput } from './solids.js';
import { SealerSheetInput } from './stores.js';

const stages: readonly Stage[] = ['setting', 'damp', 'drying', 'sealed', 'joined', 'out', 'broken'];

export class WeighingPoint {
  /** Since the pour. */
  @IsNumber() @Min(0) hour: number;
  @IsNumber() @Min(0.1) mass: number;
  @IsNumber() @Min(0.01) step: number;
  @IsOptional() @IsNumber() temperature?: number;
  @IsOptional() @IsNumber() humidity?: number;
}

/** What a mix promised of a piece, g. */
class PromisedMasses {
  @IsNumber() @Min(1) dry: number;
  @IsNumber() @Min(0.1) loss: number;
}

export class DryDownQuestion extends PromisedMasses {
  @IsArray() @ArrayMaxSize(500) @ValidateNested({ each: true }) @Type(() => WeighingPoint) weighings: WeighingPoint[];
  @IsIn(settingClasses) setting: SettingClass;
  /** For a film sealer or a candle. */
  @IsOptional() @IsBoolean() film?: boolean;
  /** Share by which a record has moved the limit. */
  @IsOptional() @IsNumber() @Min(1) @Max(1.5) ease?: number;
  /** Youngest age by the product's sheet, days. */
  @IsOptional() @IsNumber() @Min(0) @Max(365) leastDays?: number;
}

export class DryingAirInput {
  @IsNumber() @Min(-40) @Max(60) temperature: number;
  @IsNumber() @Min(0) @Max(1) humidity: number;
}

export class DryingAirPoint extends DryingAirInput {
  /** Since the pour. */
  @IsNumber() hour: number;
}

/** When a gate opens under a forecast. Hours since the pour. */
export class OpensQuestion {
  /** By the weighings alone. */
  @IsNumber() opens: number;
  /** The last weighing. */
  @IsNumber() from: number;
  /** Air that it was weighed in so far, and the forecast, each reading holding until the next. */
  @IsArray() @ArrayMaxSize(20_000) @ValidateNested({ each: true }) @Type(() => DryingAirPoint) past: DryingAirPoint[];
  @IsArray() @ArrayMaxSize(5000) @ValidateNested({ each: true }) @Type(() => DryingAirPoint) ahead: DryingAirPoint[];
}

export class TogetherQuestion {
  @IsNumber() total: number;
  @IsNumber() step: number;
  /** What each was expected to weigh dry, g. */
  @IsArray() @ArrayMaxSize(200) @IsNumber({}, { each: true }) dry: number[];
}

export class ExpectedNowInput {
  @IsString() @Length(1, 40) code: string;
  @IsNumber() @Min(0.1) mass: number;
  /** A standard deviation, g. */
  @IsNumber() @Min(0.01) sd: number;
}

export class WhichPieceQuestion {
  @IsNumber() mass: number;
  @IsObject() @ValidateNested() @Type(() => ExpectedNowInput) said: ExpectedNowInput;
  @IsArray()
  @ArrayMaxSize(500)
  @ValidateNested({ each: true })
  @Type(() => ExpectedNowInput)
  others: ExpectedNowInput[];
}

export class WithoutScaleQuestion extends PromisedMasses {
  @IsIn(Object.keys(dryingSchools)) school: DryingSchool;
  @IsObject() @ValidateNested() @Type(() => DryingAirInput) air: DryingAirInput;
  @IsOptional() @IsBoolean() film?: boolean;
  /** Of a taped film. */
  @IsOptional() @IsNumber() hours?: number;
  @IsOptional() @IsBoolean() drops?: boolean;
}

export class OverruleInput {
  /** The water that may be left over the limit, then. */
  @IsNumber() @Min(0) over: number;
  @IsBoolean() film: boolean;
  @IsOptional() @IsBoolean() held?: boolean;
}

export class OverrulesQuestion {
  @IsArray() @ArrayMaxSize(500) @ValidateNested({ each: true }) @Type(() => OverruleInput) overrules: OverruleInput[];
  @IsBoolean() film: boolean;
}

export class SealSchoolQuestion {
  @IsArray() @ArrayMaxSize(10) @IsIn(pieceUses, { each: true }) uses: PieceUse[];
  /** A sealer that is to hand: what speaks against it. */
  @IsOptional() @IsIn(sealerKinds) sealer?: SealerKind;
  @IsOptional() @IsIn(sides) side?: Side;
}

export class SealerQuestion {
  @IsObject() @ValidateNested() @Type(() => MouldShapeInput) shape: MouldShapeInput;
  @IsIn(sides) side: Side;
  @IsInt() @Min(1) @Max(200) pieces: number;
  @IsInt() @Min(1) @Max(10) coats: number;
  @IsIn(sealerKinds) sealer: SealerKind;
  /** The product's own sheet. */
  @IsOptional() @IsObject() @ValidateNested() @Type(() => SealerSheetInput) sheet?: SealerSheetInput;
  @IsBoolean() porous: boolean;
  /** Faces that joints cover, mm². */
  @IsOptional() @IsNumber() @Min(0) joined?: number;
}

/** A coat that is about to go on. Times ms. */
export class CoatQuestion {
  @IsIn(sealerKinds) sealer: SealerKind;
  @IsNumber() at: number;
  @IsObject() @ValidateNested() @Type(() => DryingAirInput) air: DryingAirInput;
  /** The coat before it. */
  @IsOptional() @IsNumber() lastAt?: number;
  @IsOptional() @IsNumber() @Min(0) openMonths?: number;
  @IsOptional() @IsNumber() decorationDryAt?: number;
}

export class DecorationQuestion {
  @IsIn(decorationsInOrder) decoration: Decoration;
  @IsNumber() at: number;
  @IsBoolean() dryEnough: boolean;
  @IsBoolean() sealed: boolean;
  @IsOptional() @IsNumber() dryAt?: number;
}

export class ArticlePartInput {
  @IsString() @Length(1, 40) code: string;
  @IsString() @Length(1, 80) name: string;
  @IsObject() @ValidateNested() @Type(() => MouldShapeInput) shape: MouldShapeInput;
  @IsNumber() @Min(1) mass: number;
  @IsOptional() @IsBoolean() over?: boolean;
}

export class ArticleQuestion {
  @IsIn(arrangements) arrangement: Arrangement;
  @IsArray()
  @ArrayMinSize(2)
  @ArrayMaxSize(12)
  @ValidateNested({ each: true })
  @Type(() => ArticlePartInput)
  parts: ArticlePartInput[];
  @IsIn(bondsInOrder) bond: Bond;
  @IsArray() @ArrayMaxSize(6) @IsIn(jointUses, { each: true }) uses: JointUse[];
  @IsNumber() temperature: number;
  @IsNumber() @Min(1000) @Max(200_000) liftLimit: number;
}

export class JoinedStateInput implements JoinedState {
  @IsString() @Length(1, 40) code: string;
  @IsIn(stages) stage: Stage;
  @IsNumber() @Min(0) @Max(2) strength: number;
  @IsBoolean() dry: boolean;
}

export class JoiningQuestion {
  @IsArray()
  @ArrayMinSize(2)
  @ArrayMaxSize(12)
  @ValidateNested({ each: true })
  @Type(() => JoinedStateInput)
  parts: JoinedStateInput[];
  @IsIn(bondsInOrder) bond: Bond;
}

export class AfterSealQuestion {
  @IsIn(sealerKinds) sealer: SealerKind;
  @IsArray() @ArrayMaxSize(10) @IsIn(pieceUses, { each: true }) uses: PieceUse[];
}

export class PlantedQuestion {
  @IsNumber() dry: number;
  @IsObject() @ValidateNested() @Type(() => MouldShapeInput) shape: MouldShapeInput;
  /** How far below its rim a jar is filled, mm. */
  @IsOptional() @IsNumber() @Min(0) @Max(500) fillGap?: number;
}

export class CareSealerInput {
  @IsIn(sealerKinds) kind: SealerKind;
  @IsString() @Length(1, 80) name: string;
  @IsInt() @Min(1) @Max(20) coats: number;
}

export class CareNoteQuestion {
  @IsString() @Length(1, 80) name: string;
  @IsString() @Length(1, 40) code: string;
  @IsString() @Length(1, 200) mixName: string;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => CareSealerInput) sealer?: CareSealerInput;
  @IsArray() @ArrayMaxSize(10) @IsIn(pieceUses, { each: true }) uses: PieceUse[];
  @IsBoolean() lightweight: boolean;
  @IsBoolean() gypsum: boolean;
  @IsBoolean() lamp: boolean;
  /** When it was cast and what it weighs, in words. */
  @IsOptional() @IsString() @Length(1, 40) cast?: string;
  @IsOptional() @IsString() @Length(1, 40) weight?: string;
  @IsOptional() @IsString() @Length(1, 40) planted?: string;
  @IsOptional() @IsNumber() @Min(0) @Max(14) ph?: number;
}

export class RehearsalPieceInput extends PromisedMasses {
  @IsString() @Length(1, 80) name: string;
  @IsIn(settingClasses) setting: SettingClass;
  @IsBoolean() lightweight: boolean;
  /** mm² */
  @IsNumber() @Min(100) @Max(1e8) area: number;
  /** MPa */
  @IsNumber() @Min(0.1) @Max(200) strength: number;
  /** Equivalent hours. */
  @IsNumber() @Min(0.1) @Max(1000) liftOutAge: number;
}

export class RehearsalChoicesInput {
  @IsIn(Object.keys(rehearsalClimates)) climate: RehearsalClimate;
  @IsIn(coversInOrder) cover: Cover;
  @IsNumber() @Min(0) @Max(960) liftOut: number;
  @IsNumber() @Min(0) @Max(960) uncover: number;
  @IsInt() @Min(0) @Max(20) wettings: number;
  @IsOptional() @IsIn(sealerKinds) sealer?: SealerKind;
  @IsNumber() @Min(0) @Max(960) coat: number;
}

export class RehearsalQuestion {
  @IsObject() @ValidateNested() @Type(() => RehearsalPieceInput) piece: RehearsalPieceInput;
  @IsObject() @ValidateNested() @Type(() => RehearsalChoicesInput) choices: RehearsalChoicesInput;
}
