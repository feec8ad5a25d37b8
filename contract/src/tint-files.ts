import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  Equals,
  IsArray,
  IsBoolean,
  IsInt,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  Length,
  Max,
  Min,
  ValidateNested,
} from 'class-validator';
import { FileDose, MOST_ROWS } from './mixes.js';
import { MeasuredColour } from './tints.js';

/** Name and version of the format in which tints and chips go out and come in. */
export const TINT_FILE = { format: 'dew-pot-tints', version: 1 } as const;

/** A base in a file, its materials by name. */
export class FileBase {
  @IsString() @Length(1, 80) binder: string;
  @IsOptional() @IsString() @Length(1, 80) sand?: string;
}

/** A tint in a file. */
export class TintRow {
  @IsString() @Length(1, 80) name: string;
  @IsObject() @ValidateNested() @Type(() => FileBase) base: FileBase;
  @IsArray() @ArrayMaxSize(8) @ValidateNested({ each: true }) @Type(() => FileDose) doses: FileDose[];
  @IsOptional() @IsString() @Length(0, 300) note?: string;
}

/** A chip in a file. */
export class SwatchRow extends TintRow {
  @IsOptional() @IsInt() @Min(0) castAt?: number;
  @IsOptional() @IsNumber() @Min(0.1) @Max(2) ratio?: number;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => MeasuredColour) measured?: MeasuredColour;
}

export class TintFile {
  @Equals(TINT_FILE.format, { message: `this is no file of tints: its format must be ${TINT_FILE.format}` })
  format: string;
  @Equals(TINT_FILE.version, { message: `it is of another version: only version ${TINT_FILE.version} is read` })
  version: number;
  @IsArray() @ArrayMaxSize(MOST_ROWS) @ValidateNested({ each: true }) @Type(() => TintRow) tints: TintRow[];
  @IsArray() @ArrayMaxSize(MOST_ROWS) @ValidateNested({ each: true }) @Type(() => SwatchRow) swatches: SwatchRow[];
}

export class TintImport {
  @IsObject() @ValidateNested() @Type(() => TintFile) file: TintFile;
  /** Only says what would change. */
  @IsBoolean() dry: boolean;
}
