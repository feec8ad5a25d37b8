import { contours } from 'd3-contour';
import { tick, type Task } from '../meshes/index.js';
import { outlineArea } from '../solids/index.js';
import type { PhotoPixels, PhotoPoint } from './pixels.js';

/** A patch of a picture that stands out from its ground. */
export interface Patch {
  readonly area: number;
  /** Its outer boundary, px. */
  readonly outline: readonly PhotoPoint[];
  readonly touchesEdge: boolean;
}

type Colour = readonly [number, number, number];

/** Linear light of a byte of sRGB. */
const linear = Float32Array.from({ length: 256 }, (_, i) => {
  const s = i / 255;
  return s <= 0.04045 ? s / 12.92 : ((s + 0.055) / 1.055) ** 2.4;
});

/** Light of the ground by place. */
type Ground = (x: number, y: number) => Colour;

/** Colour of the ground by place: the medians of the picture's corners, running evenly between them. */
function groundPlanes({ data, width, height }: PhotoPixels): Ground {
  const size = Math.max(4, Math.floor(Math.min(width, height) * 0.05));
  const corner = (x0: number, y0: number): [number, number, number] => {
    const channels: number[][] = [[], [], []];
    for (let y = y0; y < y0 + size; y++)
      for (let x = x0; x < x0 + size; x++)
        for (let c = 0; c < 3; c++) channels[c]!.push(linear[data[(y * width + x) * 4 + c]!]!);
    return channels.map((values) => values.sort((a, b) => a - b)[values.length >> 1]!) as [number, number, number];
  };
  const [a, b, c, d] = [
    corner(0, 0),
    corner(width - size, 0),
    corner(0, height - size),
    corner(width - size, height - size),
  ];
  return (x, y) => {
    const [u, v] = [x / width, y / height];
    return [0, 1, 2].map(
      (k) => (a[k]! * (1 - u) + b[k]! * u) * (1 - v) + (c[k]! * (1 - u) + d[k]! * u) * v,
    ) as unknown as Colour;
  };
}

/** How far each pixel is from the ground's colour, 0 to 255: by the ratio of light, so that shade counts less than colour. */
function contrast({ data, width, height }: PhotoPixels, ground: Ground, task: Task): Uint8Array {
  const found = new Uint8Array(width * height);
  for (let y = 0; y < height; y++) {
    tick(task, y << 10, height << 10);
    for (let x = 0; x < width; x++) {
      const g = ground(x, y);
      const at = (y * width + x) * 4;
      let [sum, most] = [0, 0];
      for (let c = 0; c < 3; c++) {
        const ratio = Math.log((linear[data[at + c]!]! + 0.02) / (g[c]! + 0.02));
        sum += ratio / 3;
        most = Math.max(most, Math.abs(ratio));
      }
      found[y * width + x] = Math.min(255, Math.round(90 * Math.max(most, Math.abs(sum))));
    }
  }
  return found;
}

/** The threshold that parts a histogram best in two (Otsu 1979). */
function otsu(values: Uint8Array): number {
  const histogram = new Float64Array(256);
  for (const value of values) histogram[value]!++;
  const whole = values.length;
  const mean = histogram.reduce((sum, n, i) => sum + n * i, 0);
  let [below, sum, best, at] = [0, 0, -1, 0];
  for (let i = 0; i < 255; i++) {
    below += histogram[i]!;
    sum += histogram[i]! * i;
    if (below === 0 || below === whole) continue;
    const between = (mean * below - sum * whole) ** 2 / (below * (whole - below));
    if (between > best) [best, at] = [between, i];
  }
  return at;
}

/** Evens out grain by the mean of nine. */
function smoothed(values: ArrayLike<number>, width: number, height: number): number[] {
  const found = Array.from(values, Number);
  for (let y = 1; y < height - 1; y++)
    for (let x = 1; x < width - 1; x++) {
      let sum = 0;
      for (let dy = -1; dy <= 1; dy++) for (let dx = -1; dx <= 1; dx++) sum += values[(y + dy) * width + x + dx]!;
      found[y * width + x] = sum / 9;
    }
  return found;
}

type Field = { readonly values: number[]; readonly width: number; readonly height: number };

/** Outer boundaries at a threshold, px, largest first, none smaller than `least`. */
function boundaries({ values, width, height }: Field, threshold: number, least: number): PhotoPoint[][] {
  const [found] = contours().size([width, height]).thresholds([threshold])(values);
  return (found?.coordinates ?? [])
    .map(([ring]) => (ring ?? []).slice(1) as unknown as PhotoPoint[])
    .filter((outline) => Math.abs(outlineArea(outline)) >= least)
    .sort((a, b) => Math.abs(outlineArea(b)) - Math.abs(outlineArea(a)));
}

/** Room about a patch that is looked at again, px. */
const ROOM = 6;

/** A patch's boundary where pixels are half ground, half patch: light over the ground's light mixes evenly across an edge. */
function sharpened(
  photo: PhotoPixels,
  ground: Ground,
  contrasts: Uint8Array,
  outline: PhotoPoint[],
  threshold: number,
): PhotoPoint[] {
  const { width, height } = photo;
  const xs = outline.map(([x]) => x);
  const ys = outline.map(([, y]) => y);
  const [x0, y0] = [Math.max(0, Math.floor(Math.min(...xs)) - ROOM), Math.max(0, Math.floor(Math.min(...ys)) - ROOM)];
  const [x1, y1] = [
    Math.min(width, Math.ceil(Math.max(...xs)) + ROOM),
    Math.min(height, Math.ceil(Math.max(...ys)) + ROOM),
  ];
  const ratios: Colour[] = [];
  const inside: number[][] = [[], [], []];
  for (let y = y0; y < y1; y++)
    for (let x = x0; x < x1; x++) {
      const g = ground(x, y);
      const own = [0, 1, 2].map(
        (c) => linear[photo.data[(y * width + x) * 4 + c]!]! / (g[c]! + 1e-4) - 1,
      ) as unknown as Colour;
      ratios.push(own);
      if (contrasts[y * width + x]! > threshold) own.forEach((n, c) => inside[c]!.push(n));
    }
  const patch = inside.map((values) => values.sort((a, b) => a - b)[values.length >> 1] ?? 0);
  const square = patch.reduce((sum, n) => sum + n * n, 0);
  if (square === 0) return outline;
  const shares = ratios.map((own) => own.reduce((sum, n, c) => sum + n * patch[c]!, 0) / square);
  const area = Math.abs(outlineArea(outline));
  const off = (loop: readonly PhotoPoint[]) => Math.abs(Math.abs(outlineArea(loop)) - area);
  const again = boundaries(
    { values: smoothed(shares, x1 - x0, y1 - y0), width: x1 - x0, height: y1 - y0 },
    0.5,
    area / 2,
  ).sort((a, b) => off(a) - off(b));
  return again[0]?.map(([x, y]): PhotoPoint => [x + x0, y + y0]) ?? outline;
}

/** Patches that stand out from the ground, largest first, none smaller than `least` px. Outlines run between the pixels. */
export function patchesOf(photo: PhotoPixels, least: number, task: Task = {}): Patch[] {
  const { width, height } = photo;
  const ground = groundPlanes(photo);
  const contrasts = contrast(photo, ground, task);
  const threshold = otsu(contrasts);
  return boundaries({ values: smoothed(contrasts, width, height), width, height }, threshold, least).map((rough) => {
    const outline = sharpened(photo, ground, contrasts, rough, threshold);
    return {
      area: Math.abs(outlineArea(outline)),
      outline,
      touchesEdge: outline.some(([x, y]) => x < 2 || y < 2 || x > width - 2 || y > height - 2),
    };
  });
}
