import type { MouldShape, MouldStuff, PieceKind } from '@dewpot/core';
import { pieceGuides } from '@dewpot/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  Equals,
  IsArray,
  IsIn,
  IsInt,
  IsNumber,
  IsString,
  IsUUID,
  Length,
  Min,
  ValidateNested,
} from 'class-validator';

export class SolidInput {
  @Equals('round-frustum') kind: 'round-frustum';
  @IsNumber() bottomDiameter: number;
  @IsNumber() topDiameter: number;
  @IsNumber() height: number;
}

export class PlacedSolidInput {
  @IsString() @Length(1, 60) name: string;
  @ValidateNested() @Type(() => SolidInput) solid: SolidInput;
  @IsNumber() bottom: number;
}

export class MouldShapeInput implements MouldShape {
  @ValidateNested() @Type(() => SolidInput) outer: SolidInput;
  @IsArray() @ArrayMaxSize(20) @ValidateNested({ each: true }) @Type(() => PlacedSolidInput) cores: PlacedSolidInput[];
  @IsArray()
  @ArrayMaxSize(20)
  @ValidateNested({ each: true })
  @Type(() => PlacedSolidInput)
  inserts: PlacedSolidInput[];
}

export class CopyInput {
  @IsUUID() id: string;
  /** What is written on it: A, B, C. */
  @IsString() @Length(1, 20) mark: string;
}

export class MouldInput {
  @IsString() @Length(1, 80) name: string;
  @IsIn(['rigid', 'flexible']) stuff: MouldStuff;
  @IsIn(Object.keys(pieceGuides)) piece: PieceKind;
  @ValidateNested() @Type(() => MouldShapeInput) shape: MouldShapeInput;
  @IsArray() @ArrayMaxSize(200) @ValidateNested({ each: true }) @Type(() => CopyInput) copies: CopyInput[];
  /** Version that was edited; 0 for a new one. */
  @IsInt() @Min(0) version: number;
}

export interface CopyView {
  readonly id: string;
  readonly mark: string;
  /** Times it was filled. */
  readonly cycles: number;
}

export interface MouldView {
  readonly id: string;
  readonly version: number;
  readonly name: string;
  readonly stuff: MouldStuff;
  readonly piece: PieceKind;
  readonly shape: MouldShape;
  readonly copies: readonly CopyView[];
}
