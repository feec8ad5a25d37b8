import type { ArchiveTableName } from '@dewpot/contract';
import { msg } from '@dewpot/core/units';
import { recordsPath } from './paths.js';
import { refuse } from './refuse.js';

/** Lines that are handled together, and letters of them. */
const LINES = 500;
const LETTERS = 400_000;
/** The longest line. */
const MOST_LINE = 8_000_000;

/** Some lines of a file. */
export interface Batch {
  /** The lines, with line ends between them. */
  readonly text: string;
  readonly lines: number;
  /** Lines that stand before them. */
  readonly before: number;
}

/** Cuts what is in a file of records into batches of whole lines. @throws ProblemError 422 where a line is too long */
export async function* batchesOf(chunks: AsyncIterable<Buffer>, table: ArchiveTableName): AsyncGenerator<Batch> {
  let before = 0;
  let held: string[] = [];
  let letters = 0;
  const batch = (): Batch => ({ text: held.join('\n'), lines: held.length, before });
  for await (const line of linesOf(chunks, table)) {
    held.push(line);
    letters += line.length;
    if (held.length < LINES && letters < LETTERS) continue;
    yield batch();
    before += held.length;
    held = [];
    letters = 0;
  }
  if (held.length > 0) yield batch();
}

async function* linesOf(chunks: AsyncIterable<Buffer>, table: ArchiveTableName): AsyncGenerator<string> {
  const decoder = new TextDecoder();
  let rest = '';
  for await (const chunk of chunks) {
    const lines = (rest + decoder.decode(chunk, { stream: true })).split('\n');
    rest = lines.pop() ?? '';
    if (rest.length > MOST_LINE) throw refuse(recordsPath(table), msg('server.archiveLongLine', { table }));
    yield* lines;
  }
  if (rest !== '') yield rest;
}
