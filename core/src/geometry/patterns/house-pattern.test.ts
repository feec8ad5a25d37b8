import { describe, expect, it } from 'vitest';
import { work, answer, issuesOf, size } from '../../testing/worked-patterns.js';
import { writeDxf, writeSvg } from '../exports/index.js';
import { readDrawing } from '../meshes/index.js';
import { outlineArea, type PlanPoint } from '../solids/index.js';
import { folded, laidParts, partsDrawing, type HousePattern } from './index.js';

const house: HousePattern = {
  kind: 'house',
  width: 240,
  depth: 300,
  eaves: 160,
  pitch: 40,
  panel: 12,
  overhang: 25,
  roof: 'wood',
  roofThickness: 9,
  base: 18,
  sheet: 5,
  cover: 5,
  openings: [
    { wall: 'front', x: 90, y: 0, width: 60, height: 110 },
    { wall: 'left', x: 60, y: 50, width: 50, height: 50 },
  ],
};

describe('a house of panels', () => {
  it('has the ridge, the slopes, the blanks and the boards of the handbook', () => {
    const done = work(house);
    const tan = Math.tan((40 * Math.PI) / 180);
    expect(answer(done, 'ridgeHeight')).toBeCloseTo(160 + 120 * tan, 9);
    expect(answer(done, 'roofSlope')).toBeCloseTo(120 / Math.cos((40 * Math.PI) / 180) + 25, 9);
    expect(answer(done, 'sideTopInside')).toBeCloseTo(160 + 12 * tan, 9);
    expect(answer(done, 'sideWallLength')).toBe(276);
    const part = (key: string) => done.parts.find((one) => one.key === key)!;
    expect(part('G1').count).toBe(3);
    expect([size(part('F').outline, 0), size(part('F').outline, 1)]).toEqual([264, 324]);
    expect(size(part('M3').outline, 0)).toBeCloseTo(266, 9);
    expect(part('M1').holes[0]).toContainEqual([85, -5]);
  });

  it('put together its walls have the promised outside and its roof halves meet at the ridge', () => {
    const { pieces } = work(house);
    const standing = folded(pieces, 1);
    const walls = standing.slice(0, 4).flatMap(({ inner, outer }) => [...inner, ...outer]);
    const up = walls.map((p) => p[1]);
    expect(Math.max(...up) - Math.min(...up)).toBeCloseTo(160 + 120 * Math.tan((40 * Math.PI) / 180), 6);
    expect(
      [0, 2]
        .map((k) => size(walls, k))
        .sort((a, b) => a - b)
        .map((n) => n.toFixed(6)),
    ).toEqual(['240.000000', '300.000000']);
    const tops = standing.slice(4).map(({ inner }) => inner.slice(2).map((p) => p[1]));
    tops.flat().forEach((top) => expect(top).toBeCloseTo(160 + 120 * Math.tan((40 * Math.PI) / 180), 6));
    const [left, right] = standing.slice(4).map(({ inner }) => inner[2]!);
    expect([left![0]!, left![2]!].some((n, k) => Math.abs(n - [right![0]!, right![2]!][k]!) < 1e-6)).toBe(true);
  });

  it('refuses an overhang that meets a window, openings that meet, and one that leaves its wall', () => {
    expect(issuesOf({ ...house, overhang: 110 })).toEqual(['overhang patterns.overhangCovers']);
    const window = { wall: 'front', x: 120, y: 60, width: 40, height: 40 } as const;
    expect(issuesOf({ ...house, openings: [...house.openings, window] })).toEqual([
      'openings.2.x patterns.openingsMeet',
    ]);
    expect(issuesOf({ ...house, openings: [{ ...window, y: 260 }] })).toEqual(['openings.0.x patterns.openingLeaves']);
  });

  it('weighs its walls less their openings, and a planted roof with its soaked soil', () => {
    const walls =
      (2 * (240 * 160 + (240 * 120 * Math.tan((40 * Math.PI) / 180)) / 2) +
        2 * 276 * (160 + 12 * Math.tan((40 * Math.PI) / 180)) -
        6600 -
        2500) *
      12;
    expect(answer(work(house), 'assembledMass')).toBeCloseTo((walls * 2) / 1000, 6);
    expect(answer(work({ ...house, roof: 'planted', soil: 30 }), 'assembledMass')).toBeGreaterThan(
      (walls * 2) / 1000 + 4000,
    );
  });
});

describe('parts on a sheet', () => {
  const bounds = (points: readonly PlanPoint[]) =>
    [0, 1].map((k) => [Math.min(...points.map((p) => p[k]!)), Math.max(...points.map((p) => p[k]!))] as const);

  it('lie apart from each other', () => {
    const boxes = laidParts(work(house).parts).map(({ part, x, y }) =>
      bounds(part.outline.map(([px, py]) => [px + x, py + y] as const)),
    );
    const apart = (a: (typeof boxes)[number], b: (typeof boxes)[number]) =>
      [0, 1].some((k) => a[k]![1] + 9.999 < b[k]![0] || b[k]![1] + 9.999 < a[k]![0]);
    boxes.forEach((box, i) => boxes.slice(i + 1).forEach((other) => expect(apart(box, other)).toBe(true)));
  });

  it.each(['svg', 'dxf'] as const)('are read again out of %s by our own reader, as they were drawn', (kind) => {
    const drawing = partsDrawing(work(house).parts);
    const cut = drawing.layers.find(({ name }) => name === 'cut')!;
    const only = { layers: [cut] };
    const { outlines } = readDrawing(kind === 'svg' ? writeSvg(only) : writeDxf(only));
    const areas = (rings: readonly (readonly (readonly number[])[])[]) =>
      rings.map((ring) => Math.abs(outlineArea(ring as readonly PlanPoint[]))).sort((a, b) => a - b);
    const [read, drawn] = [areas(outlines), areas(cut.outlines)];
    expect(read).toHaveLength(drawn.length);
    read.forEach((area, i) => expect(Math.abs(area / drawn[i]! - 1)).toBeLessThan(1e-4));
    expect(writeDxf(drawing)).toContain('\nTEXT\n8\ntext\n');
  });
});
