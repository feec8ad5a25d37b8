import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cone } from '../../testing/examples.js';
import { alone, box } from '../../testing/shapes.js';
import { closedSurfaceOf } from '../moulds/index.js';
import { analyseMesh, measureMesh, mendMesh, Stopped, type Triangles } from './index.js';

const block = closedSurfaceOf(alone(box(200, 120, 60)));
const pail = closedSurfaceOf(alone(cone(160, 200, 180)));
const shifted = (triangles: Triangles, by: number) => triangles.map((value, i) => (i % 3 === 0 ? value + by : value));
const joined = (...all: readonly Triangles[]) => new Float32Array(all.flatMap((one) => [...one]));

/** Some of a mesh's faces the other way round. */
function turned(triangles: Triangles, which: (t: number) => boolean): Triangles {
  return triangles.map((value, i) => {
    const [t, corner, k] = [Math.floor(i / 9), Math.floor((i % 9) / 3), i % 3];
    return which(t) && corner > 0 ? triangles[t * 9 + (3 - corner) * 3 + k]! : value;
  });
}

describe('what a mesh is made of', () => {
  it('is so many bodies, shut and turned outwards', () => {
    const { triangles, parts } = mendMesh(joined(block, shifted(block, 500), shifted(pail, -500)));
    expect(parts).toEqual({ bodies: 3, turned: 0, mended: 0, shared: 0, degenerate: 0 });
    expect(measureMesh(triangles).volume / (2 * measureMesh(block).volume + measureMesh(pail).volume)).toBeCloseTo(
      1,
      4,
    );
  });

  it('a body that is wholly turned is turned back, one inside another stays a hollow', () => {
    const inside = block.map((value) => value / 4 + 10);
    const hollow = joined(
      block,
      turned(inside, () => true),
    );
    expect(mendMesh(hollow).parts).toMatchObject({ bodies: 2, turned: 0 });
    const wrong = joined(
      block,
      turned(shifted(block, 500), () => true),
    );
    const { triangles, parts } = mendMesh(wrong);
    expect(parts).toMatchObject({ bodies: 2, turned: 1, mended: 0 });
    expect(measureMesh(triangles).volume / measureMesh(block).volume).toBeCloseTo(2, 4);
  });

  it('a body that is partly turned is mended, whichever of its faces they are', () => {
    const whole = measureMesh(pail).volume;
    fc.assert(
      fc.property(fc.array(fc.boolean(), { minLength: pail.length / 9, maxLength: pail.length / 9 }), (which) => {
        const { triangles, parts } = mendMesh(turned(pail, (t) => which[t]!));
        const wrong = which.filter(Boolean).length;
        expect(parts!.mended).toBe(Math.min(wrong, which.length - wrong));
        expect(measureMesh(triangles).closed).toBe(true);
        expect(measureMesh(triangles).volume / whole).toBeCloseTo(1, 5);
      }),
      { numRuns: 20 },
    );
    expect(
      analyseMesh(
        turned(block, (t) => t === 3),
        'piece',
      ).parts,
    ).toMatchObject({ mended: 1 });
  });

  it('tells edges that more than two triangles share, and triangles without an area', () => {
    const fin = new Float32Array([...block.slice(0, 6), 0, 0, 900]);
    expect(mendMesh(joined(block, fin)).parts!.shared).toBeGreaterThanOrEqual(1);
    const flat = new Float32Array([0, 0, 0, 1, 0, 0, 2, 0, 0]);
    expect(mendMesh(joined(block, flat)).parts!.degenerate).toBe(1);
  });

  it('is not told of one too large, and stops where it is asked to', () => {
    expect(mendMesh(new Float32Array(9 * 300_001)).parts).toBeUndefined();
    expect(() => mendMesh(block, { signal: { aborted: true } })).toThrow(Stopped);
  });
});
