import type { SettingTimes } from '@dewpot/core/binders';
import { stockKinds, type Stock, type StockKind } from '@dewpot/core/cutting';
import {
  additives,
  binderFamilies,
  bulkings,
  materialKinds,
  sealerClaims,
  sealerKinds,
  type AdditiveKind,
  type BinderFamily,
  type Bulking,
  type Lot,
  type Material,
  type MaterialKind,
  type PowderWater,
  type Scoop,
  type SealerClaim,
  type SealerKind,
  type SealerSheet,
  type Tinting,
} from '@dewpot/core/materials';
import { IsBoolean, IsHexColor, IsIn, IsOptional, IsUUID } from 'class-validator';
import { Amount, Choices, Density, Millimetres, Part, Share, Text, Time, Version, Whole } from './limits.js';

/** What a ready-made powder's bag says, shares of its mass. */
export class PowderInput implements PowderWater {
  @Amount(0, 10) low: number;
  @Amount(0, 10) high: number;
  @Share() binderShare: number;
  @Share() doseShare: number;
}

/** What a bag says of its binder, or the caster's own clock of a mix, at 20 °C: minutes and hours. */
export class SettingTimesInput implements SettingTimes {
  @IsOptional() @Amount(0, 10_000) potLife?: number;
  @IsOptional() @Amount(0, 1000) initialSet?: number;
}

/** How a pigment colours. */
export class TintingInput implements Tinting {
  @IsOptional() @Amount(0, 5000) strength?: number;
  /** Per cent of the binder. */
  @IsOptional() @Amount(0, 100) levelling?: number;
  @IsOptional() @IsBoolean() fades?: boolean;
  @IsOptional() @IsBoolean() metallic?: boolean;
}

/** What the sheet of a sealer says: m² a litre and coat, hours, days, °C. What they may be is checked by core. */
export class SealerSheetInput implements SealerSheet {
  @IsIn(sealerKinds) kind: SealerKind;
  @Amount(0, 1000) dense: number;
  @Amount(0, 1000) porous: number;
  @Amount(0, 8760) recoatFrom: number;
  @Amount(0, 8760) recoatTo: number;
  @Amount(0, 365) cureDays: number;
  @Amount(-50, 1000) heat: number;
  @Choices(sealerClaims, { most: sealerClaims.length }) claims: readonly SealerClaim[];
  @IsOptional() @Amount(0, 365) leastDays?: number;
  @Amount(0, 600) keepsMonths: number;
}

/** What a product is beyond its densities, as far as it is anything of it. */
export class ProductFigures {
  @IsOptional() @IsIn(binderFamilies) family?: BinderFamily;
  @IsOptional() @Part(() => PowderInput) powder?: PowderInput;
  @IsOptional() @Part(() => SettingTimesInput) times?: SettingTimesInput;
  @IsOptional() @IsIn(Object.keys(additives)) additive?: AdditiveKind;
  /** Of a liquid, share of its mass. */
  @IsOptional() @Share() solids?: number;
  /** Of a pigment by itself, of a binder set and dry, of sand dry. */
  @IsOptional() @IsHexColor() colour?: string;
}

/** A material's own figures. What they may be is checked by core, which names each with its remedy. */
export class MaterialFigures extends ProductFigures {
  @Text(1, 80) name: string;
  @IsIn(materialKinds) kind: MaterialKind;
  /** Loose as it is scooped, and as it takes room in the mix, kg/L. */
  @Density() bulk: number;
  @Density() particle: number;
  /** Share of dry mass. */
  @Amount(0, 20) absorption: number;
  /** kg of water per kg. */
  @Amount(0, 20) demand: number;
  /** mm */
  @Amount(0, 1000) largestGrain: number;
  @IsIn(bulkings) bulking: Bulking;
  @IsOptional() @Part(() => TintingInput) tinting?: TintingInput;
  @IsOptional() @Part(() => SealerSheetInput) sealer?: SealerSheetInput;
}

export class MaterialInput extends MaterialFigures {
  @Version() version: number;
}

export interface MaterialView extends Material {
  readonly version: number;
}

export class LotInput {
  @IsUUID() materialId: string;
  @Amount(1, 1e8) bought: number;
  @Amount(0, 1e8) left: number;
  @Amount(0, 1e6) price: number;
  /** Milliseconds of the day it was bought. */
  @Time() boughtAt: number;
  /** Milliseconds of the day it was opened. */
  @IsOptional() @Time() openedAt?: number;
  @IsOptional() @Whole(1, 1000) bags?: number;
  @IsOptional() @IsBoolean() lumpy?: boolean;
  @Version() version: number;
}

export interface LotView extends Lot {
  readonly id: string;
  readonly version: number;
}

export class ScoopInput {
  @Text(1, 60) name: string;
  /** Struck level, mL. */
  @Amount(1, 50000) volume: number;
  /** Heaped, mL. */
  @IsOptional() @Amount(1, 80000) heaped?: number;
  @Version() version: number;
}

export interface ScoopView extends Scoop {
  readonly version: number;
}

/** Sticks, boards or sheets of a size, mm. */
export class StockInput implements Stock {
  @Text(1, 60) name: string;
  @IsIn(stockKinds) kind: StockKind;
  @Millimetres() length: number;
  @Millimetres() width: number;
  @Millimetres() thickness: number;
  @Whole(0, 1000) count: number;
  /** Of one, in the workshop's money. */
  @IsOptional() @Amount(0, 1_000_000) price?: number;
  @Version() version: number;
}

export interface StockView extends StockInput {
  readonly id: string;
}

export interface StoreView {
  readonly materials: readonly MaterialView[];
  readonly lots: readonly LotView[];
  readonly scoops: readonly ScoopView[];
  readonly stock: readonly StockView[];
}
