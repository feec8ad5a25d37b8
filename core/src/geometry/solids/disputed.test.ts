import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { InputError } from '../../foundation/units/index.js';
import { cone } from '../../testing/examples.js';
import { alone } from '../../testing/shapes.js';
import { faces, calculateMould, thinnestWall, type MouldShape } from '../moulds/index.js';
import { checkSolid, solidVolume, type PlanPoint, type RectFrustum, type Solid } from './index.js';

const box = (bottom: number, top: number, height: number, cornerRadius: number): RectFrustum => ({
  kind: 'rect-frustum',
  bottomLength: bottom,
  bottomWidth: bottom,
  topLength: top,
  topWidth: top,
  height,
  cornerRadius,
});
const cored = (outer: RectFrustum, core: RectFrustum, base: number): MouldShape => ({
  outer,
  cores: [{ name: 'The core', solid: core, bottom: base }],
  inserts: [],
});

/** Places all over the sides of a box with rounded corners, as its sizes say it: its own way, by many points. */
function sidesOf(
  { bottomLength, topLength, bottomWidth, topWidth, height, cornerRadius: r }: RectFrustum,
  above: number,
) {
  const places: [number, number, number][] = [];
  for (let i = 0; i <= 80; i++) {
    const t = i / 80;
    const [l, w] = [bottomLength + (topLength - bottomLength) * t, bottomWidth + (topWidth - bottomWidth) * t];
    const [cx, cy] = [l / 2 - r, w / 2 - r];
    for (let k = 0; k <= 90; k++) {
      const phi = (k / 90) * (Math.PI / 2);
      places.push([cx + r * Math.cos(phi), cy + r * Math.sin(phi), above + t * height]);
      places.push([l / 2, (cy * k) / 90, above + t * height], [(cx * k) / 90, w / 2, above + t * height]);
    }
  }
  return places;
}

describe('rounded corners of a box run as their two sides together', () => {
  it('the wall at a corner is as thin as points all over both surfaces find it', () => {
    const shape = cored(box(200, 260, 80, 60), box(140, 200, 60, 2), 20);
    const told = thinnestWall(shape)!.thickness;
    expect(told).toBeCloseTo(16.26, 1);
    const inner = sidesOf(box(140, 200, 60, 2), 20).filter(([x, y]) => x > 60 && y > 60);
    const outer = sidesOf(box(200, 260, 80, 60), 0).filter(([x, y]) => x > 60 && y > 60);
    const found = Math.min(
      ...inner.map(([x, y, z]) => Math.min(...outer.map(([u, v, w]) => Math.hypot(u - x, v - y, w - z)))),
    );
    expect(told).toBeLessThanOrEqual(found + 1e-6);
    expect(told).toBeGreaterThan(found - 0.15);
  });

  it('their face is the sum of its strips, and tends to the sharp box’s as the radius goes to 0', () => {
    expect(faces(alone(box(220, 200, 45, 12))).outer).toBeCloseTo(37_824, 0);
    const sharp = faces(alone(box(220, 200, 45, 0))).outer;
    const off = [8, 2, 0.5].map((radius) => Math.abs(faces(alone(box(220, 200, 45, radius))).outer - sharp));
    expect(off[0]! > off[1]! && off[1]! > off[2]!).toBe(true);
    expect(off[2]! / sharp).toBeLessThan(0.002);
  });
});

describe('a frustum that comes to a point', () => {
  it('holds a third of the cylinder or the box about it, at either end', () => {
    expect(solidVolume(cone(0, 180, 210))).toBeCloseTo(1781.28, 2);
    expect(solidVolume(cone(180, 0, 210))).toBeCloseTo(1781.28, 2);
    expect(solidVolume(box(0, 120, 90, 0))).toBeCloseTo((120 * 120 * 90) / 3000, 6);
    const hexagon: Solid = { kind: 'polygon-frustum', sides: 6, bottomAcross: 0, topAcross: 100, height: 90 };
    expect(solidVolume(hexagon)).toBeCloseTo(((Math.sqrt(3) / 2) * 100 * 100 * 30) / 1000, 6);
  });

  it.each<[string, Solid]>([
    ['a cone on its point', cone(0, 180, 210)],
    ['a cone', cone(180, 0, 210)],
    ['a pyramid on its point', box(0, 120, 90, 0)],
    ['a roof on its ridge', { ...box(120, 120, 90, 0), bottomWidth: 0 }],
    ['a hexagon on its point', { kind: 'polygon-frustum', sides: 6, bottomAcross: 0, topAcross: 100, height: 90 }],
  ])('%s is cast like any other', (_, outer) => {
    const figures = calculateMould(alone(outer), { flexibility: 'apart', piece: 'ornament' });
    expect(figures.volume.value).toBeGreaterThan(0);
    expect(Object.values(figures.faces).every((area) => Number.isFinite(area) && area >= 0)).toBe(true);
    expect(figures.faces.outer).toBeGreaterThan(0);
  });

  it('is refused where both ends do', () => {
    for (const nothing of [cone(0, 0, 90), box(0, 0, 90, 0)]) expect(() => checkSolid(nothing)).toThrow(InputError);
  });
});

it('an outline that goes back to its first point is the same outline', () => {
  const outline: PlanPoint[] = [[0, 0], [90, 0], [60, 70], [10, 60]]; // prettier-ignore
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 3 }), fc.constantFrom(0, 5), (turn, draft) => {
      const turned = [...outline.slice(turn), ...outline.slice(0, turn)];
      const prism = { kind: 'prism', outline: turned, depth: 20, draft } as const;
      const repeated = { ...prism, outline: [...turned, turned[0]!] };
      checkSolid(repeated);
      expect(solidVolume(repeated)).toBeCloseTo(solidVolume(prism), 9);
    }),
  );
});
