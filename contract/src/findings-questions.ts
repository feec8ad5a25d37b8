import { faults, type Fault } from '@dewpot/core/casts';
import { circumstanceKeys, type Circumstance } from '@dewpot/core/findings';
import { pieceKinds, type PieceKind } from '@dewpot/core/moulds';
import { IsBoolean, IsIn, IsNumber, IsOptional, Max, Min } from 'class-validator';
import { Amount, Choices, every, ListOf, Part, Share, sized, Text, Whole } from './limits.js';

/** So many numbers are compared at the most. */
const MOST_VALUES = 1000;
const MOST_CASTS = 1_000_000;
/** No number that is compared is further from nothing. */
const FURTHEST = 1e6;
const each = { each: true };
const Values = (least: number) => every(...sized({ least, most: MOST_VALUES }), IsNumber({}, each), Min(-FURTHEST, each), Max(FURTHEST, each)); // prettier-ignore

/** So many good ones of so many casts. */
export class ShareAsked {
  @Whole(0, MOST_CASTS) good: number;
  @Whole(0, MOST_CASTS) casts: number;
}

/** Two ways by how many of each came out good. */
export class SharesQuestion {
  @Part(() => ShareAsked) a: ShareAsked;
  @Part(() => ShareAsked) b: ShareAsked;
}

/** Two ways by what was measured of each. */
export class MeansQuestion {
  @Values(1) a: readonly number[];
  @Values(1) b: readonly number[];
}

/** A trial: the shares of good ones that are expected, and what has come of it so far. */
export class TrialQuestion {
  @Share() worse: number;
  @Share() better: number;
  @IsOptional() @Part(() => SharesQuestion) soFar?: SharesQuestion;
}

/** So many casts that each side of a trial had before. */
export class SidesAsked {
  @Whole(0, MOST_CASTS) a: number;
  @Whole(0, MOST_CASTS) b: number;
}

/** Which copy of a pour gets which way; the same seed deals the same. */
export class DealQuestion {
  @Whole(1, 500) copies: number;
  @Whole(0, 4_294_967_295) seed: number;
  @IsOptional() @Part(() => SidesAsked) before?: SidesAsked;
}

/** Values in their order, such as masses over what was expected. */
export class ChartQuestion {
  @Values(1) values: readonly number[];
}

/** What a cast stood under: an amount, and the least and the most that it may be. */
export class CircumstanceAsked {
  @IsIn(circumstanceKeys) of: Circumstance;
  @Amount(-1e6, 1e6) value: number;
  @IsOptional() @Amount(-1e6, 1e6) least?: number;
  @IsOptional() @Amount(-1e6, 1e6) most?: number;
}

/** A cast with what it stood under and what was found wrong with it. */
export class FindingCastAsked {
  @Text(1, 60) mould: string;
  @Text(1, 60) mix: string;
  @IsIn(pieceKinds) piece: PieceKind;
  @Choices(faults, { most: 16 }) faults: readonly Fault[];
  @ListOf(() => CircumstanceAsked, { most: 40 }) under: readonly CircumstanceAsked[];
  /** It left its mould; so it did where nothing is said. */
  @IsOptional() @IsBoolean() seen?: boolean;
}

/** Why a cast has a fault, among others of its workshop. */
export class WhyQuestion {
  @IsIn(faults) fault: Fault;
  @Part(() => FindingCastAsked) cast: FindingCastAsked;
  @ListOf(() => FindingCastAsked, { most: 500 }) others: readonly FindingCastAsked[];
}
