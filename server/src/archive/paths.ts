import type { ArchiveTableName } from '@dewpot/contract';

/** What an archive says of itself. It is written last, and read first. */
export const MANIFEST = 'manifest.json';
export const SCHEMA = 'schema.json';

/** The records of a table, one in each line as JSON: what is read in again. */
export const recordsPath = (table: ArchiveTableName) => `records/${table}.jsonl`;
/** The same as a table for a spreadsheet: nothing reads it in. */
export const tablePath = (table: ArchiveTableName) => `tables/${table}.csv`;
/** A picture, by its checksum. */
export const picturePath = (sum: string) => `pictures/${sum}.webp`;
