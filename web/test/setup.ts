import '@testing-library/jest-dom/vitest';
import { cleanup, configure } from '@testing-library/react';
import { catalogues } from '@dewpot/locales/all';
import { afterEach, vi } from 'vitest';
import { keepCatalogue } from '../src/ui/catalogues';
import { kept } from './kept';
import { findLabelsByIds } from './labels';
import { endScreens } from './open-screens';

afterEach(async () => {
  cleanup();
  kept.clear();
  vi.unstubAllGlobals();
  await endScreens();
});

// A slow machine may take its time to draw; what holds does not depend on it.
configure({ asyncUtilTimeout: 15_000 });

findLabelsByIds();

// jsdom knows the element of a dialog, but not how to open it.
HTMLDialogElement.prototype.showModal = function showModal() {
  this.open = true;
};
HTMLDialogElement.prototype.close = function close() {
  this.open = false;
};

// jsdom has no store of the browser's own.
vi.mock('idb-keyval', () => ({
  get: (key: string) => Promise.resolve(kept.get(key)),
  set: (key: string, value: unknown) => Promise.resolve(kept.set(key, value)),
  keys: () => Promise.resolve([...kept.keys()]),
  getMany: (keys: string[]) => Promise.resolve(keys.map((key) => kept.get(key))),
  delMany: (keys: string[]) => Promise.resolve(keys.forEach((key) => kept.delete(key))),
  del: (key: string) => Promise.resolve(kept.delete(key)),
}));

// The sentences are there from the start: what is looked for is what they say.
for (const [stage, sentences] of Object.entries(catalogues.en)) keepCatalogue('en', stage, sentences);
