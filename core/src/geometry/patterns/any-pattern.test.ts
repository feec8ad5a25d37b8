import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { common, issuesOf, mouldVolume, size, work } from '../../testing/worked-patterns.js';
import { outlineArea, selfCrossing, type PlanPoint } from '../solids/index.js';
import { closingErrors, dividing, suspectsOf, tapedOf } from './gap-measures.js';
import { gapCorners, slabOutline } from './gap-pattern.js';
import { netOfSolid } from './faced-solid.js';
import {
  boxBottoms,
  boxCorners,
  folded,
  type BoxPattern,
  type CutPattern,
  type GapPattern,
  type HousePattern,
  type PanelBoxPattern,
} from './index.js';

const mm = (min: number, max: number) => fc.integer({ min: min * 10, max: max * 10 }).map((n) => n / 10);
const reach = (pattern: CutPattern, pieces = work(pattern).pieces) => {
  const all = folded(pieces, 1).flatMap(({ inner, outer }) => [...inner, ...outer]);
  return [0, 1, 2].map((k) => size(all, k)).sort((a, b) => a - b);
};
const close = (found: readonly number[], wanted: readonly number[]) =>
  [...wanted].sort((a, b) => a - b).forEach((one, i) => expect(found[i]).toBeCloseTo(one, 6));

describe('whatever its sizes', () => {
  const box: fc.Arbitrary<BoxPattern> = fc.record({
    kind: fc.constant('box' as const),
    length: mm(40, 900),
    width: mm(40, 600),
    height: mm(10, 400),
    board: mm(3, 25),
    corner: fc.constantFrom(...boxCorners),
    bottom: fc.constantFrom(...boxBottoms),
  });

  it('a box of boards is as large outside as its inside and two boards, and holds its inside', () => {
    fc.assert(
      fc.property(box, (pattern) => {
        const { length, width, height, board } = pattern;
        close(reach(pattern), [length + 2 * board, width + 2 * board, height + board]);
        expect(mouldVolume(work(pattern).moulds[0]!.shape)).toBeCloseTo((length * width * height) / 1000, 3);
      }),
      { numRuns: 60, seed: 3 },
    );
  });

  it('the boards of a box leave no gap and share no room: their volume is that of the outside less the inside', () => {
    fc.assert(
      fc.property(box, (pattern) => {
        const { length, width, height, board, corner } = pattern;
        const outside = (length + 2 * board) * (width + 2 * board) * (height + board);
        const mitred = corner === 'mitred' ? 4 * board * board : 0;
        const tall = pattern.bottom === 'between' ? height + board : height;
        const boards = work(pattern).parts.reduce(
          (sum, { outline, count }) => sum + Math.abs(outlineArea(outline)) * count * board,
          0,
        );
        // A mitred board is cut from its outside: a wedge of each corner falls away twice.
        expect(boards - mitred * tall).toBeCloseTo(outside - length * width * height, 3);
      }),
      { numRuns: 60, seed: 4 },
    );
  });

  const panels: fc.Arbitrary<PanelBoxPattern> = fc.record({
    kind: fc.constant('panel-box' as const),
    length: mm(120, 1200),
    width: mm(120, 900),
    height: mm(50, 600),
    panel: mm(8, 50),
    corner: fc.constantFrom('covered' as const, 'mitred' as const),
  });

  it('a box of panels has the outside that was wanted, with no warning; by as much as a side is longer, it is too', () => {
    fc.assert(
      fc.property(panels, mm(1, 60), (pattern, more) => {
        close(reach(pattern), [pattern.length, pattern.width, pattern.height]);
        expect(work(pattern).warnings).toEqual([]);
        const { answers } = work(pattern);
        const fitting = answers.find(({ name }) => name.key === 'patterns.fittingSide')!.figure.value;
        close(reach({ ...pattern, drawnSide: fitting + more }), [pattern.length + more, pattern.width, pattern.height]);
      }),
      { numRuns: 60, seed: 5 },
    );
  });

  const house: fc.Arbitrary<HousePattern> = fc.record({
    kind: fc.constant('house' as const),
    width: mm(120, 500),
    depth: mm(120, 500),
    eaves: mm(60, 300),
    pitch: fc.integer({ min: 10, max: 60 }),
    panel: mm(6, 25),
    overhang: mm(0, 40),
    roof: fc.constantFrom('wood' as const, 'cast' as const),
    roofThickness: mm(4, 25),
    base: mm(6, 25),
    sheet: mm(2, 10),
    openings: fc.constant([]),
  });

  it('a house has its width and its depth at the walls, and its roof halves meet at the ridge over the middle', () => {
    fc.assert(
      fc.property(house, (pattern) => {
        const { pieces } = work(pattern);
        const walls = reach(pattern, pieces.slice(0, 4));
        const ridge = pattern.eaves + (pattern.width / 2) * Math.tan((pattern.pitch * Math.PI) / 180);
        close(walls, [pattern.width, pattern.depth, ridge]);
        const [left, right] = folded(pieces, 1)
          .slice(4)
          .map(({ inner }) => inner.slice(2).map((point) => point));
        for (const point of left!)
          expect(Math.min(...right!.map((other) => Math.hypot(...other.map((n, k) => n - point[k]!))))).toBeLessThan(
            0.01,
          );
      }),
      { numRuns: 40, seed: 6 },
    );
  });

  it('faces of a solid grown by any board lie round their inner ones, and no face of the net runs over another', () => {
    fc.assert(
      fc.property(mm(30, 300), fc.double({ min: 0.01, max: 0.33, noNaN: true }), (edge, share) => {
        const net = netOfSolid('rhombicuboctahedron', 'square', edge, edge * share);
        for (const { inner, outer } of net) expect(common(inner, outer)).toBeCloseTo(outlineArea(inner), 3);
        net.forEach(({ inner }, i) =>
          net.slice(i + 1).forEach((one) => expect(common(inner, one.inner)).toBeLessThan(1e-3)),
        );
      }),
      { numRuns: 12, seed: 8 },
    );
  });
});

describe('a gap of any shape', () => {
  /** A gap whose corners lie about an oval: every diagonal runs inside it. */
  const gap = fc
    .record({
      turns: fc.array(fc.double({ min: 0.6, max: 1.4, noNaN: true }), { minLength: 4, maxLength: 7 }),
      wide: mm(250, 600),
      high: mm(250, 600),
    })
    .map(({ turns, wide, high }): readonly PlanPoint[] => {
      const whole = turns.reduce((sum, turn) => sum + turn, 0);
      let at = 0;
      return turns.map((turn) => {
        at += (turn / whole) * 2 * Math.PI;
        return [wide * Math.cos(at), high * Math.sin(at)];
      });
    });
  const taped = (corners: readonly PlanPoint[]): GapPattern => {
    const apart = (a: number, b: number) =>
      Math.hypot(corners[a]![0] - corners[b]![0], corners[a]![1] - corners[b]![1]);
    const n = corners.length;
    const diagonals = corners.flatMap((_, from) =>
      corners.flatMap((__, to) =>
        to > from + 1 && !(from === 0 && to === n - 1) ? [{ from, to, length: apart(from, to) }] : [],
      ),
    );
    return {
      kind: 'gap',
      sides: corners.map((_, i) => apart(i, (i + 1) % n)),
      diagonals,
      joint: 8,
      thickness: 40,
      board: 18,
    };
  };

  it('is found again from its lengths, and its slab lies within it, the joint away', () => {
    fc.assert(
      fc.property(gap, (corners) => {
        const pattern = taped(corners);
        expect(dividing(pattern)).toHaveLength(corners.length - 3);
        const found = gapCorners(pattern);
        expect(outlineArea(found)).toBeCloseTo(outlineArea(corners), 2);
        closingErrors(found, tapedOf(pattern)).forEach((error) => expect(Math.abs(error)).toBeLessThan(1e-6));
        const slab = slabOutline(pattern)!;
        expect(selfCrossing(slab)).toBeUndefined();
        expect(outlineArea(slab)).toBeLessThan(outlineArea(found));
      }),
      { numRuns: 60, seed: 9 },
    );
  });

  it('names the diagonal that was taped wrong, whichever it is and by how much', () => {
    fc.assert(
      fc.property(
        gap.filter((one) => one.length >= 5),
        fc.nat(),
        mm(15, 60),
        fc.boolean(),
        (corners, which, by, longer) => {
          const right = taped(corners);
          const at = which % right.diagonals.length;
          const wrong = {
            ...right,
            diagonals: right.diagonals.map((one, i) =>
              i === at ? { ...one, length: one.length + (longer ? by : -by) } : one,
            ),
          };
          // What cannot be a triangle any more is refused before.
          if (issuesOf(wrong).length > 0) return;
          const [first] = suspectsOf(gapCorners(wrong), tapedOf(wrong));
          expect(first!.field).toBe(`diagonals.${at}.length`);
          expect(first!.should).toBeCloseTo(right.diagonals[at]!.length, 2);
        },
      ),
      { numRuns: 40, seed: 10 },
    );
  });
});
