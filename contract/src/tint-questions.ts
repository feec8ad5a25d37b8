import { lookNames, type Look } from '@dewpot/core';
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
