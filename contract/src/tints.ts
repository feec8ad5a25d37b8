import type { BandEdge, BandsBy, Colouring, ColouringKind } from '@dewpot/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
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
import { DoseInput } from './mixes.js';

/** What a tint or a chip is cast on: a cement with its sand, or a ready-made powder alone. */
export class TintBaseInput {
  @IsUUID() binderId: string;
  @IsOptional() @IsUUID() sandId?: string;
}

/** Pigments on a base. Doses are shares of the binder. */
export class TintInput {
  @IsString() @Length(1, 80) name: string;
  @IsObject() @ValidateNested() @Type(() => TintBaseInput) base: TintBaseInput;
  @IsArray() @ArrayMaxSize(8) @ValidateNested({ each: true }) @Type(() => DoseInput) doses: DoseInput[];
  @IsOptional() @IsString() @Length(0, 300) note?: string;
  @IsInt() @Min(0) version: number;
}

/** A tint as it is kept: its materials by their keys. */
export type TintBody = Omit<TintInput, 'name' | 'version'>;

export interface TintView extends TintBody {
  readonly id: string;
  readonly version: number;
  readonly name: string;
  /** Which version of the tint this is: one that was poured never changes. */
  readonly edition: number;
  readonly used: boolean;
}

export interface TintEditionView {
  readonly edition: number;
  readonly name: string;
  readonly body: TintBody;
  /** ms */
  readonly madeAt: number;
}

/** How a chip's colour was measured, the surest first. */
export type MeasuredBy = 'reader' | 'photo' | 'photo-unsure' | 'eye';

/** A chip's own colour, dry. */
export class MeasuredColour {
  @IsHexColor() colour: string;
  @IsIn(['reader', 'photo', 'photo-unsure', 'eye']) by: MeasuredBy;
  /** ms */
  @IsInt() @Min(0) at: number;
}

/** A test chip of the caster's own: planned, cast, and measured when it is dry. */
export class SwatchInput extends TintInput {
  /** When it was cast, ms; only planned where it is left out. */
  @IsOptional() @IsInt() @Min(0) castAt?: number;
  /** Water to cement. */
  @IsOptional() @IsNumber() @Min(0.1) @Max(2) ratio?: number;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => MeasuredColour) measured?: MeasuredColour;
}

export type SwatchBody = Omit<SwatchInput, 'name' | 'version'>;

export interface SwatchView extends SwatchBody {
  readonly id: string;
  readonly version: number;
  readonly name: string;
}

export interface TintsView {
  readonly tints: readonly TintView[];
  readonly swatches: readonly SwatchView[];
}

/** What a colour reader says of a chip: the mean of its touches, how far they lie apart (ΔE00), and whether the chip is still damp. */
export interface ChipReading {
  readonly device: string;
  readonly colour: string;
  readonly touches: readonly string[];
  readonly spread: number;
  readonly damp: boolean;
}

/** A tint's share of a piece. */
export class ColourPartInput {
  @IsUUID() tint: string;
  @IsNumber() share: number;
}

/** How a piece of a pour is coloured; bands from the bottom up. */
export class ColouringInput implements Colouring<string> {
  @IsIn(['solid', 'banded', 'marbled', 'swirled', 'splash']) kind: ColouringKind;
  @IsArray() @ArrayMaxSize(12) @ValidateNested({ each: true }) @Type(() => ColourPartInput) parts: ColourPartInput[];
  @IsOptional() @IsIn(['height', 'volume']) by?: BandsBy;
  @IsOptional() @IsIn(['crisp', 'blended']) edge?: BandEdge;
  @IsOptional() @IsInt() @Min(0) @Max(1_000_000) seed?: number;
}
