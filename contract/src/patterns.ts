import type { PlanPoint } from '@dewpot/core/solids';
import { cutPatternKinds, type CutPattern } from '@dewpot/core/patterns';
import { IsBoolean, IsIn, IsOptional } from 'class-validator';
import { PartOfKind } from './kinds.js';
import { PageQuery, recipeOrders, type RecipeOrder } from './lists.js';
import {
  Amount,
  Density,
  Grams,
  Keys,
  ListOf,
  Millimetres,
  MOST_POINTS,
  Outline,
  Text,
  Version,
  Whole,
} from './limits.js';
import { patternInputs, type PatternGiven } from './pattern-kinds.js';

/** What a pattern comes to. */
export class PatternQuestion {
  @PartOfKind(patternInputs) pattern: PatternGiven;
  /** Of the fresh mix, kg/L; 2.1 where left out. */
  @IsOptional() @Density() density?: number;
  /** What one may lift, g; 25 kg where left out. */
  @IsOptional() @Grams(1) liftLimit?: number;
}

/** Pieces of a length, long point to long point. */
export class LengthInput {
  @Text(1, 60) id: string;
  @Millimetres() length: number;
  @Whole(1, 5000) count: number;
}

/** Sticks of a length: how many there are, and what one costs. */
export class StickInput {
  @Text(1, 60) id: string;
  @Millimetres() length: number;
  @Whole(1, 1000) count: number;
  @IsOptional() @Amount(0, 1_000_000) price?: number;
}

/** Which stick gives which pieces. */
export class LengthsQuestion {
  @ListOf(() => LengthInput, { least: 1, most: 60 }) pieces: readonly LengthInput[];
  @ListOf(() => StickInput, { least: 1, most: 10 }) sticks: readonly StickInput[];
  /** What the saw takes between two pieces, mm; 3 where left out. */
  @IsOptional() @Millimetres(0) kerf?: number;
}

/** An outline that is wanted so often, mm. With a grain along x it is turned over end only. */
export class OutlineInput {
  @Text(1, 60) id: string;
  @Outline({ least: 3, most: MOST_POINTS }) outline: readonly PlanPoint[];
  @Whole(1, 5000) count: number;
  @IsOptional() @IsBoolean() grain?: boolean;
}

/** Sheets of a size: how many there are, and what one costs. */
export class SheetInput extends StickInput {
  @Millimetres() width: number;
}

/** Which sheet gives which parts, and where they lie on it. */
export class SheetsQuestion {
  @ListOf(() => OutlineInput, { least: 1, most: 60 }) parts: readonly OutlineInput[];
  @ListOf(() => SheetInput, { least: 1, most: 10 }) sheets: readonly SheetInput[];
  /** Between two parts, mm; 3 where left out. */
  @IsOptional() @Millimetres(0) kerf?: number;
  /** Every cut goes right across, as on a table saw. */
  @IsOptional() @IsBoolean() saw?: boolean;
}

/** A pattern as it is kept. */
export class PatternSheetInput {
  @Text(1, 80) name: string;
  @PartOfKind(patternInputs) pattern: PatternGiven;
  @IsOptional() @Text(0, 4000) notes?: string;
  /** Moulds that were made of it, in the order in which it makes them. */
  @Keys({ most: 60 }) moulds: readonly string[];
  /** It was cut: what is changed from then on is its next revision. */
  @IsBoolean() cut: boolean;
  /** Version that was edited; 0 for a new one. */
  @Version() version: number;
}

/** What is kept of a pattern beside its name. */
export interface PatternBody {
  readonly pattern: CutPattern;
  readonly notes?: string;
  readonly moulds: readonly string[];
  readonly cut: boolean;
}

export interface PatternView extends PatternSheetInput {
  readonly id: string;
  readonly revision: number;
  /** ms */
  readonly changedAt: number;
}

/** A revision of a pattern, as it was cut. */
export interface PatternRevisionView extends PatternBody {
  readonly revision: number;
  readonly name: string;
  /** ms */
  readonly madeAt: number;
}

/** Which patterns are listed. */
export class PatternsQuery extends PageQuery {
  @IsOptional() @IsIn(recipeOrders) order?: RecipeOrder;
  @IsOptional() @IsIn(cutPatternKinds) kind?: CutPattern['kind'];
}
