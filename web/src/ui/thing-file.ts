import { msg, type Message } from '@dewpot/core/units';

/** A file that holds one thing: its format, and under which name the thing stands in it. */
export interface ThingFormat {
  readonly format: string;
  readonly version: number;
  readonly holds: string;
  /** Such a file is no longer than this, bytes. */
  readonly most: number;
}

/** Why a file is not read. */
export type NotRead = 'large' | 'none' | 'version';

/** What is told of a file that is not read. */
export const notRead = (why: NotRead): Message => msg('files.thingNotRead', { why });

/** One thing as a file, to be read again here or elsewhere. */
export const thingFile = ({ format, version, holds }: ThingFormat, thing: object): string =>
  `${JSON.stringify({ format, version, [holds]: thing }, null, 2)}\n`;

/** The thing in a file, or why it is not read. What it may be is judged by whoever asked. */
export async function readThingFile(
  file: Blob,
  { format, version, holds, most }: ThingFormat,
): Promise<object | NotRead> {
  if (file.size > most) return 'large';
  let read: Readonly<Record<string, unknown>> | null;
  try {
    read = JSON.parse(await file.text()) as typeof read;
  } catch {
    return 'none';
  }
  const thing = read?.[holds];
  if (read?.format !== format || typeof thing !== 'object' || thing === null) return 'none';
  return read.version === version ? thing : 'version';
}
