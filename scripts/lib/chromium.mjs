// @ts-check
import { existsSync } from 'node:fs';
import { installDebian } from './debian.mjs';
import { Stop } from './say.mjs';

const places = ['/usr/bin/chromium', '/usr/bin/chromium-browser'];

/** Makes sure that Debian's Chromium is installed; answers where its program lies. */
export function ensureChromium() {
  const found = places.find((place) => existsSync(place));
  if (found) return found;
  installDebian(['chromium'], 'Chromium');
  const installed = places.find((place) => existsSync(place));
  if (!installed) throw new Stop('Chromium was installed but not found. Install the package “chromium” and try again.');
  return installed;
}
