// @ts-check
import { dirname, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The project's folder. */
export const root = resolve(dirname(fileURLToPath(import.meta.url)), '../..');
