import type {
  CastEvent,
  Damage,
  DryDown,
  DryDownCurve,
  Expected,
  Force,
  HappeningType,
  Life,
  MouldShape,
  PieceKind,
  SealerKind,
  SettingClass,
  Side,
  Skin,
  Spot,
  Stage,
} from '@dewpot/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  IsString,
  IsUUID,
  Length,
  Max,
  Min,
  ValidateIf,
  ValidateNested,
} from 'class-validator';

export const spots: readonly Spot[] = ['corner', 'rim', 'base', 'core-end', 'face'];
export const happenings: readonly HappeningType[] = [
  'wetted',
  'lifted-out',
  'uncovered',
  'weighed',
  'coated',
  'bubbles',
  'put-out',
  'broken',
  'voided',
];

export class DamageInput implements Damage {
  @IsIn(spots) spot: Spot;
  @IsIn(['chip', 'piece', 'through']) size: Damage['size'];
}

const when = (...types: HappeningType[]) => ValidateIf((event: CastEventInput) => types.includes(event.type));

/** Something that happened to a cast. Which fields count goes by `type`. */
export class CastEventInput {
  @IsUUID() id: string;
  /** When it happened, ms. */
  @IsInt() @Min(0) at: number;
  @IsIn(happenings) type: HappeningType;
  @when('lifted-out')
  @IsArray()
  @ArrayMaxSize(20)
  @ValidateNested({ each: true })
  @Type(() => DamageInput)
  damage?: DamageInput[];
  @IsOptional() @IsIn(['slid', 'tapped', 'fought']) force?: Force;
  @when('weighed') @IsNumber() mass?: number;
  @when('weighed') @IsNumber() step?: number;
  /** Air that the piece stood in when it was weighed. */
  @IsOptional() @IsNumber() @Min(-40) @Max(60) temperature?: number;
  @IsOptional() @IsNumber() @Min(0) @Max(1) humidity?: number;
  @when('coated') @IsIn(['penetrating', 'acrylic', 'polyurethane', 'wax', 'oil']) sealer?: SealerKind;
  @when('coated') @IsIn(['outside', 'inside', 'both']) side?: Side;
  /** Why a refusal was overruled. */
  @IsOptional() @IsString() @Length(1, 300) overruled?: string;
  @when('bubbles') @IsIn(spots) face?: Spot;
  @when('bubbles') @IsInt() @Min(1) @Max(5) grade?: number;
  @IsOptional() @IsString() @Length(0, 120) where?: string;
  @IsOptional() @IsString() @Length(0, 300) how?: string;
  @when('voided') @IsUUID() event?: string;
}

/** What the weighings say, without the curve. Times in ms. */
export interface DrySummary {
  readonly dryEnough: boolean;
  readonly missing: readonly string[];
  readonly opensAt?: number;
  readonly opensLow?: number;
  readonly opensHigh?: number;
  readonly typical?: DryDownCurve;
}

/** What is kept of the pour with each cast. */
export interface CastSnapshot {
  readonly mouldName: string;
  readonly mixName: string;
  readonly shape: MouldShape;
  readonly piece: PieceKind;
  readonly setting: SettingClass;
  readonly colour: string;
  /** Of a piece in tints: its colours as they dry, from the bottom up, or as they are poured together. */
  readonly skin?: Skin;
  readonly copyMark?: string;
  readonly release?: string;
  readonly cover?: string;
  readonly place?: string;
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
}

/** A cast with its whole record. */
export interface CastDetail extends CastView {
  readonly events: readonly CastEvent[];
  readonly dryDown: DryDown;
}
