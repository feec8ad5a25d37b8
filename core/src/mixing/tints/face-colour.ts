import { converter, formatHex, modeLrgb, modeRgb, useMode } from 'culori/fn';
import { wetReflectance } from './wet-look.js';

useMode(modeRgb);
useMode(modeLrgb);
const toLinear = converter('lrgb');

/**
 * Colour of a face that is part wet, as #rrggbb. `dry` is the cured, dry colour as #rrggbb;
 * `wetness` runs from 0 (dry) to 1 (a film of water stands on it).
 * @throws Error when `dry` is no colour.
 */
export function faceColour(dry: string, wetness: number): string {
  const light = toLinear(dry);
  if (!light) throw new Error(`“${dry}” is not a colour: write it like #b9b2a6.`);
  const share = Math.min(1, Math.max(0, wetness));
  const mixed = (channel: number) => channel + (wetReflectance(channel) - channel) * share;
  return formatHex({ mode: 'lrgb', r: mixed(light.r), g: mixed(light.g), b: mixed(light.b) });
}
