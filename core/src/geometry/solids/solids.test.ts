import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { InputError } from '../../foundation/units/index.js';
import {
  bodyOf,
  checkSolid,
  profileRadius,
  sectionAt,
  skeletonOf,
  solidKinds,
  spiralLength,
  volumeFigure,
  type Revolution,
  type Solid,
} from './index.js';
import { integrate } from './quadrature.js';

const volume = (solid: Solid) => volumeFigure(solid).value;
const box = (
  bottomLength: number,
  bottomWidth: number,
  topLength: number,
  topWidth: number,
  height: number,
  cornerRadius = 0,
) => ({ kind: 'rect-frustum', bottomLength, bottomWidth, topLength, topWidth, height, cornerRadius }) as const;
const length = fc.integer({ min: 20, max: 900 });

describe('the worked figures', () => {
  it('of the trough, the hexagon, the cap and the spiral', () => {
    expect(volume(box(400, 200, 420, 220, 180)) - volume(box(330, 130, 345, 145, 145))).toBeCloseTo(8772.4, 1);
    expect(volume({ kind: 'polygon-frustum', sides: 6, bottomAcross: 180, topAcross: 210, height: 150 })).toBeCloseTo(
      4949.3,
      1,
    );
    const rim = 2 * Math.sqrt(90 * (2 * 200 - 90));
    expect(volume({ kind: 'cap', rimDiameter: rim, depth: 90 })).toBeCloseTo(4326.0, 1);
    expect(spiralLength({ kind: 'spiral', startRadius: 30, pitch: 60, turns: 3, width: 20, depth: 10 })).toBeCloseTo(
      2271.2,
      1,
    );
  });
});

describe('every solid agrees with another way to it', () => {
  const upright: fc.Arbitrary<Solid> = fc.oneof(
    fc.record({
      kind: fc.constant('round-frustum' as const),
      bottomDiameter: length,
      topDiameter: length,
      height: length,
    }),
    fc
      .tuple(length, length, length, length, length)
      .map(([a, b, c, d, h]) => box(a, b, c, d, h, Math.min(a, b, c, d) / 4)),
    fc.record({
      kind: fc.constant('polygon-frustum' as const),
      sides: fc.integer({ min: 3, max: 12 }),
      bottomAcross: length,
      topAcross: length,
      height: length,
    }),
    fc.record({ kind: fc.constant('cap' as const), rimDiameter: length, depth: length }),
    fc.record({ kind: fc.constant('half-ellipsoid' as const), rimDiameter: length, depth: length }),
  );
  it('its closed form with its sections summed', () => {
    fc.assert(
      fc.property(upright, (solid) => {
        const summed = integrate((z) => sectionAt(solid, z).area, 0, bodyOf(solid).height) * 1e-3;
        expect(Math.abs(volume(solid) / summed - 1)).toBeLessThan(1e-6);
      }),
    );
  });
  it('grows with the cube of its size', () => {
    fc.assert(
      fc.property(upright, (solid) => {
        const larger = Object.fromEntries(
          Object.entries(solid).map(([key, value]) => [
            key,
            key === 'sides' || typeof value !== 'number' ? value : value * 2,
          ]),
        );
        expect(volume(larger as unknown as Solid) / volume(solid)).toBeCloseTo(8, 6);
      }),
    );
  });
  it('a polygon of many sides with the circle, a square with the box, equal-faced cubes with both', () => {
    const many = volume({ kind: 'polygon-frustum', sides: 60, bottomAcross: 100, topAcross: 100, height: 100 });
    expect(many / volume({ kind: 'round-frustum', bottomDiameter: 100, topDiameter: 100, height: 100 })).toBeCloseTo(
      1,
      2,
    );
    const square = volume({ kind: 'polygon-frustum', sides: 4, bottomAcross: 100, topAcross: 100, height: 100 });
    expect(square).toBeCloseTo(volume(box(100, 100, 100, 100, 100)), 9);
    expect(square).toBeCloseTo(volume({ kind: 'polyhedron', which: 'cube', edge: 100, open: 'square' }), 9);
    expect(volume(box(100, 100, 100, 100, 100, 50))).toBeCloseTo(Math.PI * 250, 6);
  });
  it('a half circle of a ring with half the ring', () => {
    const ring = volume({ kind: 'ring', innerDiameter: 160, width: 40, depth: 25 });
    expect(ring).toBeCloseTo((Math.PI * (120 ** 2 - 80 ** 2) * 25) / 1000, 9);
    expect(volume({ kind: 'arc', radius: 100, angle: 180, width: 40, depth: 25 })).toBeCloseTo(ring / 2, 9);
  });
  it('the octahedron with its two pyramids, the leaf with its mean thickness', () => {
    expect(volume({ kind: 'polyhedron', which: 'octahedron', edge: 60, open: 'triangle' })).toBeCloseTo(
      (2 * (60 * 60 * (60 / Math.SQRT2))) / 3 / 1000,
      9,
    );
    expect(volume({ kind: 'leaf', area: 90000, middle: 20, edge: 12 })).toBeCloseTo(1440, 9);
  });
});

describe('a solid of equal edges', () => {
  it.each([
    ['tetrahedron', 4, 6],
    ['cube', 8, 12],
    ['octahedron', 6, 12],
    ['cuboctahedron', 12, 24],
    ['rhombicuboctahedron', 24, 48],
    ['icosahedron', 12, 30],
    ['dodecahedron', 20, 30],
  ] as const)('%s has %d corners and %d edges of length 1', (which, corners, edges) => {
    const skeleton = skeletonOf(which);
    expect(skeleton.vertices).toHaveLength(corners);
    expect(skeleton.edges).toHaveLength(edges);
    for (const [i, j] of skeleton.edges) {
      const [a, b] = [skeleton.vertices[i]!, skeleton.vertices[j]!];
      expect(Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2])).toBeCloseTo(1, 9);
    }
  });
});

describe('a turned profile', () => {
  const turned = (points: [number, number][], smooth = false): Revolution => ({
    kind: 'revolution',
    smooth,
    points: points.map(([height, radius]) => ({ height, radius })),
  });
  it('of straight runs is the frustums it is made of, steps and all', () => {
    const stepped = turned([
      [0, 50],
      [40, 60],
      [40, 80],
      [100, 80],
    ]);
    const parts =
      volume({ kind: 'round-frustum', bottomDiameter: 100, topDiameter: 120, height: 40 }) +
      volume({ kind: 'round-frustum', bottomDiameter: 160, topDiameter: 160, height: 60 });
    expect(volume(stepped)).toBeCloseTo(parts, 5);
    expect([profileRadius(stepped, 39.99), profileRadius(stepped, 40), profileRadius(stepped, 101)]).toEqual([
      expect.closeTo(59.9975, 4),
      80,
      0,
    ]);
  });
  it('smooth goes through its points and never beyond its neighbours', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 5, max: 200 }), { minLength: 2, maxLength: 7 }), (radii) => {
        const solid = turned(
          radii.map((radius, i) => [i * 30, radius]),
          true,
        );
        radii.forEach((radius, i) => expect(profileRadius(solid, i * 30)).toBeCloseTo(radius, 6));
        for (let z = 0; z <= 30 * (radii.length - 1); z += 3) {
          const at = Math.min(radii.length - 2, Math.floor(z / 30));
          const [low, high] = [Math.min(radii[at]!, radii[at + 1]!), Math.max(radii[at]!, radii[at + 1]!)];
          expect(profileRadius(solid, z)).toBeGreaterThanOrEqual(low - 1e-9);
          expect(profileRadius(solid, z)).toBeLessThanOrEqual(high + 1e-9);
        }
      }),
    );
  });
});

describe('a solid that cannot be is refused by field', () => {
  it.each<[string, Solid, string]>([
    ['a box whose corners are rounder than it is wide', box(100, 60, 100, 60, 50, 40), 'cornerRadius'],
    [
      'two and a half sides',
      { kind: 'polygon-frustum', sides: 2.5, bottomAcross: 9, topAcross: 9, height: 9 },
      'sides',
    ],
    ['a bowl with no depth', { kind: 'cap', rimDiameter: 100, depth: 0 }, 'depth'],
    ['a size that was left out', { kind: 'cap', rimDiameter: 100 } as Solid, 'depth'],
    [
      'a profile that goes down',
      {
        kind: 'revolution',
        smooth: false,
        points: [
          { height: 0, radius: 1 },
          { height: 9, radius: 1 },
          { height: 5, radius: 1 },
        ],
      },
      'points.2.height',
    ],
    ['a profile of one point', { kind: 'revolution', smooth: false, points: [{ height: 0, radius: 1 }] }, 'points'],
    [
      'a spiral whose turns touch',
      { kind: 'spiral', startRadius: 30, pitch: 20, turns: 3, width: 25, depth: 10 },
      'width',
    ],
    ['an arc of more than a turn', { kind: 'arc', radius: 90, angle: 400, width: 20, depth: 20 }, 'angle'],
    ['a leaf of no area', { kind: 'leaf', area: 0, middle: 20, edge: 12 }, 'area'],
  ])('%s', (_, solid, field) => {
    const refused = () => volumeFigure(solid);
    expect(refused).toThrow(InputError);
    try {
      refused();
    } catch (error) {
      expect((error as InputError).issues.map((issue) => issue.field)).toContain(field);
    }
  });

  // Lists of points and faces are looked at where they come in.
  const ofSizes = solidKinds.filter((kind) => !['revolution', 'prism', 'mesh'].includes(kind));
  it.each(ofSizes)('a %s of which nothing is told, or one size', (kind) => {
    expect(() => checkSolid({ kind } as unknown as Solid)).toThrow(InputError);
    expect(() => checkSolid({ kind, width: 0.1 } as unknown as Solid)).toThrow(InputError);
  });
});
