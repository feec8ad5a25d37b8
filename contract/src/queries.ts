import { IsOptional, IsUUID } from 'class-validator';
import { Time } from './limits.js';
import { Numeric } from './numeric.js';

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
