import {
  bandEdges,
  bandsBy,
  colouringKindNames,
  colourMeasuredBy,
  type BandEdge,
  type BandsBy,
  type Colouring,
  type ColouringKind,
  type ColourMeasuredBy,
} from '@dewpot/core/tints';
import { IsHexColor, IsIn, IsOptional, IsUUID } from 'class-validator';
import { Amount, ListOf, Part, Share, Text, Time, Version, Whole } from './limits.js';
import { DoseInput } from './mixes.js';

/** What a tint or a chip is cast on: a cement with its sand, or a ready-made powder alone. */
export class TintBaseInput {
  @IsUUID() binderId: string;
  @IsOptional() @IsUUID() sandId?: string;
}

/** Pigments on a base. Doses are shares of the binder. */
export class TintInput {
  @Text(1, 80) name: string;
  @Part(() => TintBaseInput) base: TintBaseInput;
  @ListOf(() => DoseInput, { most: 8 }) doses: readonly DoseInput[];
  @IsOptional() @Text(0, 300) note?: string;
  @Version() version: number;
}

/** A tint as it is kept: its materials by their keys. */
export type TintBody = Omit<TintInput, 'name' | 'version'>;

export interface TintView extends TintBody {
  readonly id: string;
  readonly version: number;
  readonly name: string;
  /** Which version of the tint this is: one that was poured never changes. */
  readonly revision: number;
  readonly used: boolean;
}

export interface TintRevisionView {
  readonly revision: number;
  readonly name: string;
  readonly body: TintBody;
  /** ms */
  readonly madeAt: number;
}

/** A chip's own colour, dry. */
export class MeasuredColour {
  @IsHexColor() colour: string;
  @IsIn(colourMeasuredBy) by: ColourMeasuredBy;
  /** ms */
  @Time() at: number;
}

/** What a real colour reader's bridge read of a chip. */
export class ColourReadingInput {
  @IsHexColor() @Text(7, 7) colour: string;
  /** When it was read, ms; now where left out. */
  @IsOptional() @Time() at?: number;
}

/** A test chip of the caster's own: planned, cast, and measured when it is dry. */
export class SwatchInput extends TintInput {
  /** When it was cast, ms; only planned where it is left out. */
  @IsOptional() @Time() castAt?: number;
  /** Water to cement. */
  @IsOptional() @Amount(0.1, 2) ratio?: number;
  @IsOptional() @Part(() => MeasuredColour) measured?: MeasuredColour;
}

export type SwatchBody = Omit<SwatchInput, 'name' | 'version'>;

export interface SwatchView extends SwatchBody {
  readonly id: string;
  readonly version: number;
  readonly name: string;
  /** What it taught of a pigment was forgotten: it teaches nothing. */
  readonly forgotten?: boolean;
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
  @Share() share: number;
}

/** How a piece of a pour is coloured; bands from the bottom up. */
export class ColouringInput implements Colouring<string> {
  @IsIn(colouringKindNames) kind: ColouringKind;
  @ListOf(() => ColourPartInput, { most: 12 }) parts: readonly ColourPartInput[];
  @IsOptional() @IsIn(bandsBy) by?: BandsBy;
  @IsOptional() @IsIn(bandEdges) edge?: BandEdge;
  @IsOptional() @Whole(0, 1_000_000) seed?: number;
}
