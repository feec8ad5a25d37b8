import { describe, expect, it } from 'vitest';
import { mouldVolume, ways, work, issuesOf, size } from '../../testing/worked-patterns.js';
import { outlineArea, type PlanPoint } from '../solids/index.js';
import { closingErrors, suspectsOf, tapedOf } from './gap-measures.js';
import { cornerAngles, gapCorners, slabOutline } from './gap-pattern.js';
import { type GapPattern } from './index.js';

describe('a slab for a gap', () => {
  const gap: GapPattern = {
    kind: 'gap',
    sides: [400, 300, 380, 290],
    diagonals: [{ from: 0, to: 2, length: 500 }],
    joint: 10,
    thickness: 40,
    board: 18,
  };

  it('has the triangles of the worked example, and is smaller by its joint', () => {
    const corners = gapCorners(gap);
    expect(outlineArea(corners.slice(0, 3))).toBeCloseTo(60_000, 6);
    expect(outlineArea(corners) - 60_000).toBeCloseTo(54_837, 0);
    const slab = slabOutline(gap)!;
    const round = 400 + 300 + 380 + 290;
    const tans = cornerAngles(corners).reduce((sum, angle) => sum + 1 / Math.tan((angle * Math.PI) / 360), 0);
    expect(outlineArea(slab)).toBeCloseTo(outlineArea(corners) - 10 * round + 100 * tans, 4);
    expect(work(gap).notes.map(({ key }) => key)).toContain('patterns.oneMore');
  });

  const five = (): { taped: GapPattern; at: readonly PlanPoint[] } => {
    const at: PlanPoint[] = [
      [0, 0],
      [820, 0],
      [960, 510],
      [430, 840],
      [-120, 470],
    ];
    const apart = (a: number, b: number) => Math.hypot(at[a]![0] - at[b]![0], at[a]![1] - at[b]![1]);
    const across = (
      [
        [0, 2],
        [0, 3],
        [1, 3],
        [1, 4],
        [2, 4],
      ] as const
    ).map(([from, to]) => ({ from, to, length: apart(from, to) }));
    return { at, taped: { ...gap, sides: at.map((_, i) => apart(i, (i + 1) % 5)), diagonals: across } };
  };

  it('closes where the tape was right, whatever the order of its diagonals', () => {
    const { taped, at } = five();
    for (const diagonals of [taped.diagonals, [...taped.diagonals].reverse()]) {
      const corners = gapCorners({ ...taped, diagonals });
      corners.forEach(([x, y], i) => expect(Math.hypot(x - at[i]![0], y - at[i]![1])).toBeLessThan(1e-6));
      closingErrors(corners, tapedOf(taped)).forEach((error) => expect(Math.abs(error)).toBeLessThan(1e-6));
    }
    expect(work(taped).notes.map(({ key }) => key)).toContain('patterns.closes');
  });

  it.each([0, 1, 2, 3, 4])('finds the diagonal %d that was taped 30 mm wrong', (wrong) => {
    const { taped } = five();
    const diagonals = taped.diagonals.map((one, i) => (i === wrong ? { ...one, length: one.length + 30 } : one));
    const [first] = suspectsOf(gapCorners({ ...taped, diagonals }), tapedOf({ ...taped, diagonals }));
    expect(first!.field).toBe(`diagonals.${wrong}.length`);
    expect(first!.taped - first!.should).toBeCloseTo(30, 3);
    const { warnings, plan } = work({ ...taped, diagonals });
    expect(warnings.map(({ key }) => key)).toEqual(['patterns.tapeAgain', 'patterns.suspect']);
    expect(plan.filter(({ layer }) => layer === 'suspect')).toHaveLength(1);
  });

  it('is divided into pieces that one can lift, of about even mass', () => {
    const done = work({ ...five().taped, thickness: 60 });
    expect(done.moulds.length).toBeGreaterThan(2);
    const masses = done.moulds.map(({ shape }) => mouldVolume(shape) * ways.density);
    masses.forEach((mass) => expect(mass).toBeLessThanOrEqual(ways.liftLimit));
    expect(Math.max(...masses) / Math.min(...masses)).toBeLessThan(1.1);
  });

  it('has a letter of its own for each slab and each of their boards, and draws the first slab with its own', () => {
    const { parts, pieces, moulds } = work({ ...five().taped, thickness: 60 });
    expect(new Set(parts.map(({ key }) => key)).size).toBe(parts.length);
    const boards = parts.filter(({ stuff }) => stuff === 'board');
    expect(boards.length).toBeGreaterThan(3 * moulds.length);
    expect(pieces.slice(1).map(({ part }) => part)).toEqual(boards.slice(0, pieces.length - 1).map(({ key }) => key));
  });

  it('is refused where it would be divided into more pieces than anybody casts', () => {
    expect(
      issuesOf({
        ...gap,
        sides: [8000, 6000, 8000, 6000],
        diagonals: [{ from: 0, to: 2, length: 10_000 }],
        thickness: 500,
      }),
    ).toEqual(['thickness patterns.manySlabs']);
  });

  it('has form boards mitred by half of each corner', () => {
    const square = work({
      ...gap,
      sides: [400, 400, 400, 400],
      diagonals: [{ from: 0, to: 2, length: 400 * Math.SQRT2 }],
    });
    const board = square.parts.find(({ stuff }) => stuff === 'board')!;
    expect(board.mitres.map((mitre) => Math.round(mitre))).toEqual([0, 45, 0, 45]);
    expect(size(board.outline, 0)).toBeCloseTo(380 + 2 * 18, 6);
  });

  it('refuses sides that cannot close, a diagonal that is too long, too few, and one from a corner to the next', () => {
    expect(issuesOf({ ...gap, diagonals: [{ from: 0, to: 2, length: 700 }] })).toEqual(['sides patterns.noTriangle']);
    expect(issuesOf({ ...gap, diagonals: [] })).toEqual(['diagonals patterns.fewDiagonals']);
    expect(issuesOf({ ...gap, diagonals: [{ from: 0, to: 1, length: 400 }] })).toEqual([
      'diagonals.0.from patterns.noDiagonal',
    ]);
    expect(issuesOf({ ...gap, joint: 100 })).toEqual([]);
    expect(
      issuesOf({ ...gap, sides: [200, 150, 190, 145], diagonals: [{ from: 0, to: 2, length: 250 }], joint: 100 }),
    ).toEqual(['joint patterns.nothingLeft']);
  });
});
