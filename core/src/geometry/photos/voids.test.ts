import { describe, expect, it } from 'vitest';
import { InputError } from '../../foundation/units/index.js';
import { drawFace, type DrawnFace } from '../../testing/drawn-face.js';
import { Stopped } from '../meshes/index.js';
import { countVoids, findVoids, leastVoid, type PhotoPixels } from './index.js';

const patchOf = ({ size, scale }: DrawnFace) => ({ x: 0, y: 0, width: Math.round(size * scale), height: Math.round(size * scale), scale }); // prettier-ignore
const share = (all: readonly { readonly diameter: number }[], size: number) => all.reduce((sum, { diameter }) => sum + (Math.PI * diameter ** 2) / 4, 0) / size ** 2; // prettier-ignore

/** A photo out of focus: each pixel the mean of those about it, twice. */
function blurred({ data, width, height }: PhotoPixels, reach: number): PhotoPixels {
  const once = (from: Uint8ClampedArray, step: number, length: number) =>
    from.map((_, i) => {
      const at = Math.floor((i >> 2) / (step === 4 ? 1 : width)) % length;
      const [back, on] = [Math.min(reach, at), Math.min(reach, length - 1 - at)];
      let sum = 0;
      for (let k = -back; k <= on; k++) sum += from[i + k * step]!;
      return sum / (back + on + 1);
    });
  const both = (from: Uint8ClampedArray) => once(once(from, 4, width), 4 * width, height);
  return { data: both(both(data as Uint8ClampedArray)), width, height };
}

describe('voids on drawn faces', () => {
  it.each([11, 12, 13, 14, 15, 16].map((seed): DrawnFace => ({ size: 100, scale: 6, seed, voids: 60 })))(
    'are counted within a tenth and measured within 15 % of their area, whatever the light (seed $seed)',
    (face) => {
      const { photo, voids } = drawFace(face);
      const { marks: found, doubt } = findVoids(photo, patchOf(face));
      expect(doubt).toBeUndefined();
      const real = voids.filter(({ diameter }) => diameter >= 1);
      expect(Math.abs(found.length / real.length - 1)).toBeLessThanOrEqual(0.1);
      expect(Math.abs(share(found, 100) / share(real, 100) - 1)).toBeLessThanOrEqual(0.15);
    },
  );

  it('are where they were drawn, as large as they were drawn', () => {
    const face: DrawnFace = { size: 60, scale: 10, seed: 3, voids: 20 };
    const { photo, voids } = drawFace(face);
    for (const { x, y, diameter } of findVoids(photo, patchOf(face)).marks) {
      const drawn = voids.reduce((best, one) => (Math.hypot(one.x - x / 10, one.y - y / 10) < Math.hypot(best.x - x / 10, best.y - y / 10) ? one : best)); // prettier-ignore
      expect(Math.hypot(drawn.x - x / 10, drawn.y - y / 10)).toBeLessThan(0.3);
      expect(Math.abs(diameter - drawn.diameter)).toBeLessThan(0.25);
    }
  });

  it('are none on a face that has only specks, pebbles and uneven light', () => {
    const face: DrawnFace = { size: 80, scale: 6, seed: 9, voids: 0, light: 80, pebbles: 6, specks: 120 };
    expect(findVoids(drawFace(face).photo, patchOf(face))).toEqual({ marks: [] });
  });

  it('are seen from 2 mm on where the photo is coarse', () => {
    const face: DrawnFace = { size: 120, scale: 4, seed: 5, voids: 40 };
    const { marks: found } = findVoids(drawFace(face).photo, patchOf(face));
    expect(Math.min(...found.map(({ diameter }) => diameter))).toBeGreaterThanOrEqual(2);
    expect([leastVoid(4.9), leastVoid(5)]).toEqual([2, 1]);
  });

  it('are looked for on the patch alone, in steps that can be stopped', () => {
    const face: DrawnFace = { size: 60, scale: 6, seed: 4, voids: 30 };
    const { photo, voids } = drawFace(face);
    const patch = { x: 0, y: 0, width: 180, height: 360, scale: 6 };
    const { marks: found } = findVoids(photo, patch);
    expect(found.every(({ x }) => x < 180)).toBe(true);
    expect(found.length).toBeLessThan(voids.length);
    expect(() => findVoids(photo, patch, { signal: { aborted: true } })).toThrow(Stopped);
  });

  it.each([6, 10])('are doubted on a blurred photo, and of what is no face (%d pixels a mm)', (scale) => {
    const face: DrawnFace = { size: 80, scale, seed: 6, voids: 40 };
    const { photo } = drawFace(face);
    expect(findVoids(photo, patchOf(face)).doubt).toBeUndefined();
    expect(findVoids(blurred(photo, Math.round(0.8 * scale)), patchOf(face)).doubt).toBe('blurred');
    const cobbles = { ...photo, data: photo.data.map((value, i) => (i % 4 === 3 || Math.hypot(((i >> 2) % photo.width) % 60 - 30, Math.floor((i >> 2) / photo.width) % 60 - 30) > 22 ? value : 30)) }; // prettier-ignore
    expect(findVoids(cobbles, patchOf(face)).doubt).toBe('no-face');
  });

  it('are refused off the photo or without a scale', () => {
    const { photo } = drawFace({ size: 20, scale: 6, seed: 1, voids: 1 });
    expect(() => findVoids(photo, { x: 100, y: 0, width: 100, height: 50, scale: 6 })).toThrow(InputError);
    expect(() => findVoids(photo, { x: 0, y: 0, width: 50, height: 50, scale: 0 })).toThrow(InputError);
  });
});

describe('what voids come to', () => {
  const patch = { width: 600, height: 600, scale: 6 };
  const marks = [1, 2.9, 3, 5, 6, 8].map((diameter, i) => ({ x: 20 * i, y: 10, diameter }));

  it('is counted by size, as a share of the area, and on 100 cm²', () => {
    const { counts, share: told, per100 } = countVoids(marks, patch);
    expect(counts).toEqual([2, 2, 2]);
    expect(told).toBeCloseTo(share(marks, 100), 12);
    expect(per100).toBeCloseTo(6, 10);
  });

  it('is graded from 1 to 5, a bound belonging to the upper grade', () => {
    const of = (target: number) => countVoids([{ x: 0, y: 0, diameter: 2 * Math.sqrt((target * 10_000) / Math.PI) }], patch).grade; // prettier-ignore
    expect([0.0005, 0.0010001, 0.0029, 0.0030001, 0.02, 0.0300001, 0.2].map(of)).toEqual([1, 2, 2, 3, 4, 5, 5]);
    expect(countVoids([], patch)).toMatchObject({ share: 0, grade: 1 });
  });
});
