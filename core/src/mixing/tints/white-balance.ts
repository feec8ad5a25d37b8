import { triple, type Triple } from '../../foundation/math/index.js';
import { converter, formatHex, modeLrgb, modeRgb, useMode } from 'culori/fn';
import { InputError, msg } from '../../foundation/units/index.js';

useMode(modeRgb);
useMode(modeLrgb);
const toLinear = converter('lrgb');

/** Pixels of a picture, four bytes each: red, green, blue and how solid it is. */
export interface Pixels {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8ClampedArray;
}

/** What lies in the picture to tell its light by: a grey card throws 18 % back, white paper about 85 %. */
export type Reference = 'grey-card' | 'white-paper';
const throwsBack: Record<Reference, number> = { 'grey-card': 0.18, 'white-paper': 0.85 };

export interface PixelPoint {
  readonly x: number;
  readonly y: number;
}

/** A colour out of a picture; unsure where no reference told of the light. */
export interface PickedColour {
  readonly colour: string;
  readonly sure: boolean;
}

/** Mean linear light round a point, half the pixels at either end left out: a grain or a glint does not count. */
function lightAt({ width, height, data }: Pixels, { x, y }: PixelPoint, radius: number): Triple {
  const found: Triple[] = [];
  for (let j = Math.max(0, Math.round(y) - radius); j <= Math.min(height - 1, Math.round(y) + radius); j++)
    for (let i = Math.max(0, Math.round(x) - radius); i <= Math.min(width - 1, Math.round(x) + radius); i++) {
      const at = (j * width + i) * 4;
      const { r, g, b } = toLinear({ mode: 'rgb', r: data[at]! / 255, g: data[at + 1]! / 255, b: data[at + 2]! / 255 });
      found.push([r, g, b]);
    }
  if (found.length === 0)
    throw new InputError([
      { field: 'at', value: { x, y }, message: msg('tints.pointOutside'), remedy: msg('tints.clickPicture') },
    ]);
  const sorted = found.sort((a, b) => a[0] + a[1] + a[2] - (b[0] + b[1] + b[2]));
  const middle = sorted.slice(Math.floor(found.length / 4), Math.ceil((found.length * 3) / 4) || 1);
  return triple((k) => middle.reduce((sum, one) => sum + one[k], 0) / middle.length);
}

const clamp = (n: number) => Math.min(1, Math.max(0, n));

/**
 * The colour at a point of a picture, averaged over `radius` pixels; balanced by a grey card or white paper where one lies
 * in it, else as the camera saw it and unsure.
 * @throws InputError on a point off the picture, or a reference that is too dark or burnt out to tell the light
 */
export function pickColour(
  pixels: Pixels,
  at: PixelPoint,
  reference?: { readonly kind: Reference; readonly at: PixelPoint },
  radius = 6,
): PickedColour {
  const seen = lightAt(pixels, at, radius);
  const card = reference && lightAt(pixels, reference.at, radius);
  if (card && (Math.min(...card) < 0.01 || Math.max(...card) > 0.98))
    throw new InputError([
      {
        field: 'reference.at',
        value: reference.at,
        message: msg('tints.cardUnclear'),
        remedy: msg('tints.clickEvenly'),
      },
    ]);
  const [r, g, b] = triple((k) => clamp(card ? (seen[k] / card[k]) * throwsBack[reference.kind] : seen[k]));
  return { colour: formatHex({ mode: 'lrgb', r, g, b }), sure: card !== undefined };
}
