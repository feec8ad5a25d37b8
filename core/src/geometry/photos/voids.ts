import { Checker, msg } from '../../foundation/units/index.js';
import { median } from '../../foundation/math/index.js';
import { Stopped, type Task } from '../meshes/index.js';
import { edgeWidth } from './edge-width.js';
import { darkness } from './even-light.js';
import type { PhotoPixels } from './pixels.js';
import { blobsOf } from './void-blobs.js';

/** A patch of a face on a photo, px, and how many of them a millimetre is. */
export interface VoidPatch {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly scale: number;
}

/** A void: its middle on the photo, px, and its diameter, that of a disc as large, mm. */
export interface VoidMark {
  readonly x: number;
  readonly y: number;
  readonly diameter: number;
}

/** What makes a count doubtful: a photo without sharp edges, or one of something else than a face. */
export type VoidDoubt = 'blurred' | 'no-face';

/** The voids of a patch, and what makes them doubtful. */
export interface FoundVoids {
  readonly marks: readonly VoidMark[];
  readonly doubt?: VoidDoubt;
}

/** How many voids of a size there are, by their diameters, mm. */
export const voidSizes = [
  { from: 1, to: 3 },
  { from: 3, to: 6 },
  { from: 6, to: Infinity },
] as const;

/** What the voids of a patch come to. */
export interface VoidCount {
  readonly counts: readonly number[];
  /** Of the patch, 0–1. */
  readonly share: number;
  readonly per100: number;
  /** 1, hardly any, to 5. */
  readonly grade: number;
  /** Only voids from this diameter on could be seen, mm. */
  readonly from: number;
}

/** Smallest void that is counted, and the smallest where a photo is coarse, mm. */
const LEAST = 1;
const LEAST_COARSE = 2;
/** Pixels a millimetre from which the smallest are seen. */
const FINE = 5;
/** A finer photo is made coarser to this before it is looked at. */
const ENOUGH = 8;
const ROUND = 0.6;
/** Light is evened over so many millimetres to each side. */
const EVEN = 12;
/** A void is darker than its surroundings by this, and by so many spreads of the face's own texture. */
const DARKER = 14;
const SPREADS = 4;
/** Shares of area from which the next grade begins. */
const GRADES = [0.001, 0.003, 0.01, 0.03] as const;
const MOST_SCALE = 200;
/** Edges of more pixels hide the smallest voids. */
const BLURRED = 6;
/** No face has so much of its area in voids. */
const NO_FACE = 0.25;

/** Ends what was stopped. @throws Stopped */
function stopped(signal: Task['signal']): void {
  if (signal?.aborted) throw new Stopped();
}

/** A patch in grey, made coarser by whole pixels where it is finer than it need be. */
function greyOf({ data, width }: PhotoPixels, patch: VoidPatch, step: number) {
  const [columns, rows] = [Math.floor(patch.width / step), Math.floor(patch.height / step)];
  const values = new Float32Array(columns * rows);
  for (let y = 0; y < rows; y++)
    for (let x = 0; x < columns; x++) {
      let sum = 0;
      for (let dy = 0; dy < step; dy++)
        for (let dx = 0; dx < step; dx++) {
          const i = 4 * ((patch.y + y * step + dy) * width + patch.x + x * step + dx);
          sum += 0.2126 * data[i]! + 0.7152 * data[i + 1]! + 0.0722 * data[i + 2]!;
        }
      values[y * columns + x] = sum / step ** 2;
    }
  return { values, width: columns, height: rows };
}

/** How much a face's own texture varies, by the middle of how far off pixels are; one in so many is looked at. */
function textureOf(dark: Float32Array): number {
  const some = Array.from({ length: Math.min(dark.length, 20_000) }, (_, i) => Math.abs(dark[Math.floor((i * dark.length) / Math.min(dark.length, 20_000))]!)); // prettier-ignore
  return 1.4826 * median(some);
}

function checkPatch({ width, height }: PhotoPixels, patch: VoidPatch): void {
  const check = new Checker();
  check.number('scale', patch.scale, msg('photos.scale'), { above: 0, max: MOST_SCALE });
  check.number('patch.x', patch.x, msg('photos.patch'), { min: 0, max: width - 1 });
  check.number('patch.y', patch.y, msg('photos.patch'), { min: 0, max: height - 1 });
  check.number('patch.width', patch.width, msg('photos.patch'), { min: 10, max: width - patch.x });
  check.number('patch.height', patch.height, msg('photos.patch'), { min: 10, max: height - patch.y });
  check.done();
}

/** The smallest void that a photo of so many pixels a millimetre shows, mm. */
export const leastVoid = (scale: number): number => (scale >= FINE ? LEAST : LEAST_COARSE);

/** Why a count may not be believed, where there is a reason. */
function doubtOf(marks: readonly VoidMark[], edge: number | undefined, patch: VoidPatch): VoidDoubt | undefined {
  if (countVoids(marks, patch).share > NO_FACE) return 'no-face';
  return edge !== undefined && edge > BLURRED ? 'blurred' : undefined;
}

/**
 * Voids of a patch of a face: its light evened, dark blobs by a threshold that follows the face's own texture, each ending at half its depth, at least 1 mm
 * across (2 mm under 5 pixels a mm) and round (4πA ÷ P² from 0.6 on). Handbook 20, "Voids from a photo". @throws InputError; Stopped
 */
export function findVoids(photo: PhotoPixels, patch: VoidPatch, { progress, signal }: Task = {}): FoundVoids {
  checkPatch(photo, patch);
  const step = Math.max(1, Math.floor(patch.scale / ENOUGH));
  const scale = patch.scale / step;
  const grey = greyOf(photo, patch, step);
  progress?.(0.3);
  const dark = darkness(grey, Math.max(4, Math.round(EVEN * scale)));
  progress?.(0.7);
  const seed = Math.max(DARKER, SPREADS * textureOf(dark));
  const least = leastVoid(patch.scale);
  const marks = blobsOf(dark, grey.width, seed, () => stopped(signal))
    .filter(({ roundness }) => roundness >= ROUND)
    .map(({ x, y, area }) => ({
      x: patch.x + (x + 0.5) * step,
      y: patch.y + (y + 0.5) * step,
      diameter: (2 * Math.sqrt(area / Math.PI)) / scale,
    }))
    .filter(({ diameter }) => diameter >= least);
  const doubt = doubtOf(marks, edgeWidth(grey), patch);
  return { marks, ...(doubt && { doubt }) };
}

/** What marks on a patch come to, whoever made them: counts by size, share of area, how many on 100 cm², and the grade. */
export function countVoids(marks: readonly VoidMark[], { width, height, scale }: Pick<VoidPatch, 'width' | 'height' | 'scale'>): VoidCount {
  const area = (width * height) / scale ** 2;
  const share = Math.min(1, marks.reduce((sum, { diameter }) => sum + (Math.PI * diameter ** 2) / 4, 0) / area);
  return {
    counts: voidSizes.map(({ from, to }) => marks.filter(({ diameter }) => diameter >= from && diameter < to).length),
    share,
    per100: (marks.length / area) * 10_000,
    grade: 1 + GRADES.filter((bound) => share >= bound).length,
    from: leastVoid(scale),
  };
} // prettier-ignore
