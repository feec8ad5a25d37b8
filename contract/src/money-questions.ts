import { IsOptional } from 'class-validator';
import { Amount, Grams, ListOf, Part, Share, Time, Whole } from './limits.js';

/** In the workshop's money. */
const Money = () => Amount(0, 1_000_000);
const MOST_COUNT = 1_000_000;

/** A lot with its price. */
export class PricedLotAsked {
  @Grams() bought: number;
  @Grams() left: number;
  @Money() price: number;
  @Time() boughtAt: number;
}

/** A material of a piece: its mass, and the lots that it comes from. */
export class PieceMaterialAsked {
  @Grams() mass: number;
  @ListOf(() => PricedLotAsked, { most: 100 }) lots: readonly PricedLotAsked[];
}

/** A mould as its wear is calculated. */
export class WornMouldAsked {
  @Money() price: number;
  @Whole(1, MOST_COUNT) lasts: number;
  @Whole(0, MOST_COUNT) wornOut: number;
  @Whole(0, MOST_COUNT) cycles: number;
}

/** What one piece takes. */
export class PieceCostQuestion {
  /** Its share of the batch, leftover included; beside its materials where these are told. */
  @IsOptional() @Money() mix?: number;
  @IsOptional() @ListOf(() => PieceMaterialAsked, { most: 40 }) materials?: readonly PieceMaterialAsked[];
  @IsOptional() @Money() release?: number;
  @IsOptional() @Part(() => WornMouldAsked) mould?: WornMouldAsked;
  @IsOptional() @Amount(0, 100_000) minutes?: number;
  @IsOptional() @Amount(0, 100_000) laterMinutes?: number;
  @IsOptional() @Money() sealer?: number;
  @IsOptional() @Money() fitting?: number;
  @IsOptional() @Money() packing?: number;
  /** Of an hour of work; nothing to begin with. */
  @IsOptional() @Money() rate?: number;
  @Whole(0, MOST_COUNT) good: number;
  @Whole(0, MOST_COUNT) casts: number;
  /** Share of the price that is to be left. */
  @IsOptional() @Amount(0, 0.95) margin?: number;
}

/** What is sent up to a mass for a price. */
export class MassBandAsked {
  @Grams(1) upTo: number;
  @Money() price: number;
}

/** A piece to be sent. */
export class SendingQuestion {
  @Grams(1) mass: number;
  @ListOf(() => MassBandAsked, { most: 50 }) bands: readonly MassBandAsked[];
  /** Packing as a share of the mass, and g at the least. */
  @IsOptional() @Share() packingShare?: number;
  @IsOptional() @Grams() packingLeast?: number;
}

/** Another copy of a mould. */
export class CopyQuestion {
  @Money() price: number;
  /** Sessions that it saves. */
  @Whole(0, 10_000) sessions: number;
  /** What an evening is worth. */
  @Money() worth: number;
}
