import { Ajv, type ValidateFunction } from 'ajv';
import type { ArchiveTableName } from '@dewpot/contract';
import { recoded } from '@dewpot/core/casts';
import { msg } from '@dewpot/core/units';
import { recordsPath } from '../archive/paths.js';
import { refuse } from '../archive/refuse.js';
import schema from '../archive/schema.json' with { type: 'json' };

/** What a text, or a list, of a record may hold. */
const MOST_TEXT = 20_000;
const MOST_LIST = 100_000;

const KEY = /[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}/g;

/** What records become on their way in. */
export interface ArchiveMapping {
  /** Keys of things that are here under other keys. */
  readonly keys: Readonly<Record<string, string>>;
  /** What the numbers of pours are raised by. */
  readonly shift: number;
}

/** Lines of a file of records, and how many lines stand before them. */
export interface ArchiveLines {
  readonly table: ArchiveTableName;
  readonly text: string;
  readonly before: number;
}

type Row = Readonly<Record<string, unknown>>;

// One for all tables: reading the schema takes far longer than any check by it.
const ajv = new Ajv({ strict: false, validateFormats: false }).addSchema(schema, 'archive');
const checks = new Map<ArchiveTableName, ValidateFunction>();

/** The check of a table's records, made once a thread. */
function checkOf(table: ArchiveTableName): ValidateFunction {
  const known = checks.get(table);
  if (known) return known;
  const check = ajv.compile({ $ref: `archive#/properties/${table}` });
  checks.set(table, check);
  return check;
}

/** Whether every text and list in it is of a size that can be shown. */
function isSized(value: unknown): boolean {
  if (typeof value === 'string') return value.length <= MOST_TEXT;
  if (typeof value !== 'object' || value === null) return true;
  const parts = Object.values(value);
  return parts.length <= MOST_LIST && parts.every(isSized);
}

function parsed(line: string): unknown {
  try {
    return JSON.parse(line);
  } catch {
    return undefined;
  }
}

/** A pour, or a cast, under the number that it gets here. */
function renumbered(table: ArchiveTableName, row: Row, shift: number): Row {
  if (shift === 0) return row;
  if (table === 'pours') return { ...row, number: Number(row.number) + shift };
  return table === 'casts' ? { ...row, code: recoded(String(row.code), shift) } : row;
}

/** Reads lines of records, checks them, and puts the keys of this workshop in. @throws ProblemError 422 naming the line and what is wrong with it */
export function archiveRows({ table, text, before }: ArchiveLines, { keys, shift }: ArchiveMapping): Row[] {
  const check = checkOf(table);
  return text.split('\n').map((line, i) => {
    const row = parsed(line.replace(KEY, (key) => keys[key] ?? key));
    const told = { table, line: before + i + 1 };
    if (row === undefined) throw refuse(recordsPath(table), msg('server.archiveLine', told));
    if (!check(row)) {
      const [error] = check.errors ?? [];
      throw refuse(recordsPath(table), msg('server.archiveRecord', { ...told, where: error?.instancePath || '/', text: error?.message ?? '' }));
    }
    if (!isSized(row)) throw refuse(recordsPath(table), msg('server.archiveRecordSize', told));
    return renumbered(table, row as Row, shift);
  });
} // prettier-ignore
