import type { Exposure, Grade, SettingClass } from '@dewpot/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsHexColor,
  IsIn,
  IsInt,
  IsNumber,
  IsString,
  IsUUID,
  Length,
  Max,
  Min,
  ValidateNested,
} from 'class-validator';

export class MixLineInput {
  @IsUUID() materialId: string;
  @IsNumber() parts: number;
}

export class MixInput {
  @IsString() @Length(1, 80) name: string;
  @IsIn(['volume', 'mass']) by: 'volume' | 'mass';
  @IsInt() @Min(1) @Max(7) grade: Grade;
  @IsIn(['indoors', 'outdoors', 'frost']) exposure: Exposure;
  @IsBoolean() packed: boolean;
  @IsIn(['portland', 'fast-setting', 'gypsum', 'underlayment', 'patch', 'lime']) setting: SettingClass;
  /** Damp cure, days. */
  @IsNumber() @Min(0) @Max(60) dampDays: number;
  /** How it looks cured and dry. */
  @IsHexColor() colour: string;
  @IsArray() @ArrayMaxSize(30) @ValidateNested({ each: true }) @Type(() => MixLineInput) lines: MixLineInput[];
  @IsInt() @Min(0) version: number;
}

export interface MixView {
  readonly id: string;
  readonly version: number;
  readonly name: string;
  readonly by: 'volume' | 'mass';
  readonly grade: Grade;
  readonly exposure: Exposure;
  readonly packed: boolean;
  readonly setting: SettingClass;
  readonly dampDays: number;
  readonly colour: string;
  readonly lines: readonly { readonly materialId: string; readonly parts: number }[];
}
