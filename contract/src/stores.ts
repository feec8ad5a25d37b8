import {
  additives,
  type AdditiveKind,
  type BinderFamily,
  type Bulking,
  type Lot,
  type Material,
  type MaterialKind,
  type PowderWater,
  sealerClaims,
  sealerKinds,
  type Scoop,
  type SealerClaim,
  type SealerKind,
  type SealerSheet,
  type Tinting,
} from '@dewpot/core';
import { Type } from 'class-transformer';
import {
  IsArray,
  IsBoolean,
  IsHexColor,
  IsIn,
  IsInt,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  IsUUID,
  Length,
  Max,
  Min,
  ValidateNested,
} from 'class-validator';

const kinds: readonly MaterialKind[] = [
  'binder',
  'binder-part',
  'aggregate',
  'lightweight',
  'organic',
  'pre-blend',
  'additive',
  'sealer',
];

/** What a ready-made powder's bag says, shares of its mass. */
export class PowderInput implements PowderWater {
  @IsNumber() low: number;
  @IsNumber() high: number;
  @IsNumber() binderShare: number;
  @IsNumber() doseShare: number;
}

/** How a pigment colours. */
export class TintingInput implements Tinting {
  @IsOptional() @IsNumber() strength?: number;
  /** Per cent of the binder. */
  @IsOptional() @IsNumber() levelling?: number;
  @IsOptional() @IsBoolean() fades?: boolean;
  @IsOptional() @IsBoolean() metallic?: boolean;
}

/** What the sheet of a sealer says: m² a litre and coat, hours, days, °C. What they may be is checked by core. */
export class SealerSheetInput implements SealerSheet {
  @IsIn([...sealerKinds]) kind: SealerKind;
  @IsNumber() dense: number;
  @IsNumber() porous: number;
  @IsNumber() recoatFrom: number;
  @IsNumber() recoatTo: number;
  @IsNumber() cureDays: number;
  @IsNumber() heat: number;
  @IsArray() @IsIn([...sealerClaims], { each: true }) claims: readonly SealerClaim[];
  @IsOptional() @IsNumber() leastDays?: number;
  @IsNumber() keepsMonths: number;
}

/** A material's own figures. What they may be is checked by core, which names each with its remedy. */
export class MaterialFigures {
  @IsString() @Length(1, 80) name: string;
  @IsIn([...kinds]) kind: MaterialKind;
  /** Loose as it is scooped, and as it takes room in the mix, kg/L. */
  @IsNumber() bulk: number;
  @IsNumber() particle: number;
  /** Share of dry mass. */
  @IsNumber() absorption: number;
  /** kg of water per kg. */
  @IsNumber() demand: number;
  /** mm */
  @IsNumber() largestGrain: number;
  @IsIn(['fine', 'sharp', 'none']) bulking: Bulking;
  @IsOptional() @IsIn(['portland', 'sulfoaluminate', 'gypsum', 'lime', 'pozzolan']) family?: BinderFamily;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => PowderInput) powder?: PowderInput;
  @IsOptional() @IsIn(Object.keys(additives)) additive?: AdditiveKind;
  /** Of a liquid, share of its mass. */
  @IsOptional() @IsNumber() solids?: number;
  /** Of a pigment by itself, of a binder set and dry, of sand dry. */
  @IsOptional() @IsHexColor() colour?: string;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => TintingInput) tinting?: TintingInput;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => SealerSheetInput) sealer?: SealerSheetInput;
}

export class MaterialInput extends MaterialFigures {
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
  /** Milliseconds of the day it was opened. */
  @IsOptional() @IsInt() @Min(0) openedAt?: number;
  @IsOptional() @IsInt() @Min(1) @Max(1000) bags?: number;
  @IsOptional() @IsBoolean() lumpy?: boolean;
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
  /** Heaped, mL. */
  @IsOptional() @IsNumber() @Min(1) @Max(80000) heaped?: number;
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
