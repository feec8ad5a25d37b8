import fc from 'fast-check';
import { english } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import { cone, nested, nestedPot } from '../../testing/examples.js';
import { alone } from '../../testing/shapes.js';
import type { MouldShape } from './mould.js';
import { jammingTubes, lockedBlanks, undercut } from './undercut.js';
import { baseThickness, hasBase, narrowestGap, thinnestWall } from './walls.js';

describe('the thinnest wall', () => {
  it('between two cylinders is half the difference of their diameters, at any height', () => {
    const wall = thinnestWall(nested([200, 200, 150], [160, 160], 20))!;
    expect(wall.thickness).toBeCloseTo(20, 9);
    expect(wall.height).toBeGreaterThanOrEqual(20);
  });

  it('is never more than the level gap anywhere, and is a line between the two surfaces', () => {
    const size = fc.integer({ min: 0, max: 60 });
    fc.assert(
      fc.property(size, size, fc.integer({ min: 5, max: 40 }), (spreadOuter, spreadCore, base) => {
        const shape = nested([160, 160 + spreadOuter, 180], [90, 90 + Math.min(spreadCore, spreadOuter + 40)], base);
        const { thickness, from, to } = thinnestWall(shape)!;
        const coreTop = 90 + Math.min(spreadCore, spreadOuter + 40);
        for (let z = base; z <= 180; z += 10) {
          const outer = (160 + (spreadOuter * z) / 180) / 2;
          const inner = (90 + ((coreTop - 90) * (z - base)) / (180 - base)) / 2;
          expect(thickness).toBeLessThanOrEqual(outer - inner + 1e-9);
        }
        expect(Math.hypot(from.x - to.x, from.y - to.y, from.z - to.z)).toBeCloseTo(thickness, 9);
      }),
    );
  });

  it('is none where there is no core, and the gap is then the piece itself', () => {
    const slab: MouldShape = { outer: cone(292, 300, 45), cores: [], inserts: [] };
    expect(thinnestWall(slab)).toBeUndefined();
    expect(narrowestGap(slab)).toBe(45);
    expect(baseThickness(slab)).toBe(45);
  });

  it('or the base, whichever is thinner, is what a grain must pass', () => {
    expect(narrowestGap(nestedPot)).toBeCloseTo(18, 9);
    expect(narrowestGap(nested([160, 200, 180], [140, 178], 30))).toBeCloseTo(
      thinnestWall(nested([160, 200, 180], [140, 178], 30))!.thickness,
      9,
    );
  });
});

describe('undercut', () => {
  it('is an outer that narrows upwards, or a core that widens downwards', () => {
    expect(undercut(nested([200, 160, 180], [100, 120], 20))!.overhang).toBeCloseTo(20, 6);
    expect(undercut(nestedPot)).toBeUndefined();
    expect(english(jammingTubes(nested([160, 160, 200], [100, 100], 20)))).toEqual(['The outer mould', 'The core']);
    expect(jammingTubes(nestedPot)).toEqual([]);
    const pipe = nested([160, 160, 200], [100, 100], 20);
    const form = { ...alone(pipe.outer), pressed: { side: 'over' as const, thickness: 30 } };
    expect(english(jammingTubes(form))).not.toContain('The outer mould');
    expect(english(lockedBlanks(nested([200, 200, 180], [140, 120], 20)))).toEqual(['The core']);
    expect(lockedBlanks(nestedPot)).toEqual([]);
  });
});

it('a base is under a core that stands above the bottom; a pipe on the board leaves none', () => {
  expect(hasBase(nestedPot)).toBe(true);
  expect(hasBase(nested([160, 160, 200], [100, 100], 0))).toBe(false);
  expect(hasBase(alone(nestedPot.outer))).toBe(true);
});
