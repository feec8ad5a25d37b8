import { IsIn, IsISO8601, IsOptional, IsUUID, Matches } from 'class-validator';
import { ListOf, Part, Text, Whole } from './limits.js';

export const ARCHIVE_FORMAT = 'dew-pot-workshop';
/** The newest version that is written, and the oldest that is read: what a version changes stands in docs/formats.md. */
export const ARCHIVE_VERSION = 1;

/** Tables of an archive, in the order in which they are read in: what others stand on comes first. */
export const archiveTables = [
  'workshop',
  'people',
  'scoops',
  'materials',
  'lots',
  'stock',
  'mixes',
  'mixRevisions',
  'trialTiles',
  'tints',
  'tintRevisions',
  'swatches',
  'patterns',
  'patternRevisions',
  'tubs',
  'moulds',
  'mouldCopies',
  'mouldPictures',
  'findingsAside',
  'costings',
  'places',
  'ambientAsides',
  'ambientReadings',
  'trials',
  'orders',
  'calendarPlans',
  'demouldLessons',
  'sealLessons',
  'forgottenLessons',
  'pours',
  'runEvents',
  'casts',
  'castEvents',
  'castPictures',
] as const;
export type ArchiveTableName = (typeof archiveTables)[number];

/** What an archive of the workshop would hold. */
export interface ArchiveOutline {
  readonly casts: number;
  readonly photos: number;
  /** About so large, bytes. */
  readonly bytes: number;
}

/** What became of the rows of one table, or would. */
export interface ArchiveTableReport {
  readonly table: ArchiveTableName;
  readonly rows: number;
  readonly added: number;
  /** They were here before and stay as they are. */
  readonly there: number;
}

/** What reading an archive in did, or would do. */
export interface ArchiveReport {
  /** It was read in; else it was only said what that would do. */
  readonly done: boolean;
  /** The workshop that it was taken from. */
  readonly workshop: string;
  /** ms */
  readonly madeAt: number;
  /** Read into a workshop in which nothing had been made, which becomes that of the archive; else beside what is there. */
  readonly into: 'empty' | 'filled';
  /** What the numbers of its pours are raised by, so that none is given twice. */
  readonly shift: number;
  /** Tables that hold something. */
  readonly tables: readonly ArchiveTableReport[];
}

/** The workshop that an archive was taken from. */
export class ArchivedWorkshop {
  @IsUUID() id: string;
  @Text(1, 80) name: string;
}

/** A file within an archive, and what is in it. */
export class ArchivedFile {
  @Text(1, 200) path: string;
  /** Lines of a file of records. */
  @IsOptional() @Whole(0, 100_000_000) rows?: number;
  @Whole(0, 1e12) bytes: number;
  /** SHA-256, hexadecimal. */
  @Matches(/^[0-9a-f]{64}$/) @Text(64, 64) sha256: string;
}

/** What an archive says of itself. */
export class ArchiveManifest {
  @IsIn([ARCHIVE_FORMAT]) format: typeof ARCHIVE_FORMAT;
  @Whole(1, 1_000_000) version: number;
  @IsISO8601() @Text(20, 40) madeAt: string;
  @Part(() => ArchivedWorkshop) workshop: ArchivedWorkshop;
  @ListOf(() => ArchivedFile, { least: 1, most: 200_000 }) files: readonly ArchivedFile[];
}
