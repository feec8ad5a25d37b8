import { IsIn, IsOptional, IsUUID } from 'class-validator';
import { Time } from './limits.js';
import { Numeric } from './numeric.js';
import { photoSizes, type PhotoSize } from './photos.js';

/** Which trial tiles are listed. */
export class TilesQuery {
  @IsOptional() @IsUUID() mix?: string;
}

/** Which event a picture shows, and when it was taken, ms. Sent again under the same key it is the same picture. */
export class PictureQuery {
  @IsOptional() @IsUUID() event?: string;
  @IsOptional() @IsUUID() id?: string;
  @IsOptional() @Numeric() @Time() at?: number;
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
