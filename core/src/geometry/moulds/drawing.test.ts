import { describe, expect, it } from 'vitest';
import { cone, nested, nestedPot } from '../../testing/examples.js';
import { alone, box, star } from '../../testing/shapes.js';
import { outlineArea, type PlanPoint, type Solid } from '../solids/index.js';
import { closedSurfaceOf, pieceView, sectionCut, surfaceOf, type MouldShape } from './index.js';

const areaOf = (outline: readonly (readonly [number, number])[]) => Math.abs(outlineArea(outline as PlanPoint[]));

describe('a section', () => {
  it('of a pot is its outer, its core and its plug, each as large as it is', () => {
    const [outer, core, plug] = sectionCut(nestedPot);
    expect([outer!.role, core!.role, plug!.role]).toEqual(['outer', 'core', 'insert']);
    expect(areaOf(outer!.outlines[0]!)).toBeCloseTo(180 * 180, 2);
    expect(areaOf(core!.outlines[0]!)).toBeCloseTo(142 * 162, 2);
    expect(areaOf(plug!.outlines[0]!)).toBeCloseTo(19 * 18, 3);
  });
  it('of a bowl bends, and comes to its lowest point', () => {
    const [bowl] = sectionCut(alone({ kind: 'cap', rimDiameter: 200, depth: 100 }));
    expect(areaOf(bowl!.outlines[0]!)).toBeCloseTo((Math.PI * 100 ** 2) / 2, -2);
    expect(Math.min(...bowl!.outlines[0]!.map(([, z]) => z))).toBeCloseTo(0, 3);
  });
  it('of a ring is cut twice, of a spiral once a turn on each side', () => {
    expect(sectionCut(alone({ kind: 'ring', innerDiameter: 260, width: 45, depth: 40 }))[0]!.outlines).toHaveLength(2);
    const spiral: Solid = { kind: 'spiral', startRadius: 30, pitch: 60, turns: 3, width: 35, depth: 25 };
    expect(sectionCut(alone(spiral))[0]!.outlines.length).toBeGreaterThanOrEqual(6);
  });
  it('shows what stands behind the plane by what is seen of it', () => {
    const behind: MouldShape = {
      ...alone(box(300, 200, 60)),
      inserts: [{ name: 'A dowel', bottom: 0, y: 60, solid: cone(10, 10, 60) }],
    };
    const [outer, dowel] = sectionCut(behind);
    expect([outer!.beyond, dowel!.beyond]).toEqual([false, true]);
    expect(areaOf(dowel!.outlines[0]!)).toBeCloseTo(600, 3);
    expect(sectionCut(behind, 60)[1]!.beyond).toBe(false);
  });
  it('stops at the rim, however tall a core is', () => {
    const tall = { ...nestedPot, cores: [{ ...nestedPot.cores[0]!, solid: cone(100, 140, 400) }] };
    const heights = sectionCut(tall)[1]!
      .outlines.flat()
      .map(([, z]) => z);
    expect(Math.max(...heights)).toBeLessThanOrEqual(180);
  });
  it('steps where the profile steps', () => {
    const stepped: Solid = {
      kind: 'revolution',
      smooth: false,
      points: [
        { height: 0, radius: 50 },
        { height: 40, radius: 50 },
        { height: 40, radius: 80 },
        { height: 100, radius: 80 },
      ],
    };
    expect(areaOf(sectionCut(alone(stepped))[0]!.outlines[0]!)).toBeCloseTo(100 * 40 + 160 * 60, 2);
  });
});

describe('a piece as it stands', () => {
  it('is as wide, as deep and as high as its mould', () => {
    expect(pieceView(nestedPot)).toMatchObject({ width: expect.closeTo(200, 3), height: 180, round: true });
    expect(pieceView(alone(box(300, 200, 60)))).toMatchObject({ width: 300, depth: 200, height: 60, round: false });
  });
  it('stands with its middle over its foot, wherever its outline was drawn', () => {
    const far = star.map(([x, y]): PlanPoint => [x + 400, y - 250]);
    const { sides, foot } = pieceView(alone({ kind: 'prism', outline: far, depth: 50, draft: 0 }));
    for (const { left, right } of sides) expect(left + right).toBeCloseTo(0, 6);
    expect(foot.reduce((sum, [x]) => sum + x, 0) / foot.length).toBeCloseTo(0, 6);
  });
  it('opens where a core comes up to the rim, and not where one ends below', () => {
    expect(pieceView(nestedPot).openings).toHaveLength(1);
    const buried = { ...nestedPot, cores: [{ ...nestedPot.cores[0]!, solid: cone(100, 100, 60) }], inserts: [] };
    expect(pieceView(buried).openings).toHaveLength(0);
    const stud = { name: 'A stud', bottom: 20, stays: true, solid: cone(8, 8, 160) };
    expect(pieceView({ ...alone(cone(160, 200, 180)), inserts: [stud] }).openings).toHaveLength(0);
  });
  it('has flat faces that look outwards, as many as it has sides', () => {
    const hexagon: Solid = { kind: 'polygon-frustum', sides: 6, bottomAcross: 180, topAcross: 210, height: 150 };
    const { facets } = pieceView(alone(hexagon));
    expect(facets).toHaveLength(6);
    for (const [a, b, c] of facets) {
      const [u, v] = [
        [b![0] - a![0], b![1] - a![1], b![2] - a![2]],
        [c![0] - a![0], c![1] - a![1], c![2] - a![2]],
      ];
      const normal = [u[1]! * v[2]! - u[2]! * v[1]!, u[2]! * v[0]! - u[0]! * v[2]!];
      expect(normal[0]! * (a![0] + b![0]) + normal[1]! * (a![1] + b![1])).toBeGreaterThan(0);
    }
    expect(pieceView(nestedPot).facets).toHaveLength(0);
    const ball = pieceView(alone({ kind: 'polyhedron', which: 'dodecahedron', edge: 60, open: 'pentagon' }));
    expect(ball.facets).toHaveLength(11);
  });
});

describe('the surface', () => {
  const above = (triangles: Float32Array, z: number) => {
    let count = 0;
    for (let t = 0; t < triangles.length; t += 9)
      if ([2, 5, 8].every((k) => Math.abs(triangles[t + k]! - z) < 1e-3)) count++;
    return count;
  };
  it('is open on top to look into, and shut to print', () => {
    expect(above(surfaceOf(nestedPot), 180)).toBe(0);
    expect(above(closedSurfaceOf(nestedPot), 180)).toBeGreaterThan(0);
  });
  it('keeps the corners of straight sides: a box is twelve triangles', () => {
    expect(closedSurfaceOf(alone(box(200, 120, 60))).length / 9).toBe(12);
  });
  it('of a core that reaches the bottom has a hole there', () => {
    const tube = nested([152, 152, 200], [110, 110], 0);
    const withFloor = above(closedSurfaceOf(alone(cone(152, 152, 200))), 0);
    expect(above(closedSurfaceOf(tube), 0)).toBeGreaterThan(withFloor);
  });
  it('stands between the heights of its mould', () => {
    const triangles = surfaceOf({ ...alone(box(300, 200, 150)), pressed: { side: 'over', thickness: 30 } });
    const heights = Array.from(triangles).filter((_, i) => i % 3 === 2);
    expect([Math.min(...heights), Math.max(...heights)]).toEqual([0, 180]);
  });
});
