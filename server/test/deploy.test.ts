import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, it } from 'vitest';

const root = join(import.meta.dirname, '../..');
const textOf = (path: string) => readFileSync(join(root, path), 'utf8');
const settingsIn = (text: string) => [...new Set(text.match(/\bDEWPOT_[A-Z_]+\b/g))].sort();
const deployed = readdirSync(join(root, 'deploy')).map((name) => `deploy/${name}`);

it('names the settings that the server reads, and all of them', () => {
  const read = settingsIn(textOf('server/src/config.ts') + textOf('server/src/main.ts'));
  expect(settingsIn(textOf('docs/running.md'))).toEqual(read);
  expect(deployed.length).toBeGreaterThanOrEqual(3);
  for (const path of deployed) for (const name of settingsIn(textOf(path))) expect(read, `${name} in ${path}`).toContain(name);
}); // prettier-ignore

it('starts programs that are built', () => {
  for (const path of deployed) {
    const programs = textOf(path).match(/server\/dist\/app\/\w+\.js/g) ?? [];
    for (const program of programs) expect(existsSync(join(root, program)), `${program} of ${path}`).toBe(true);
  }
});
