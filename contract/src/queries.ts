import { Transform } from 'class-transformer';
import { IsIn, IsOptional, IsUUID } from 'class-validator';
import { Time } from './limits.js';

/** Numbers come as text in an address. */
const Numeric = () =>
  Transform(({ value }: { value: unknown }) => (typeof value === 'string' && value !== '' ? Number(value) : value));

/** Which casts are listed: those that stand about, or with `all` every one. */
export class CastsQuery {
  @IsOptional() @IsIn(['', '1', 'true']) all?: string;
}

/** Which trial tiles are listed. */
export class TilesQuery {
  @IsOptional() @IsUUID() mix?: string;
}

/** Which event a picture shows. */
export class PictureQuery {
  @IsOptional() @IsUUID() event?: string;
}

/** A stretch of a place's air, ms. */
export class AmbientQuery {
  @IsOptional() @Numeric() @Time() from?: number;
  @IsOptional() @Numeric() @Time() to?: number;
}
