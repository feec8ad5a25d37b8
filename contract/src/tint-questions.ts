import { lookNames, type BandEdge, type BandsBy, type BatchColour, type Look, type SettingClass } from '@dewpot/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsHexColor,
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

/** A pigment of a question: its own colour as a screen shows it. */
export class PlainPigment {
  @IsString() @Length(1, 80) name: string;
  @IsHexColor() colour: string;
  /** Tinting strength; 40 where no chip told of it. */
  @IsOptional() @IsNumber() @Min(0.1) @Max(5000) strength?: number;
  /** Dose at which it levels off, per cent of the binder; 4 where left out. */
  @IsOptional() @IsNumber() @Min(0.1) @Max(20) levelling?: number;
  /** How many chips its strength rests on. */
  @IsOptional() @IsInt() @Min(0) @Max(1000) chips?: number;
  /** Of a gram. */
  @IsOptional() @IsNumber() @Min(0) price?: number;
}

export class PlainTintDose {
  @IsObject() @ValidateNested() @Type(() => PlainPigment) pigment: PlainPigment;
  /** Per cent of the binder. */
  @IsNumber() @Min(0) @Max(10) dose: number;
}

/** A base and what is in it. The base's colour is that of the cured, dry mix without pigment. */
export class TintQuestion {
  @IsHexColor() base: string;
  @IsArray()
  @ArrayMaxSize(8)
  @ValidateNested({ each: true })
  @Type(() => PlainTintDose)
  doses: PlainTintDose[];
  @IsOptional() @IsArray() @ArrayMaxSize(6) @IsIn(Object.keys(lookNames), { each: true }) looks?: Look[];
}

export class TintSearchQuestion {
  @IsHexColor() base: string;
  @IsHexColor() wanted: string;
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(8)
  @ValidateNested({ each: true })
  @Type(() => PlainPigment)
  pigments: PlainPigment[];
  /** Most pigment in all, per cent of the binder. */
  @IsOptional() @IsNumber() ceiling?: number;
}

export class PlainChip {
  @IsHexColor() base: string;
  /** Per cent of the binder. */
  @IsNumber() dose: number;
  @IsHexColor() measured: string;
}

export class StrengthQuestion {
  @IsObject() @ValidateNested() @Type(() => PlainPigment) pigment: PlainPigment;
  @IsArray() @ArrayMaxSize(100) @ValidateNested({ each: true }) @Type(() => PlainChip) chips: PlainChip[];
}

export class TintWeighingQuestion extends TintQuestion {
  /** In the batch, g. */
  @IsNumber() binder: number;
  /** Step of the scale, g. */
  @IsNumber() step: number;
}

export class DifferenceQuestion {
  @IsHexColor() one: string;
  @IsHexColor() other: string;
}

export class LadderQuestion {
  @IsString() @Length(1, 80) pigment: string;
  /** g */
  @IsNumber() binderPerLitre: number;
  /** Per cent of the binder. */
  @IsOptional() @IsArray() @ArrayMaxSize(20) @IsNumber({}, { each: true }) doses?: number[];
  /** Of one chip, mL. */
  @IsOptional() @IsNumber() volume?: number;
}

/** One material of a base, by its handbook key. */
export class BasePart {
  @IsString() @Length(1, 40) material: string;
  /** g, dry. */
  @IsNumber() @Min(0) @Max(1e7) mass: number;
}

export class BaseQuestion {
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(30) @ValidateNested({ each: true }) @Type(() => BasePart) parts: BasePart[];
}

/** A pigment of a chip, by its handbook key; share of the binder. */
export class ChipDose {
  @IsString() @Length(1, 40) material: string;
  @IsNumber() amount: number;
}

export class ChipQuestion {
  /** Handbook keys. */
  @IsString() @Length(1, 40) binder: string;
  @IsOptional() @IsString() @Length(1, 40) sand?: string;
  @IsArray() @ArrayMaxSize(8) @ValidateNested({ each: true }) @Type(() => ChipDose) doses: ChipDose[];
  /** mL */
  @IsOptional() @IsNumber() @Min(1) @Max(2000) volume?: number;
}

export class LayersQuestion {
  @IsObject() @ValidateNested() @Type(() => MouldShapeInput) shape: MouldShapeInput;
  /** From the bottom up; they come to 1. */
  @IsArray() @ArrayMinSize(2) @ArrayMaxSize(12) @IsNumber({}, { each: true }) shares: number[];
  @IsIn(['height', 'volume']) by: BandsBy;
  @IsIn(['crisp', 'blended']) edge: BandEdge;
  /** mm; to the rim where left out. */
  @IsOptional() @IsNumber() @Min(0) @Max(5000) fillTo?: number;
  @IsIn([...settingClasses]) setting: SettingClass;
  /** °C */
  @IsNumber() @Min(-10) @Max(50) temperature: number;
}

export class TerrazzoQuestion {
  /** Of the volume. */
  @IsNumber() share: number;
  /** mm */
  @IsNumber() size: number;
  /** mm; half a chip where left out. */
  @IsOptional() @IsNumber() depth?: number;
  @IsIn(['matt', 'smooth', 'shine']) face: 'matt' | 'smooth' | 'shine';
}

export class StockQuestion {
  /** The dose, and the step of the scale, g. */
  @IsNumber() mass: number;
  @IsNumber() step: number;
}

export class BottleQuestion {
  /** g */
  @IsNumber() before: number;
  @IsNumber() after: number;
  /** Share of its mass. */
  @IsOptional() @IsNumber() solids?: number;
}

export class BatchColourInput implements BatchColour {
  /** Lot by material. */
  @IsObject() lots: Record<string, string>;
  @IsNumber() @Min(0) @Max(3) ratio: number;
  @IsString() @Length(0, 80) sand: string;
  /** ΔE00 */
  @IsNumber() @Min(0) @Max(100) rounding: number;
  @IsString() @Length(0, 80) cure: string;
}

export class MatchQuestion {
  @IsObject() @ValidateNested() @Type(() => BatchColourInput) before: BatchColourInput;
  @IsObject() @ValidateNested() @Type(() => BatchColourInput) now: BatchColourInput;
}

export class MarblingQuestion {
  @IsArray()
  @ArrayMinSize(2)
  @ArrayMaxSize(4)
  @IsNumber({}, { each: true })
  @Min(0.01, { each: true })
  shares: number[];
  @IsInt() @Min(0) @Max(1_000_000) seed: number;
  @IsInt() @Min(1) @Max(400) width: number;
  @IsInt() @Min(1) @Max(400) height: number;
}
