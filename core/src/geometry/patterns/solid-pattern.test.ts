import { describe, expect, it } from 'vitest';
import { mouldVolume, work, answer, issuesOf, sides, common } from '../../testing/worked-patterns.js';
import { facesOf, openingsOf, polyhedronNames, skeletonOf, type PlanPoint } from '../solids/index.js';
import { netOfSolid } from './faced-solid.js';
import { folded, type SolidPattern } from './index.js';

describe('a solid of equal faces', () => {
  const lamp: SolidPattern = {
    kind: 'solid',
    which: 'cuboctahedron',
    edge: 70,
    open: 'square',
    board: 3,
    joint: 'mitred',
  };

  it('has the mitre, the outer sizes and the cavity of the worked example', () => {
    const done = work(lamp);
    expect(answer(done, 'mitre')).toBeCloseTo(27.368, 3);
    expect(answer(done, 'cavity')).toBeCloseTo(808.5, 1);
    expect(70 + 2 * answer(done, 'edgeGrows')).toBeCloseTo(73.106, 3);
    const [square, triangle] = [4, 6].map((corners) => done.parts.find(({ outline }) => outline.length === corners)!);
    expect([square!.count, triangle!.count]).toEqual([5, 8]);
    sides(square!.outline).forEach((side) => expect(side).toBeCloseTo(73.106, 3));
    // The triangle would be 75.379 long; each tip loses 0.328 of the board.
    const [long, nipped] = [Math.max(...sides(triangle!.outline)), Math.min(...sides(triangle!.outline))];
    expect(long + 2 * nipped).toBeCloseTo(75.379, 3);
    expect((nipped * Math.sqrt(3)) / 2).toBeCloseTo(0.328 * 3, 2);
    expect(new Set(triangle!.mitres.map((mitre) => mitre.toFixed(2)))).toEqual(new Set(['27.37', '0.00']));
    expect(mouldVolume(done.moulds[0]!.shape)).toBeCloseTo(808.5, 1);
  });

  it('has 12 joints inside its net and 8 pairs to match by number', () => {
    const { pieces, joints } = work(lamp);
    expect(pieces.filter(({ hinge }) => hinge)).toHaveLength(12);
    expect(joints.map(({ number }) => number)).toEqual([1, 2, 3, 4, 5, 6, 7, 8]);
  });

  const all = polyhedronNames.flatMap((which) => openingsOf(which).map((open) => [which, open] as const));

  it.each(all)('%s, open at a %s: folded by its angles its faces close, and its numbered sides meet', (which, open) => {
    const { pieces, joints } = work({ ...lamp, which, open });
    const standing = folded(pieces, 1);
    const corners: (readonly number[])[] = [];
    for (const point of standing.flatMap(({ inner }) => inner))
      if (!corners.some((one) => Math.hypot(...one.map((n, k) => n - point[k]!)) < 0.01)) corners.push(point);
    expect(corners).toHaveLength(skeletonOf(which).vertices.length);
    const { edges } = skeletonOf(which);
    const rim = openingsOf(which).length && { triangle: 3, square: 4, pentagon: 5 }[open];
    expect(joints).toHaveLength(edges.length - rim - (facesOf(which).length - 2));
    const at = (piece: number, point: PlanPoint) =>
      standing[piece]!.inner[
        pieces[piece]!.inner.findIndex((p) => Math.hypot(p[0] - point[0], p[1] - point[1]) < 1e-6)
      ]!;
    for (const {
      sides: [a, b],
    } of joints) {
      const gap = [
        at(a!.piece, a!.from).map((n, k) => n - at(b!.piece, b!.to)[k]!),
        at(a!.piece, a!.to).map((n, k) => n - at(b!.piece, b!.from)[k]!),
      ];
      gap.forEach((off) => expect(Math.hypot(...off)).toBeLessThan(0.01));
    }
  });

  it.each(all)('%s, open at a %s: no two faces of its net overlap', (which, open) => {
    const net = netOfSolid(which, open, 70, 3);
    net.forEach(({ inner }, i) =>
      net.slice(i + 1).forEach((other) => expect(common(inner, other.inner)).toBeLessThan(1e-6)),
    );
  });

  it('grows a cube by the board on every side, and nips the squares among squares of a rhombicuboctahedron', () => {
    expect(sides(work({ ...lamp, which: 'cube' }).parts[0]!.outline)[0]).toBeCloseTo(76, 9);
    const nipped = netOfSolid('rhombicuboctahedron', 'square', 70, 3).filter(({ outer }) => outer.length === 8);
    expect(nipped).toHaveLength(5);
    expect(Math.min(...sides(nipped[0]!.outer)) / 2).toBeCloseTo(0.068 * 3, 2);
  });

  it('is cut to its inner faces where it is taped, and tells of a mitre that no saw tilts to', () => {
    const taped = work({ ...lamp, joint: 'taped' });
    expect(sides(taped.parts[0]!.outline)[0]).toBeCloseTo(70, 9);
    const steep = work({ ...lamp, which: 'tetrahedron', open: 'triangle' });
    expect(answer(steep, 'mitre')).toBeCloseTo(54.736, 3);
    expect(steep.warnings.map(({ key }) => key)).toEqual(['patterns.beyondSaw']);
    expect(taped.warnings).toEqual([]);
  });

  it('keeps room for a holder, marks it on the face opposite the open one, and refuses what does not go in', () => {
    const held = work({ ...lamp, holder: { diameter: 40, depth: 50 } });
    expect(mouldVolume(held.moulds[0]!.shape)).toBeCloseTo(808.5 - (Math.PI * 400 * 50) / 1000, 1);
    expect(held.parts.filter(({ count, marks }) => count === 1 && marks.length === 2)).toHaveLength(1);
    expect(issuesOf({ ...lamp, holder: { diameter: 40, depth: 100 } })).toEqual(['holder.depth units.outOfRange']);
    expect(issuesOf({ ...lamp, board: 40 })).toEqual(['board patterns.boardTooThick']);
    expect(issuesOf({ ...lamp, open: 'pentagon' })).toEqual(['open patterns.noSuchFace']);
  });
});
