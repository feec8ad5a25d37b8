import type { CutPattern } from '@dewpot/core/patterns';
import { PatternSheetInput } from '@dewpot/contract';
import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import { readThingFile, thingFile, type NotRead } from '../ui/thing-file';
import type { PatternDraft } from './use-pattern-edit';

/** The format in which a pattern goes out and comes in. */
const PATTERN = { format: 'dew-pot-pattern', version: 1, holds: 'pattern', most: 256_000 };

/** A pattern with its sizes, to be read again here or elsewhere. Its moulds stay where they are. */
export const patternFile = ({ name, pattern, notes }: PatternDraft): string =>
  thingFile(PATTERN, { name, ...pattern, ...(notes !== undefined && { notes }) });

/** The pattern in a file as a draft of a new one, or why it is not read. */
export async function readPatternFile(file: Blob): Promise<PatternDraft | NotRead> {
  const read = await readThingFile(file, PATTERN);
  if (typeof read === 'string') return read;
  const { name, notes, ...pattern } = read as { name: string; notes?: string } & CutPattern;
  const draft = { name, pattern, ...(notes !== undefined && { notes }), moulds: [], cut: false, version: 0 };
  const sheet = plainToInstance(PatternSheetInput, draft);
  return validateSync(sheet, { whitelist: true, forbidNonWhitelisted: true }).length > 0 ? 'none' : draft;
}
