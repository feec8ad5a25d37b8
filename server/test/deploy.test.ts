import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { BuiltServer } from './built-server.js';
import { newDatabase } from './harness.js';

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

it('wants no more than the address of a database that is up to date', async () => {
  const built = new BuiltServer(join(root, 'server/dist/app'));
  const ownerUrl = await newDatabase();
  try {
    await expect(built.serve(ownerUrl)).rejects.toThrow('Bring it up to date first: node server/dist/app/prepare.js');
    expect(await built.prepare(ownerUrl)).toEqual({ empty: true });
    const url = await built.serve(ownerUrl);
    const marbling = { shares: [0.5, 0.5], seed: 1, width: 40, height: 40 };
    const answer = await fetch(`${url}/api/calculate/tints/marbling`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(marbling),
    });
    expect(answer.status).toBe(200);
  } finally {
    await built.end();
  }
});
