import {
  handbookMaterials,
  type ColourWhen,
  type Exposure,
  type Grade,
  type Held,
  type MixingOrder,
  type PartsBy,
  type ScoopStep,
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
import { settingClasses } from './mixes.js';

const keys = handbookMaterials.map(({ key }) => key);

export class PlainMixLine {
  /** A material of the handbook, such as grey-cement or sharp-sand. */
  @IsIn(keys) material: string;
  @IsNumber() parts: number;
  /** Where it differs from the mix. */
  @IsOptional() @IsIn(['volume', 'mass']) by?: PartsBy;
}

export class PlainDose {
  /** An additive of the handbook, such as red-oxide or pp-fibre. */
  @IsIn(keys) material: string;
  /** Share of its base's mass or of the fresh volume, or kg/m³, as its kind says. */
  @IsNumber() amount: number;
}

export class MixQuestion {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(30)
  @ValidateNested({ each: true })
  @Type(() => PlainMixLine)
  lines: PlainMixLine[];
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(20)
  @ValidateNested({ each: true })
  @Type(() => PlainDose)
  doses?: PlainDose[];
  @IsIn(['volume', 'mass']) by: PartsBy;
  @IsInt() @Min(1) @Max(7) grade: Grade;
  @IsIn(['indoors', 'outdoors', 'frost']) exposure: Exposure;
  @IsOptional() @IsBoolean() packed?: boolean;
  @IsOptional() @IsBoolean() limeCounts?: boolean;
  @IsOptional() @IsNumber() @Min(0) @Max(60) dampDays?: number;
  /** Months since the cement was opened. */
  @IsOptional() @IsNumber() @Min(0) @Max(240) cementMonths?: number;
}

/** A question about a batch of a mix, of that fresh volume, mL. */
export class BatchQuestion {
  @IsObject() @ValidateNested() @Type(() => MixQuestion) mix: MixQuestion;
  @IsNumber() volume: number;
  /** Share of dry mass by material. */
  @IsOptional() @IsObject() moisture?: Record<string, number>;
}

export class WeighedDosesQuestion extends BatchQuestion {
  /** Step of the scale, g. */
  @IsNumber() scaleStep: number;
}

export class WaterQuestion extends BatchQuestion {
  @IsIn(['water-to-powder', 'powder-to-water']) order: MixingOrder;
}

export class ScoopsQuestion extends BatchQuestion {
  /** Volume of the scoop struck level, mL. */
  @IsNumber() scoop: number;
  @IsIn([1, 0.5, 0.25]) step: ScoopStep;
}

export class TooWetQuestion extends BatchQuestion {
  /** Water that went in, in all, g. */
  @IsNumber() really: number;
}

export class SizeQuestion {
  @IsObject() @ValidateNested() @Type(() => MixQuestion) mix: MixQuestion;
  @IsIn(['volume', 'bucket', 'mass']) to: 'volume' | 'bucket' | 'mass';
  /** mL, mL to the brim, or g. */
  @IsNumber() size: number;
  /** Which material's mass. */
  @IsOptional() @IsIn(keys) material?: string;
}

export class HoldQuestion {
  @IsObject() @ValidateNested() @Type(() => MixQuestion) mix: MixQuestion;
  /** Index of the line that changes, from 0. */
  @IsInt() @Min(0) line: number;
  @IsNumber() parts: number;
  @IsIn(['ratio', 'water-cement', 'strength', 'density']) hold: Held;
  /** Index of the line that gives way. */
  @IsOptional() @IsInt() @Min(0) adjust?: number;
}

export class LightenQuestion {
  @IsObject() @ValidateNested() @Type(() => MixQuestion) mix: MixQuestion;
  /** Of the dry density. */
  @IsNumber() share: number;
  @IsIn(keys) light: string;
}

export class ComparedMix {
  @IsString() @Length(1, 80) name: string;
  @IsObject() @ValidateNested() @Type(() => MixQuestion) mix: MixQuestion;
  @IsIn([...settingClasses]) setting: SettingClass;
}

export class CompareQuestion {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(4)
  @ValidateNested({ each: true })
  @Type(() => ComparedMix)
  mixes: ComparedMix[];
  @IsNumber() temperature: number;
  /** Of one piece, mL. */
  @IsNumber() volume: number;
}

export class MethodQuestion {
  @IsObject() @ValidateNested() @Type(() => MixQuestion) mix: MixQuestion;
  @IsIn([...settingClasses]) setting: SettingClass;
  @IsOptional() @IsIn(['water-to-powder', 'powder-to-water']) order?: MixingOrder;
  @IsOptional() @IsIn(['powder', 'water', 'late']) colour?: ColourWhen;
}

export class SpreadQuestion {
  /** Diameters, mm. */
  @IsNumber() puddle: number;
  @IsNumber() cup: number;
}

export class BulkQuestion {
  /** g */
  @IsNumber() mass: number;
  @IsNumber() scoops: number;
  /** mL */
  @IsNumber() scoop: number;
}

export class MoistureQuestion {
  /** A handful, damp and dried, g. */
  @IsNumber() damp: number;
  @IsNumber() dry: number;
}

/** One batch as it was: what it is learned from. */
export class LearnedBatch {
  @IsObject() @ValidateNested() @Type(() => MixQuestion) mix: MixQuestion;
  /** Fresh volume reckoned, mL. */
  @IsNumber() volume: number;
  /** Water that went in, in all, g. */
  @IsNumber() water: number;
  @IsInt() @Min(1) @Max(7) grade: Grade;
}

export class LearnedQuestion {
  @IsArray()
  @ArrayMaxSize(200)
  @ValidateNested({ each: true })
  @Type(() => LearnedBatch)
  batches: LearnedBatch[];
}

export class WantedMaterial {
  @IsString() @Length(1, 80) material: string;
  /** g */
  @IsNumber() @Min(0) mass: number;
}

export class PlainLot {
  @IsString() @Length(1, 80) material: string;
  /** g */
  @IsNumber() @Min(1) bought: number;
  @IsNumber() @Min(0) left: number;
  @IsNumber() @Min(0) price: number;
  @IsOptional() @IsInt() @Min(1) bags?: number;
}

export class ShoppingQuestion {
  @IsArray() @ArrayMaxSize(100) @ValidateNested({ each: true }) @Type(() => WantedMaterial) wanted: WantedMaterial[];
  @IsArray() @ArrayMaxSize(500) @ValidateNested({ each: true }) @Type(() => PlainLot) lots: PlainLot[];
}
