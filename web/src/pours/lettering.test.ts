import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import fontkit from '@pdf-lib/fontkit';
import { describe, expect, it } from 'vitest';
import { loopsArea } from '@dewpot/core/moulds';
import { setLetters } from './lettering';
import { refusal } from '@dewpot/locales/testing';

const face = (name: string) =>
  fontkit.create(
    new Uint8Array(readFileSync(createRequire(import.meta.url).resolve(`@fontsource/young-serif/files/${name}.woff`))),
  );
const serif = face('young-serif-latin-400-normal');
const spanOf = (loops: ReturnType<typeof setLetters>, axis: 0 | 1) => {
  const all = loops.flat().map((point) => point[axis]);
  return [Math.min(...all), Math.max(...all)] as const;
};

describe('letters', () => {
  it('stand as high as was asked, about their middle, holes and all', () => {
    const loops = setLetters(serif, { text: 'H', height: 60 });
    const [low, high] = spanOf(loops, 1);
    expect(high - low).toBeCloseTo(60, 0);
    expect(high + low).toBeCloseTo(0, 0);
    const ring = setLetters(serif, { text: 'O', height: 60 });
    expect(ring).toHaveLength(2);
    expect(loopsArea(ring)).toBeLessThan(loopsArea([ring[0]!]) + loopsArea([ring[1]!]));
  });

  it('of two lines are centred one under the other', () => {
    const loops = setLetters(serif, { text: 'HH\nH', height: 40 });
    const upper = loops.filter((loop) => loop[0]![1] > 0);
    const lower = loops.filter((loop) => loop[0]![1] < 0);
    expect(upper).toHaveLength(2);
    const middle = (some: typeof loops) => spanOf(some, 0)[0] + spanOf(some, 0)[1];
    expect(middle(upper)).toBeCloseTo(middle(lower), 0);
    expect(spanOf(loops, 1)[1]).toBeCloseTo(-spanOf(loops, 1)[0], 0);
  });

  it('that the face lacks are named', () => {
    expect(refusal(() => setLetters(serif, { text: 'Ж7', height: 40 }))).toContain('These letters have no “Ж”.');
  });
});
