import {
  finishes,
  pieceGuides,
  releases,
  type Finish,
  type PieceKind,
  type ReleaseName,
  type SettingClass,
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
import { MixQuestion } from './mix-questions.js';
import { settingClasses } from './mixes.js';
import { RunEventInput } from './run.js';
import { MouldShapeInput } from './solids.js';

const pieces = Object.keys(pieceGuides);

export class SheetItem {
  @IsOptional() @IsString() @Length(1, 80) name?: string;
  @IsObject() @ValidateNested() @Type(() => MouldShapeInput) shape: MouldShapeInput;
  @IsIn(pieces) piece: PieceKind;
  @IsInt() @Min(1) @Max(500) count: number;
}

export class SheetQuestion {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(100)
  @ValidateNested({ each: true })
  @Type(() => SheetItem)
  items: SheetItem[];
  @IsObject() @ValidateNested() @Type(() => MixQuestion) mix: MixQuestion;
  /** Volume of the scoop struck level, mL. */
  @IsNumber() scoop: number;
  @IsIn([1, 0.5, 0.25]) step: 1 | 0.5 | 0.25;
  @IsNumber() @Min(0) @Max(1) spare: number;
  /** Brim volume of the bucket, mL. */
  @IsNumber() bucket: number;
  @IsNumber() temperature: number;
  @IsOptional() @IsIn([...settingClasses]) setting?: SettingClass;
}

export class HourQuestion extends SheetQuestion {
  /** When it begins, ms. */
  @IsInt() @Min(0) start: number;
  @IsOptional() @IsIn(Object.keys(releases)) release?: ReleaseName;
  @IsOptional() @IsIn(finishes) finish?: Finish;
  @IsOptional() @IsInt() @Min(1) @Max(6) people?: number;
}

/** A pour and what happened at the bench so far. */
export class RunQuestion extends SheetQuestion {
  @IsArray() @ArrayMaxSize(500) @ValidateNested({ each: true }) @Type(() => RunEventInput) events: RunEventInput[];
}

export class BatchesQuestion {
  /** What each mould takes, mL. */
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(500) @IsNumber({}, { each: true }) volumes: number[];
  /** Brim volume of the bucket, mL. */
  @IsNumber() @Min(100) bucket: number;
  /** Minutes in which the mix can be placed, and what mixing and filling one mould take of them. */
  @IsNumber() potLife: number;
  @IsNumber() mixing: number;
  @IsNumber() filling: number;
}

export class CatchMouldInput {
  @IsString() @Length(1, 80) id: string;
  @IsString() @Length(1, 80) name: string;
  @IsNumber() volume: number;
}

export class LeftoverQuestion {
  /** mL */
  @IsNumber() leftover: number;
  @IsArray() @ArrayMaxSize(500) @ValidateNested({ each: true }) @Type(() => CatchMouldInput) moulds: CatchMouldInput[];
}

export class OwnedCopyInput {
  @IsString() @Length(1, 20) mark: string;
  @IsBoolean() retired: boolean;
  @IsBoolean() leaks: boolean;
}

export class FreeQuestion {
  @IsString() @Length(1, 80) name: string;
  @IsArray() @ArrayMaxSize(500) @ValidateNested({ each: true }) @Type(() => OwnedCopyInput) copies: OwnedCopyInput[];
  /** When each copy that stands full is good to lift out, ms. */
  @IsArray() @ArrayMaxSize(500) @IsInt({ each: true }) full: number[];
  @IsInt() @Min(1) @Max(500) count: number;
}

export class CutQuestion {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(100)
  @ValidateNested({ each: true })
  @Type(() => SheetItem)
  items: SheetItem[];
  /** Mesh is laid into flat pieces. */
  @IsOptional() @IsBoolean() mesh?: boolean;
}
