import { MIX_FILE } from '@dewpot/contract';

/** What keys and columns of version 1 are called from version 2 on. */
const renamed: Readonly<Record<string, string>> = {
  setting: 'binderClass',
  dampDays: 'moistCuringDays',
  colourReckoned: 'colourCalculated',
};

/** A column of a table of any version, as it is called now. */
export const currentKey = (key: string): string => renamed[key] ?? key;

const isPlain = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** A file of version 1 as one of the version of today; every other file as it is. */
export function currentMixFile(file: Record<string, unknown>): Record<string, unknown> {
  if (file['version'] !== 1 || !Array.isArray(file['mixes'])) return file;
  const mixes = file['mixes'].map((mix: unknown) =>
    isPlain(mix) ? Object.fromEntries(Object.entries(mix).map(([key, value]) => [currentKey(key), value])) : mix,
  );
  return { ...file, version: MIX_FILE.version, mixes };
}
