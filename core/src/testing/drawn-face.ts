import { normalPoint, stream } from '../foundation/math/index.js';
import type { PhotoPixels } from '../geometry/photos/index.js';

/** A void as it was drawn: its middle in mm, and its diameter. */
export interface DrawnVoid {
  readonly x: number;
  readonly y: number;
  readonly diameter: number;
}

/** How a face is drawn: mm, pixels a mm, and what else is on it. */
export interface DrawnFace {
  readonly size: number;
  readonly scale: number;
  readonly seed: number;
  readonly voids: number;
  /** How much the light changes from one side to the other, grey values. */
  readonly light?: number;
  /** How much a pebbled texture shades it. */
  readonly pebbles?: number;
  readonly specks?: number;
}

/** Voids that lie apart from each other and from the edge, from half a millimetre to eight. */
function scattered({ size, voids, seed }: DrawnFace): DrawnVoid[] {
  const next = stream(seed);
  const placed: DrawnVoid[] = [];
  for (let tries = 0; placed.length < voids && tries < 100 * voids; tries++) {
    const diameter = 0.5 * 16 ** (next() ** 1.6);
    const [x, y] = [0, 1].map(() => 8 + next() * (size - 16)) as [number, number];
    if (placed.every((one) => Math.hypot(one.x - x, one.y - y) > (one.diameter + diameter) / 2 + 1.5)) placed.push({ x, y, diameter }); // prettier-ignore
  }
  return placed;
}

/** A face with voids, in uneven light, with a pebbled texture, grain and pigment specks that are no voids. Seeded. */
export function drawFace(face: DrawnFace): { photo: PhotoPixels; voids: readonly DrawnVoid[] } {
  const { size, scale, seed, light = 50, pebbles = 4, specks = 40 } = face;
  const voids = scattered(face);
  const next = stream(seed + 1);
  const pixels = Math.round(size * scale);
  const data = new Uint8ClampedArray(4 * pixels ** 2);
  const marks = Array.from({ length: specks }, () => ({ x: next() * size, y: next() * size, half: 0.1 + 0.25 * next(), red: next() < 0.5 })); // prettier-ignore
  const grain = Array.from({ length: 4096 }, () => 3 * normalPoint(0.001 + 0.998 * next()));
  for (let row = 0; row < pixels; row++)
    for (let column = 0; column < pixels; column++) {
      const [x, y] = [(column + 0.5) / scale, (row + 0.5) / scale];
      let grey = 165 + light * (x / size - 0.5) + 0.4 * light * (y / size - 0.5) + pebbles * Math.sin(x * 0.9) * Math.cos(y * 0.7 + x * 0.2); // prettier-ignore
      for (const one of voids) {
        const inside = one.diameter / 2 - Math.hypot(x - one.x, y - one.y);
        // The edge of a void is as soft as a lens is: over a pixel or so.
        if (inside > -1) grey -= 75 * (1 / (1 + Math.exp(-inside * scale * 1.8)));
      }
      grey += grain[(row * 131 + column * 17 + ((row * column) % 97)) % 4096]!;
      const speck = marks.some((one) => Math.abs(x - one.x) < one.half && Math.abs(y - one.y) < one.half / 2);
      const i = 4 * (row * pixels + column);
      data.set(speck ? [90, 60, 55, 255] : [grey, grey, grey, 255], i);
    }
  return { photo: { data, width: pixels, height: pixels }, voids };
}
