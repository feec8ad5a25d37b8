// @ts-check
import { existsSync } from 'node:fs';
import { installDebian, wishDebian } from './debian.mjs';
import { Stop } from './say.mjs';

/** Chromium without its windows draws a third faster: no screen is there to see them. */
const SHELL = '/usr/bin/chromium-headless-shell';
const places = ['/usr/bin/chromium', '/usr/bin/chromium-browser'];

const find = () => places.find((place) => existsSync(place));

/** Makes sure that Debian's Chromium is installed; answers where its program lies. */
export function ensureChromium() {
  const without = 'The whole of Chromium is used in its place, which is slower.';
  if (wishDebian(SHELL, ['chromium-headless-shell'], 'Chromium without its windows', without)) return SHELL;
  const found = find();
  if (found) return found;
  installDebian(['chromium'], 'Chromium');
  const installed = find();
  if (!installed) throw new Stop('Chromium was installed but not found. Install the package “chromium” and try again.');
  return installed;
}
