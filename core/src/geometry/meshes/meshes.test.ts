import fc from 'fast-check';
import { zipSync, strToU8 } from 'fflate';
import { refusal } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import { cone } from '../../testing/examples.js';
import { alone, box } from '../../testing/shapes.js';
import { writeStl } from '../exports/index.js';
import { closedSurfaceOf, fullVolume, volumeTo, type MouldShape } from '../moulds/index.js';
import {
  analyseMesh,
  guessUnit,
  measureMesh,
  openEdges,
  readMesh,
  standMesh,
  Stopped,
  volumesBelow,
  type Triangles,
} from './index.js';

const block = closedSurfaceOf(alone(box(200, 120, 60)));
const pail = closedSurfaceOf(alone(cone(160, 200, 180)));
const bytesOf = (triangles: Triangles) => new Uint8Array(writeStl(triangles, 'made here'));

/** Turns and moves every corner. */
function moved(triangles: Triangles, [a, b, c]: readonly number[], shift: readonly number[]): Triangles {
  const [ca, sa, cb, sb, cc, sc] = [Math.cos(a!), Math.sin(a!), Math.cos(b!), Math.sin(b!), Math.cos(c!), Math.sin(c!)];
  return triangles.map((_, i) => {
    const at = i - (i % 3);
    const [x, y, z] = [triangles[at]!, triangles[at + 1]!, triangles[at + 2]!];
    const [x1, y1] = [x * ca - y * sa, x * sa + y * ca];
    const [y2, z2] = [y1 * cb - z * sb, y1 * sb + z * cb];
    const [x3, z3] = [x1 * cc + z2 * sc, z2 * cc - x1 * sc];
    return [x3 + shift[0]!, y2 + shift[1]!, z3 + shift[2]!][i % 3]!;
  });
}

function textStl(triangles: Triangles): string {
  const lines = ['solid made here'];
  for (let t = 0; t < triangles.length; t += 9) {
    lines.push('facet normal 0 0 0', 'outer loop');
    for (let k = t; k < t + 9; k += 3) lines.push(`vertex ${triangles[k]} ${triangles[k + 1]} ${triangles[k + 2]}`);
    lines.push('endloop', 'endfacet');
  }
  return [...lines, 'endsolid made here'].join('\n');
}

function obj(triangles: Triangles): string {
  const lines = ['# made here', 'o block'];
  for (let k = 0; k < triangles.length; k += 3) lines.push(`v ${triangles[k]} ${triangles[k + 1]} ${triangles[k + 2]}`);
  for (let t = 0; t < triangles.length / 9; t++) lines.push(`f ${t * 3 + 1}/1 ${t * 3 + 2}/1 ${t * 3 + 3}/1`);
  return lines.join('\n');
}

function model(triangles: Triangles, unit = 'millimeter'): string {
  const corners = [];
  for (let k = 0; k < triangles.length; k += 3)
    corners.push(`<vertex x="${triangles[k]}" y="${triangles[k + 1]}" z="${triangles[k + 2]}"/>`);
  const faces = Array.from(
    { length: triangles.length / 9 },
    (_, t) => `<triangle v1="${t * 3}" v2="${t * 3 + 1}" v3="${t * 3 + 2}"/>`,
  );
  return `<?xml version="1.0"?><model unit="${unit}"><resources><object id="1"><mesh><vertices>${corners.join('')}</vertices><triangles>${faces.join('')}</triangles></mesh></object></resources></model>`;
}
const threeMf = (text: string) => zipSync({ '3D/3dmodel.model': strToU8(text) });

describe('a mesh file', () => {
  it.each<[string, Uint8Array, string]>([
    ['a binary STL', bytesOf(block), 'a.stl'],
    ['a text STL', strToU8(textStl(block)), 'a.stl'],
    ['an OBJ', strToU8(obj(block)), 'a.obj'],
    ['a 3MF', threeMf(model(block)), 'a.3mf'],
    ['a binary STL by another name', bytesOf(block), 'a.obj'],
    ['an OBJ by another name', strToU8(obj(block)), 'a.stl'],
    ['a 3MF by another name', threeMf(model(block)), 'a.stl'],
  ])('%s is read, whatever its name', (_, bytes, name) => {
    const { volume, closed, triangles } = measureMesh(readMesh(bytes, name));
    expect(volume).toBeCloseTo(200 * 120 * 60, 1);
    expect([closed, triangles]).toEqual([true, 12]);
  });
  it('whose head says “solid” but is binary is still read', () => {
    const bytes = bytesOf(block);
    bytes.set(strToU8('solid binary facet '), 0);
    expect(readMesh(bytes, 'a.stl')).toHaveLength(block.length);
  });
  it('in inches comes in mm', () => {
    const small = block.map((n) => n / 25.4);
    expect(measureMesh(readMesh(threeMf(model(small, 'inch')), 'a.3mf')).volume).toBeCloseTo(200 * 120 * 60, -1);
  });

  const nan = block.slice();
  nan[40] = NaN;
  const claimed = bytesOf(block);
  new DataView(claimed.buffer).setUint32(80, 1_000_000_000, true);
  it.each<[string, Uint8Array, RegExp]>([
    ['empty', new Uint8Array(0), /empty/],
    ['cut short', bytesOf(block).subarray(0, 300), /cut short/],
    ['a text STL cut short', strToU8(textStl(block).slice(0, 700)), /middle of a triangle/],
    ['text that says binary', strToU8('this is a note, not a mesh at all '.repeat(9)), /cut short, or no STL/],
    ['with a corner that is no number', bytesOf(nan), /Triangle 5 has a corner that is no number/],
    ['of a billion claimed triangles', claimed, /1,000,000,000 triangles, but has room for 12/],
    ['an OBJ that names corners it lacks', strToU8('v 0 0 0\nv 1 0 0\nf 1 2 7\n'), /Line 3 names corner 7/],
    ['an OBJ without faces', strToU8('v 0 0 0\nv 1 0 0\n'), /no faces/],
    ['a zip that holds no model', zipSync({ 'a.txt': strToU8('hello') }), /no 3D model/],
    ['a 3MF cut short', threeMf(model(block)).subarray(0, 200), /damaged or cut short/],
    ['a 3MF with entities', threeMf(`<!DOCTYPE x [<!ENTITY a "b">]>${model(block)}`), /declares entities/],
    [
      'a 3MF whose triangles name nothing',
      threeMf(model(block).replace('v1="0"', 'v1="999"')),
      /corner that is not there/,
    ],
  ])('%s is refused in a clear line', (_, bytes, told) => {
    expect(refusal(() => readMesh(bytes, 'a.stl'))).toMatch(told);
  });
  it('that unpacks without end is stopped early', () => {
    const bomb = zipSync({ '3D/3dmodel.model': new Uint8Array(210 * 1024 * 1024) }, { level: 1 });
    expect(bomb.length).toBeLessThan(2_000_000);
    expect(refusal(() => readMesh(bomb, 'a.3mf'))).toMatch(/more than 200 MB/);
  });
  it('stops at once when it is told to', () => {
    expect(() => readMesh(bytesOf(block), 'a.stl', { signal: { aborted: true } })).toThrow(Stopped);
    expect(() => analyseMesh(block, 'piece', { signal: { aborted: true } })).toThrow(Stopped);
  });
});

describe('the measure of a mesh', () => {
  it('is that of the closed form, to the facets', () => {
    expect(measureMesh(pail).volume / (fullVolume(alone(cone(160, 200, 180))) * 1000)).toBeCloseTo(1, 2);
    expect(measureMesh(block).area).toBeCloseTo(2 * (200 * 120 + 200 * 60 + 120 * 60), 1);
  });
  it('stays when the mesh is turned and moved', () => {
    const angle = fc.double({ min: -3, max: 3, noNaN: true });
    const shift = fc.double({ min: -500, max: 500, noNaN: true });
    fc.assert(
      fc.property(fc.tuple(angle, angle, angle), fc.tuple(shift, shift, shift), (turn, by) => {
        const measure = measureMesh(moved(pail, turn, by));
        expect(measure.volume / measureMesh(pail).volume).toBeCloseTo(1, 4);
        expect(measure.area / measureMesh(pail).area).toBeCloseTo(1, 4);
      }),
      { numRuns: 25 },
    );
  });
  it('tells where a mesh is open, and whether by a hole or a fold', () => {
    const holed = block.slice(9);
    expect(measureMesh(holed).closed).toBe(false);
    expect(openEdges(holed)).toMatchObject({
      count: 3,
      places: [{ what: 'hole' }, { what: 'hole' }, { what: 'hole' }],
    });
    const folded = block.slice();
    [folded[3], folded[6]] = [folded[6]!, folded[3]!];
    [folded[4], folded[7]] = [folded[7]!, folded[4]!];
    [folded[5], folded[8]] = [folded[8]!, folded[5]!];
    expect(measureMesh(folded).closed).toBe(false);
    expect(openEdges(folded).places.every(({ what }) => what === 'fold')).toBe(true);
  });
  it('is open along the same edges whatever the sign of its zeros and the order of its triangles', () => {
    const corners = [[0, 0, 0], [1, 0, 0], [0, 1, 0], [0, 0, 1]]; // prettier-ignore
    const three = [[0, 2, 1], [0, 1, 3], [0, 3, 2]]; // prettier-ignore
    fc.assert(
      fc.property(fc.array(fc.boolean(), { minLength: 27, maxLength: 27 }), fc.shuffledSubarray([0, 1, 2], { minLength: 3 }), (signs, order) => {
        const values = order.flatMap((t) => three[t]!.flatMap((c) => corners[c]!));
        const triangles = new Float32Array(values.map((value, i) => (value === 0 && signs[i] ? -0 : value)));
        expect(openEdges(triangles).count).toBe(3);
        expect(measureMesh(triangles).closed).toBe(false);
      }),
    ); // prettier-ignore
  });
  it('below any height is that of the filled mould', () => {
    const shape = alone(cone(160, 200, 180));
    const whole = volumesBelow(pail, 0, 180, 12);
    whole.forEach((volume, k) => {
      const filled = volumeTo(shape, (180 * k) / 12);
      expect(volume / 1000).toBeCloseTo(filled * (whole[12]! / 1000 / fullVolume(shape)), 0);
    });
  });
});

describe('a mesh as a mould', () => {
  const of = (shape: MouldShape) => closedSurfaceOf(shape);
  it('keeps volume, fill curve and outlines', () => {
    const { solid, measure } = analyseMesh(pail, 'piece');
    const mould = alone(solid);
    expect(fullVolume(mould)).toBeCloseTo(measure.volume / 1000, 6);
    expect(volumeTo(mould, 90) / volumeTo(alone(cone(160, 200, 180)), 90)).toBeCloseTo(1, 2);
    expect(solid.slices.length).toBeGreaterThan(20);
    expect(JSON.stringify(solid).length).toBeLessThan(120_000);
  });
  it('of a mould block is its hollow, open upwards', () => {
    const cup: MouldShape = {
      ...alone(box(200, 160, 100)),
      cores: [{ name: 'Hollow', bottom: 20, solid: box(120, 80, 80) }],
    };
    const { solid } = analyseMesh(of(cup), 'block');
    expect(fullVolume(alone(solid)) / ((120 * 80 * 80) / 1000)).toBeCloseTo(1, 1);
    expect(refusal(() => analyseMesh(block, 'block'))).toMatch(/no hollow/);
  });
  it('inside out is turned, open is refused with its place', () => {
    const inside = block.slice();
    for (let t = 0; t < inside.length; t += 9)
      for (let k = 0; k < 3; k++) [inside[t + 3 + k], inside[t + 6 + k]] = [inside[t + 6 + k]!, inside[t + 3 + k]!];
    expect(analyseMesh(inside, 'piece')).toMatchObject({
      turned: true,
      measure: { volume: expect.closeTo(1_440_000, 0) },
    });
    expect(refusal(() => analyseMesh(block.slice(9), 'piece'))).toMatch(
      /not closed: 3 edges are open, the first at the edge of a hole at/,
    );
  });
  it('is thinnest where its walls are', () => {
    const cup: MouldShape = {
      ...alone(box(200, 160, 100)),
      cores: [{ name: 'Hollow', bottom: 20, solid: box(180, 130, 80) }],
    };
    const { thinnest } = analyseMesh(of(cup), 'piece');
    expect(thinnest[0]!.thickness).toBeCloseTo(10, 3);
    expect(analyseMesh(block, 'piece').thinnest[0]!.thickness).toBeCloseTo(60, 3);
  });
  it('that narrows upwards holds the cast back, one that widens does not', () => {
    expect(analyseMesh(pail, 'piece').undercut.area).toBe(0);
    const narrowing = of(alone(cone(200, 160, 180)));
    expect(analyseMesh(narrowing, 'piece').undercut.share).toBeGreaterThan(0.4);
  });
  it('is stood on any side, and its unit guessed by its size', () => {
    const lying = measureMesh(block);
    const stood = standMesh(block, lying, 'x', 'mm');
    const measure = measureMesh(stood);
    expect(measure.high[2]).toBeCloseTo(200, 4);
    expect(measure.low).toEqual([expect.closeTo(-60, 4), expect.closeTo(-30, 4), expect.closeTo(0, 4)]);
    for (const up of ['x', '-x', 'y', '-y', 'z', '-z'] as const)
      expect(measureMesh(standMesh(block, lying, up, 'mm')).volume).toBeCloseTo(1_440_000, 0);
    expect(guessUnit(lying)).toBe('mm');
    expect(guessUnit(measureMesh(block.map((n) => n / 25.4)))).toBe('cm');
    expect(guessUnit(measureMesh(block.map((n) => n / 1000)))).toBe('m');
  });
});
