import { IsOptional, Matches } from 'class-validator';

const MONTH = /^\d{4}-(0[1-9]|1[0-2])$/;

/** Months of a season, as 2026-07; all of them where none is told. */
export class SeasonQuery {
  @IsOptional() @Matches(MONTH) from?: string;
  @IsOptional() @Matches(MONTH) to?: string;
}
