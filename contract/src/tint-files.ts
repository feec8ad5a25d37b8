import { Equals, IsBoolean, IsOptional } from 'class-validator';
import { Amount, ListOf, Part, Text, Time } from './limits.js';
import { FileDose, MOST_ROWS } from './mixes.js';
import { MeasuredColour } from './tints.js';

/** Name and version of the format in which tints and chips go out and come in. */
export const TINT_FILE = { format: 'dew-pot-tints', version: 1 } as const;

/** A base in a file, its materials by name. */
export class FileBase {
  @Text(1, 80) binder: string;
  @IsOptional() @Text(1, 80) sand?: string;
}

/** A tint in a file. */
export class TintRow {
  @Text(1, 80) name: string;
  @Part(() => FileBase) base: FileBase;
  @ListOf(() => FileDose, { most: 8 }) doses: readonly FileDose[];
  @IsOptional() @Text(0, 300) note?: string;
}

/** A chip in a file. */
export class SwatchRow extends TintRow {
  @IsOptional() @Time() castAt?: number;
  @IsOptional() @Amount(0.1, 2) ratio?: number;
  @IsOptional() @Part(() => MeasuredColour) measured?: MeasuredColour;
}

export class TintFile {
  @Equals(TINT_FILE.format, { message: `this is no file of tints: its format must be ${TINT_FILE.format}` })
  format: string;
  @Equals(TINT_FILE.version, { message: `it is of another version: only version ${TINT_FILE.version} is read` })
  version: number;
  @ListOf(() => TintRow, { most: MOST_ROWS }) tints: readonly TintRow[];
  @ListOf(() => SwatchRow, { most: MOST_ROWS }) swatches: readonly SwatchRow[];
}

export class TintImport {
  @Part(() => TintFile) file: TintFile;
  /** Only says what would change. */
  @IsBoolean() dry: boolean;
}
