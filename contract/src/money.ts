import type { Costing, PieceFacts } from '@dewpot/core/money';
import { IsOptional, IsUUID, Matches } from 'class-validator';
import { Amount, Text, Version, Whole } from './limits.js';

const MONTH = /^\d{4}-(0[1-9]|1[0-2])$/;

const Money = () => Amount(0, 1_000_000);
const Minutes = () => Amount(0, 100_000);

/** The mould and the mix of a piece whose cost is asked for. */
export class PieceQuery {
  @IsUUID() mould: string;
  @IsUUID() mix: string;
}

/** What a mould's pieces cost beside what is on record. */
export class CostingInput implements Costing {
  @IsOptional() @Money() price?: number;
  @IsOptional() @Whole(1, 1_000_000) lasts?: number;
  @IsOptional() @Money() release?: number;
  @IsOptional() @Money() sealer?: number;
  @IsOptional() @Money() fitting?: number;
  @IsOptional() @Money() packing?: number;
  @IsOptional() @Minutes() minutes?: number;
  @IsOptional() @Minutes() laterMinutes?: number;
  @IsOptional() @Whole(0, 10_000) evenings?: number;
  @IsOptional() @Money() evening?: number;
  @Version() version: number;
}

/** What is known of the pieces of a mould with a mix, and what its caster told. */
export interface PieceMoneyView {
  readonly facts: PieceFacts;
  readonly costing: CostingInput;
}

/** Months of a season, as 2026-07; all of them where none is told. */
export class SeasonQuery {
  @IsOptional() @Text(7, 7) @Matches(MONTH) from?: string;
  @IsOptional() @Text(7, 7) @Matches(MONTH) to?: string;
}
