import { english } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import { InputError } from '../../foundation/units/index.js';
import { cone, nested } from '../../testing/examples.js';
import { alone, box } from '../../testing/shapes.js';
import {
  bedSand,
  boxFootprint,
  checkGrain,
  findPairs,
  insideOf,
  levelError,
  meshForSlab,
  meshForWall,
  mouldMaterials,
  calculateMould,
  releases,
  releasesFor,
  waxFor,
  type MouldMaterial,
  type MouldShape,
  type PieceKind,
  type Tub,
} from './index.js';

const tub = (name: string, bottom: number, top: number, height: number, wall = 2): Tub => ({
  id: name,
  name,
  inside: cone(bottom, top, height),
  wall,
});

describe('small answers', () => {
  it('of the handbook’s figures', () => {
    expect(levelError(500, 1).value).toBeCloseTo(8.7, 1);
    expect(bedSand({ area: 90000, rise: 60 }).value).toBeCloseTo(2700, 9);
    expect(waxFor(300).value).toBeCloseTo(270, 9);
  });
  it('a box of panels is longer one way by twice its wall', () => {
    const { length, width, inside } = boxFootprint({ length: 400, width: 300, thickness: 25 });
    expect([length.value, width.value, inside]).toEqual([400, 350, { length: 350, width: 300 }]);
  });
  it('mesh is cut with its cover, and a slab too small for it is refused', () => {
    expect(meshForSlab(450, 300).length.value).toBe(426);
    expect(meshForSlab(450, 300).width.working.at(-1)!.value).toBe(276);
    expect(meshForWall(600, 180, 10)).toMatchObject({ length: { value: 650 }, width: { value: 160 } });
    expect(() => meshForSlab(20, 300)).toThrow(InputError);
  });
  it('a grain passes under a third of the gap and three quarters of the mesh', () => {
    expect(checkGrain(5.9, 18)).toMatchObject({ passes: true, largest: { value: 6 } });
    expect(english(checkGrain(6.1, 18).advice)).toContain('narrowest gap passes 6.0 mm');
    expect(english(checkGrain(5.9, 18, 6).advice)).toContain('the mesh passes 4.5 mm');
  });
});

describe('a mould’s own small answers', () => {
  const of = (shape: MouldShape, piece: PieceKind) => calculateMould(shape, { flexibility: 'rigid', piece });
  it('mesh lies flat in a slab, and is bent round in a wall that can cover it', () => {
    expect(of(alone(box(450, 300, 60)), 'slab').mesh!.length.value).toBe(426);
    expect(of(nested([200, 200, 180], [140, 140], 20), 'pot').mesh!.length.value).toBeCloseTo(Math.PI * 170 + 50, 6);
    expect(of(nested([200, 200, 180], [160, 160], 20), 'pot').mesh).toBeUndefined();
  });
  it('out of level, sand under a leaf, and the box that panels make', () => {
    expect(of(alone(box(500, 300, 60)), 'slab').outOfLevel.value).toBeCloseTo(8.7, 1);
    expect(of(alone({ kind: 'leaf', area: 90000, middle: 20, edge: 12, rise: 60 }), 'leaf').bedSand!.value).toBeCloseTo(
      2700,
      6,
    );
    expect(of(alone(box(400, 300, 25)), 'panel').box!.width.value).toBeCloseTo(450, 6);
  });
});

describe('a small question out of range is refused by field', () => {
  it.each<[string, () => unknown, string]>([
    ['a slope of a wall', () => levelError(500, 45), 'slope'],
    ['no length', () => levelError(0, 1), 'length'],
    ['a grain below nothing', () => checkGrain(-1, 18), 'grain'],
    ['no gap', () => checkGrain(4, 0), 'gap'],
    ['mesh of no opening', () => checkGrain(4, 18, 0), 'meshOpening'],
    ['panels of no thickness', () => boxFootprint({ length: 400, width: 300, thickness: 0 }), 'thickness'],
    ['a wall too low for its cover', () => meshForWall(600, 20), 'height'],
  ])('%s', (_, ask, field) => {
    expect(ask).toThrow(InputError);
    expect(ask).toThrow(new RegExp(`^${field}:`));
  });
});

describe('what lets a cast go', () => {
  it('has a usual choice for every material, and silicone wants none', () => {
    for (const material of Object.keys(mouldMaterials) as MouldMaterial[])
      expect(releases[releasesFor(material)[0]!].how.key.length).toBeGreaterThan(5);
    expect(releasesFor('silicone')).toEqual(['none']);
    expect(releasesFor('card')[0]).toBe('soap');
  });
});

describe('a vessel measured outside', () => {
  it('is its inside less the wall on every face but the open one', () => {
    expect(insideOf(cone(164, 204, 182), 2)).toMatchObject({ height: 180 });
    const straight = insideOf(cone(110, 110, 200), 4);
    expect(straight).toMatchObject({ bottomDiameter: 102, topDiameter: 102, height: 196 });
  });
});

describe('pairs', () => {
  const tubs = [
    tub('bulb tub', 160, 200, 180),
    tub('bean tub', 118, 152, 170),
    tub('yoghurt pail', 140, 184, 190),
    tub('jar', 60, 60, 120),
  ];
  it('best first, each core narrower than its mould and on the wanted base', () => {
    const pairs = findPairs(tubs, { wall: 20, base: 18 });
    expect([pairs[0]!.outer.name, pairs[0]!.core.name]).toEqual(['bulb tub', 'bean tub']);
    expect(pairs[0]!.wall).toBeGreaterThan(17);
    for (const [i, pair] of pairs.entries()) {
      expect(pair.off).toBeGreaterThanOrEqual(pairs[i - 1]?.off ?? 0);
      expect(pair.shape.cores[0]!.bottom).toBe(18);
      expect(pair.outer.id).not.toBe(pair.core.id);
    }
    expect(pairs.some(({ outer }) => outer.name === 'jar')).toBe(false);
  });
  it('the core’s own wall is counted', () => {
    const [thin] = findPairs([tub('a', 200, 200, 180, 2), tub('b', 156, 156, 180, 2)], { wall: 20, base: 20 });
    expect(thin!.wall).toBeCloseTo(20, 6);
    expect(() => findPairs(tubs, { wall: 0, base: 18 })).toThrow(InputError);
  });
});
