import { binderClasses, type BinderClass } from '@dewpot/core/binders';
import {
  bandEdges,
  bandsBy,
  lookNames,
  type BandEdge,
  type BandsBy,
  type BatchColour,
  type Look,
} from '@dewpot/core/tints';
import { IsHexColor, IsIn, IsOptional, IsBoolean } from 'class-validator';
import {
  Amount,
  Amounts,
  Choices,
  Grams,
  ListOf,
  Millilitres,
  Millimetres,
  Part,
  Share,
  Text,
  TextByKey,
  Whole,
} from './limits.js';
import { WithMaterials } from './mix-questions.js';
import { MouldShapeInput } from './solids.js';

/** A pigment of a question: its own colour as a screen shows it. */
export class PlainPigment {
  @Text(1, 80) name: string;
  @IsHexColor() colour: string;
  /** Tinting strength; 40 where no chip told of it. */
  @IsOptional() @Amount(0.1, 5000) strength?: number;
  /** Dose at which it levels off, per cent of the binder; 4 where left out. */
  @IsOptional() @Amount(0.1, 20) levelling?: number;
  /** How many chips its strength rests on. */
  @IsOptional() @Whole(0, 1000) chips?: number;
  /** Of a gram. */
  @IsOptional() @Amount(0, 1e7) price?: number;
}

export class PlainTintDose {
  @Part(() => PlainPigment) pigment: PlainPigment;
  /** Per cent of the binder. */
  @Amount(0, 10) dose: number;
}

/** A base and what is in it. The base's colour is that of the cured, dry mix without pigment. */
export class TintQuestion {
  @IsHexColor() base: string;
  @ListOf(() => PlainTintDose, { most: 8 })
  doses: readonly PlainTintDose[];
  @IsOptional() @Choices(Object.keys(lookNames), { most: 6 }) looks?: readonly Look[];
}

export class TintSearchQuestion {
  @IsHexColor() base: string;
  @IsHexColor() wanted: string;
  @ListOf(() => PlainPigment, { least: 1, most: 8 })
  pigments: readonly PlainPigment[];
  /** Most pigment in all, per cent of the binder. */
  @IsOptional() @Amount(0, 20) ceiling?: number;
}

export class PlainChip {
  @IsHexColor() base: string;
  /** Per cent of the binder. */
  @Amount(0, 100) dose: number;
  @IsHexColor() measured: string;
}

export class StrengthQuestion {
  @Part(() => PlainPigment) pigment: PlainPigment;
  @ListOf(() => PlainChip, { most: 100 }) chips: readonly PlainChip[];
}

export class TintWeighingQuestion extends TintQuestion {
  /** In the batch, g. */
  @Grams() binder: number;
  /** Step of the scale, g. */
  @Amount(0.001, 1000) step: number;
}

export class DifferenceQuestion {
  @IsHexColor() one: string;
  @IsHexColor() other: string;
}

export class LadderQuestion {
  @Text(1, 80) pigment: string;
  /** g */
  @Amount(0, 5000) binderPerLitre: number;
  /** Per cent of the binder. */
  @IsOptional() @Amounts(0, 100, { most: 20 }) doses?: readonly number[];
  /** Of one chip, mL. */
  @IsOptional() @Millilitres() volume?: number;
}

/** One material of a base, of the handbook or of the question. */
export class BasePart {
  @Text(1, 60) material: string;
  /** g, dry. */
  @Amount(0, 1e7) mass: number;
}

export class BaseQuestion extends WithMaterials {
  @ListOf(() => BasePart, { least: 1, most: 30 }) parts: readonly BasePart[];
}

/** A pigment of a chip, of the handbook or of the question; share of the binder. */
export class ChipDose {
  @Text(1, 60) material: string;
  @Amount(0, 1000) amount: number;
}

export class ChipQuestion extends WithMaterials {
  @Text(1, 60) binder: string;
  @IsOptional() @Text(1, 60) sand?: string;
  @ListOf(() => ChipDose, { most: 8 }) doses: readonly ChipDose[];
  /** mL */
  @IsOptional() @Amount(1, 2000) volume?: number;
}

export class LayersQuestion {
  @Part(() => MouldShapeInput) shape: MouldShapeInput;
  /** From the bottom up; they come to 1. */
  @Amounts(0, 1, { least: 2, most: 12 }) shares: readonly number[];
  @IsIn(bandsBy) by: BandsBy;
  @IsIn(bandEdges) edge: BandEdge;
  /** mm; to the rim where left out. */
  @IsOptional() @Amount(0, 5000) fillTo?: number;
  @IsIn(binderClasses) binderClass: BinderClass;
  @IsOptional() @IsBoolean() accelerated?: boolean;
  /** At 20 °C, h, where the bag says so. */
  @IsOptional() @Amount(0.05, 72) initialSet?: number;
  /** °C */
  @Amount(-10, 50) temperature: number;
}

export class TerrazzoQuestion {
  /** Of the volume. */
  @Share() share: number;
  /** mm */
  @Amount(0, 1000) size: number;
  /** mm; half a chip where left out. */
  @IsOptional() @Millimetres(0) depth?: number;
  @IsIn(['matt', 'smooth', 'shine']) face: 'matt' | 'smooth' | 'shine';
}

export class StockQuestion {
  /** The dose, and the step of the scale, g. */
  @Grams() mass: number;
  @Amount(0.001, 1000) step: number;
}

export class BottleQuestion {
  /** g */
  @Grams() before: number;
  @Grams() after: number;
  /** Share of its mass. */
  @IsOptional() @Share() solids?: number;
}

export class BatchColourInput implements BatchColour {
  /** Lot by material. */
  @TextByKey(80) lots: Record<string, string>;
  @Amount(0, 3) ratio: number;
  @Text(0, 80) sand: string;
  /** ΔE00 */
  @Amount(0, 100) rounding: number;
  @Text(0, 80) cure: string;
}

export class MatchQuestion {
  @Part(() => BatchColourInput) before: BatchColourInput;
  @Part(() => BatchColourInput) now: BatchColourInput;
}

export class MarblingQuestion {
  @Amounts(0.01, 1000, { least: 2, most: 4 }) shares: readonly number[];
  @Whole(0, 1_000_000) seed: number;
  @Whole(1, 400) width: number;
  @Whole(1, 400) height: number;
}
