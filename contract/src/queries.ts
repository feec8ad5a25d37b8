import { IsIn, IsOptional, IsUUID } from 'class-validator';
import { Time } from './limits.js';
import { Numeric } from './numeric.js';
import { photoSizes, type PhotoSize } from './photos.js';

/** Which trial tiles are listed. */
export class TilesQuery {
  @IsOptional() @IsUUID() mix?: string;
}

/** Which event a picture shows. */
export class PictureQuery {
  @IsOptional() @IsUUID() event?: string;
}

/** In which size a photo is asked for. */
export class PhotoQuery {
  @IsOptional() @IsIn(photoSizes) size?: PhotoSize;
}

/** A stretch of a place's air, ms. */
export class AmbientQuery {
  @IsOptional() @Numeric() @Time() from?: number;
  @IsOptional() @Numeric() @Time() to?: number;
}
