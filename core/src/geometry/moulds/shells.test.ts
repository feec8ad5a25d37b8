import { describe, expect, it } from 'vitest';
import { cone } from '../../testing/examples.js';
import { alone, box, fieldsOf, star } from '../../testing/shapes.js';
import type { Solid } from '../solids/index.js';
import { ballast, faces, fullVolume, calculateShells, thinnestWall, type MouldShape } from './index.js';

const pressed = (outer: Solid, side: 'over' | 'inside' | 'against', thickness: number): MouldShape => ({
  ...alone(outer),
  pressed: { side, thickness },
});

describe('pressed shells', () => {
  const form = box(350, 250, 200);
  it('over a box grow about a third from 35 to 45 mm, as the handbook has it', () => {
    const [thin, thick] = [35, 45].map((t) => fullVolume(pressed(form, 'over', t)));
    expect(thin!).toBeCloseTo((420 * 320 * 235) / 1000 - 17500, 6);
    expect(thick! / thin!).toBeCloseTo(1.36, 2);
  });
  it('inside and against take what the faces were moved by', () => {
    expect(fullVolume(pressed(form, 'inside', 30))).toBeCloseTo(17500 - (290 * 190 * 170) / 1000, 6);
    expect(fullVolume(pressed(form, 'against', 30))).toBeCloseTo(((410 * 310 - 350 * 250) * 200) / 1000, 6);
  });
  it.each<[string, Solid, number]>([
    ['a pail', cone(160, 200, 180), 25],
    ['a hexagon', { kind: 'polygon-frustum', sides: 6, bottomAcross: 180, topAcross: 210, height: 150 }, 20],
    ['a bowl', { kind: 'cap', rimDiameter: 330, depth: 90 }, 15],
    [
      'a turned profile',
      {
        kind: 'revolution',
        smooth: false,
        points: [
          { height: 0, radius: 60 },
          { height: 90, radius: 85 },
          { height: 140, radius: 95 },
        ],
      },
      12,
    ],
    ['a deep bowl', { kind: 'half-ellipsoid', rimDiameter: 240, depth: 150 }, 15],
    ['a star', { kind: 'prism', outline: star, depth: 60, draft: 8 }, 10],
    ['a ring', { kind: 'ring', innerDiameter: 260, width: 90, depth: 40 }, 15],
    ['an icosahedron', { kind: 'polyhedron', which: 'icosahedron', edge: 120, open: 'triangle' }, 15],
  ])('over %s are as thick as they were pressed, square to the face', (_, solid, thickness) => {
    const shape = pressed(solid, 'over', thickness);
    expect(thinnestWall(shape)!.thickness).toBeCloseTo(thickness, 2);
    const thin = fullVolume(pressed(solid, 'over', 0.1));
    const { outer, base } = faces(alone(solid));
    expect((thin * 1000) / 0.1 / (outer + base)).toBeCloseTo(1, 2);
  });
  it('are refused where nothing is left inside, and over a leaf', () => {
    expect(fieldsOf(pressed(form, 'inside', 130))).toEqual(['pressed.thickness']);
    expect(fieldsOf(pressed({ kind: 'leaf', area: 90000, middle: 20, edge: 12 }, 'over', 10))).toEqual([
      'pressed.thickness',
    ]);
  });
  it('float nothing: no ballast', () => {
    expect(ballast(pressed(form, 'over', 35), 2.1)).toBeUndefined();
  });
});

describe('a shell at several thicknesses', () => {
  it('tells what each 5 mm costs, as far as there is room', () => {
    const [thin, thick] = calculateShells(box(350, 250, 200), 'over', [35, 40], 1.4);
    expect(thin!.fiveMore! / 1.4 + thin!.volume.value).toBeCloseTo(thick!.volume.value, 6);
    expect(thin!.mass.value).toBeCloseTo(thin!.volume.value * 1.4, 6);
    expect(calculateShells(box(100, 100, 60), 'inside', [48])[0]!.fiveMore).toBeUndefined();
  });
});
