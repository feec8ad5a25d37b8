import { expect, it } from 'vitest';
import { cutPatternKinds } from '@dewpot/core/patterns';
import { firstPatterns } from './first-patterns';
import { patternFile, readPatternFile } from './pattern-file';

const draftOf = (kind: (typeof cutPatternKinds)[number]) => ({
  ...{ name: 'Trough', pattern: firstPatterns[kind], moulds: ['m'], cut: true, version: 3 },
});
const fileOf = (text: string) => new Blob([text]);

it.each(cutPatternKinds)(
  'a pattern of kind %s goes out and comes in as a new one, without the moulds of here',
  async (kind) => {
    const draft = draftOf(kind);
    const read = await readPatternFile(fileOf(patternFile(draft)));
    expect(read).toEqual({ ...draft, moulds: [], cut: false, version: 0 });
  },
);

it('what is no pattern, of another version, or too large is not read', async () => {
  const text = patternFile(draftOf('box'));
  const altered = (change: (file: { version: number; pattern: Record<string, unknown> }) => void) => {
    const file = JSON.parse(text) as { version: number; pattern: Record<string, unknown> };
    change(file);
    return readPatternFile(fileOf(JSON.stringify(file)));
  };
  expect(await altered((file) => (file.version = 9))).toBe('version');
  expect(await altered(({ pattern }) => (pattern.length = 'long'))).toBe('none');
  expect(await altered(({ pattern }) => (pattern.kind = 'castle'))).toBe('none');
  expect(await altered(({ pattern }) => delete pattern.name)).toBe('none');
  expect(await readPatternFile(fileOf('{'))).toBe('none');
  expect(await readPatternFile(fileOf(`${text}${' '.repeat(300_000)}`))).toBe('large');
});
