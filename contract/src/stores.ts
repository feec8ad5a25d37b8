import type { BinderFamily, Bulking, Lot, Material, MaterialKind, Scoop } from '@dewpot/core';
import { IsIn, IsInt, IsNumber, IsOptional, IsString, IsUUID, Length, Max, Min } from 'class-validator';

export class MaterialInput {
  @IsString() @Length(1, 80) name: string;
  @IsIn(['binder', 'binder-part', 'aggregate', 'lightweight', 'organic']) kind: MaterialKind;
  @IsNumber() @Min(0.01) @Max(10) bulk: number;
  @IsNumber() @Min(0.01) @Max(10) particle: number;
  @IsNumber() @Min(0) @Max(10) absorption: number;
  @IsNumber() @Min(0) @Max(20) demand: number;
  @IsNumber() @Min(0.01) @Max(100) largestGrain: number;
  @IsIn(['fine', 'sharp', 'none']) bulking: Bulking;
  @IsOptional() @IsIn(['portland', 'sulfoaluminate', 'gypsum', 'lime', 'pozzolan']) family?: BinderFamily;
  @IsInt() @Min(0) version: number;
}

export interface MaterialView extends Material {
  readonly version: number;
}

export class LotInput {
  @IsUUID() materialId: string;
  @IsNumber() @Min(1) @Max(1e8) bought: number;
  @IsNumber() @Min(0) @Max(1e8) left: number;
  @IsNumber() @Min(0) @Max(1e6) price: number;
  /** Milliseconds of the day it was bought. */
  @IsInt() @Min(0) boughtAt: number;
  @IsInt() @Min(0) version: number;
}

export interface LotView extends Lot {
  readonly id: string;
  readonly version: number;
}

export class ScoopInput {
  @IsString() @Length(1, 60) name: string;
  /** Struck level, mL. */
  @IsNumber() @Min(1) @Max(50000) volume: number;
  @IsInt() @Min(0) version: number;
}

export interface ScoopView extends Scoop {
  readonly version: number;
}

export interface StoresView {
  readonly materials: readonly MaterialView[];
  readonly lots: readonly LotView[];
  readonly scoops: readonly ScoopView[];
}
