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
import { InsetInput } from './pours.js';
import { RunEventInput } from './run.js';
import { MouldShapeInput } from './solids.js';

const pieces = Object.keys(pieceGuides);

export class SheetItem {
  @IsOptional() @IsString() @Length(1, 80) name?: string;
  @IsObject() @ValidateNested() @Type(() => MouldShapeInput) shape: MouldShapeInput;
  @IsIn(pieces) piece: PieceKind;
  @IsInt() @Min(1) @Max(500) count: number;
  /** Mesh is laid in at half depth. */
  @IsOptional() @IsBoolean() mesh?: boolean;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => InsetInput) inset?: InsetInput;
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

/** A piece that a foot may be cast for. */
export class FootedInput {
  @IsString() @Length(1, 80) name: string;
  @IsObject() @ValidateNested() @Type(() => MouldShapeInput) shape: MouldShapeInput;
  @IsIn(pieces) piece: PieceKind;
}

export class LeftoverQuestion {
  /** mL */
  @IsNumber() leftover: number;
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(100)
  @ValidateNested({ each: true })
  @Type(() => FootedInput)
  feet?: FootedInput[];
  @IsArray() @ArrayMaxSize(500) @ValidateNested({ each: true }) @Type(() => CatchMouldInput) moulds: CatchMouldInput[];
}

export class OwnedCopyInput {
  @IsString() @Length(1, 20) mark: string;
  @IsBoolean() retired: boolean;
  @IsBoolean() leaks: boolean;
}

export class FullMouldInput {
  @IsString() @Length(1, 80) name: string;
  @IsString() @Length(1, 60) place: string;
  /** Full, g. */
  @IsNumber() @Min(0) mass: number;
  /** When it is good to lift out, ms. */
  @IsInt() @Min(0) freeAt: number;
  /** It cannot be moved, whatever it weighs: a panel, a strip mould, a leaf over sand. */
  @IsOptional() @IsBoolean() fixed?: boolean;
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
}

/** Lettering or a picture in a mould. */
export class InsetQuestion {
  @IsObject() @ValidateNested() @Type(() => MouldShapeInput) shape: MouldShapeInput;
  @IsObject() @ValidateNested() @Type(() => InsetInput) inset: InsetInput;
  /** Height to which the mould is filled, mm; to the rim where it is left out. */
  @IsOptional() @IsNumber() fillTo?: number;
  @IsOptional() @IsIn(pieces) piece?: PieceKind;
}

/** Full moulds, and from which mass on they are not moved. */
export class SpotsQuestion {
  @IsArray() @ArrayMaxSize(500) @ValidateNested({ each: true }) @Type(() => FullMouldInput) full: FullMouldInput[];
  /** g */
  @IsNumber() @Min(0) liftLimit: number;
  @IsOptional() @IsString() @Length(0, 60) place?: string;
}
