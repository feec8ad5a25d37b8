import { describe, expect, it } from 'vitest';
import { mouldVolume, ways, work, answer, issuesOf, sides } from '../../testing/worked-patterns.js';
import { toSide } from '../../testing/laid-sheets.js';
import { type PlanPoint } from '../solids/index.js';
import { folded, workPattern, type StripPattern } from './index.js';
import { nailSpacing, segmentsOf, stripsFor, wallsOf } from './strip-pattern.js';

describe('strips on a board', () => {
  const strip = (line: StripPattern['line'], over: Partial<StripPattern> = {}): StripPattern => ({
    kind: 'strip',
    line,
    channel: 40,
    height: 30,
    strip: 1,
    sheet: 1000,
    overlap: 40,
    ...over,
  });

  const filled = (line: StripPattern['line']): StripPattern => {
    const { channel: _, ...one } = strip(line);
    return one;
  };

  it('of a spiral have the walls, the strip and the sheets of the worked example', () => {
    const { walls, strip: all } = wallsOf(strip({ shape: 'spiral', start: 30, pitch: 60, turns: 3 }));
    expect(walls.map(({ length }) => Math.round(length))).toEqual([2653, 1889]);
    expect(Math.round(all)).toBe(4622);
    expect(stripsFor(all, 1000, 40)).toBe(5);
    const done = work(strip({ shape: 'spiral', start: 30, pitch: 60, turns: 3 }));
    expect(answer(done, 'stripCount')).toBe(5);
    expect(done.notes.map(({ key }) => key)).toContain('patterns.mirrored');
  });

  const length = (points: readonly PlanPoint[], closed: boolean) =>
    sides(points)
      .slice(0, closed ? undefined : -1)
      .reduce((a, b) => a + b, 0);

  it.each([
    ['ring', strip({ shape: 'ring', diameter: 300 })],
    ['arc', strip({ shape: 'arc', radius: 200, angle: 120 })],
    ['spiral', strip({ shape: 'spiral', start: 40, pitch: 70, turns: 2.5 })],
    ['heart', strip({ shape: 'heart', width: 300 }, { channel: 30 })],
    ['heart filled', filled({ shape: 'heart', width: 300 })],
    [
      'square',
      strip({
        shape: 'free',
        points: [
          [0, 0],
          [300, 0],
          [300, 300],
          [0, 300],
        ],
        closed: true,
      }),
    ],
    [
      'bent',
      strip({
        shape: 'free',
        points: [
          [0, 0],
          [300, 0],
          [300, 300],
        ],
        closed: false,
      }),
    ],
  ] as const)('%s: walls are as long as the curves that are drawn, and its mould holds what is told', (_, pattern) => {
    const { walls, line, area } = wallsOf(pattern);
    for (const wall of walls) expect(Math.abs(length(wall.points, line.closed) / wall.length - 1)).toBeLessThan(2e-4);
    const done = work(pattern);
    expect(Math.abs(mouldVolume(done.moulds[0]!.shape) / ((area * 30) / 1000) - 1)).toBeLessThan(2e-3);
  });

  it('have nails by the local radius, and a former where that is too small', () => {
    expect([10, 52.08, 200, 5000].map(nailSpacing).map((n) => Math.round(n))).toEqual([25, 25, 49, 100]);
    const keys = (diameter: number) => work(strip({ shape: 'ring', diameter })).notes.map(({ key }) => key);
    expect(keys(80)).toContain('patterns.roundFormer');
    expect(keys(120)).toContain('patterns.bulgeLeft');
    expect(keys(400)).not.toContain('patterns.bulgeLeft');
  });

  it('are divided into segments that one can lift, a joint between', () => {
    const pattern = strip({ shape: 'arc', radius: 400, angle: 180 }, { channel: 200, height: 80 });
    const { count, length: each, mass } = segmentsOf(wallsOf(pattern), pattern, ways);
    expect(count).toBe(3);
    expect(count * each + 2 * 8).toBeCloseTo(Math.PI * 400, 2);
    expect(mass).toBeLessThanOrEqual(ways.liftLimit);
  });

  it('refuse a bend sharper than the channel, a lap as long as the sheet, a line that crosses itself', () => {
    expect(issuesOf(strip({ shape: 'spiral', start: 15, pitch: 60, turns: 2 }))).toEqual([
      'channel patterns.bendTooSharp',
    ]);
    expect(issuesOf(strip({ shape: 'ring', diameter: 300 }, { sheet: 40 }))).toEqual(['sheet patterns.stripInLap']);
    expect(
      issuesOf(
        strip({
          shape: 'free',
          points: [
            [0, 0],
            [100, 100],
            [100, 0],
            [0, 100],
          ],
          closed: true,
        }),
      ),
    ).toEqual(['line.points patterns.crossesItself']);
    expect(issuesOf(strip({ shape: 'spiral', start: 50, pitch: 40, turns: 2 }))).toEqual([
      'channel patterns.spiralOverlaps',
    ]);
  });

  it.each([
    ['ring', strip({ shape: 'ring', diameter: 300 })],
    ['spiral', strip({ shape: 'spiral', start: 40, pitch: 70, turns: 2.5 })],
    ['heart', strip({ shape: 'heart', width: 300 }, { channel: 30 })],
    ['square', strip({ shape: 'free', points: [[0, 0], [300, 0], [300, 300], [0, 300]], closed: true })],
  ])('has as many nails drawn as are told, close beside its walls: %s', (_, pattern) => {
    const { plan, notes } = work(pattern);
    const nails = plan.filter(({ layer }) => layer === 'nail').map(({ points }) => [0, 1].map((k) => points.reduce((sum, p) => sum + p[k]!, 0) / points.length) as unknown as PlanPoint);
    expect(notes.find(({ key }) => key === 'patterns.nails')!.values).toMatchObject({ count: nails.length });
    const walls = wallsOf(pattern).walls.map(({ points }) => points);
    for (const nail of nails) {
      const near = Math.min(...walls.flatMap((points) => points.map((from, i) => toSide(nail, [from, points[(i + 1) % points.length]!]))));
      expect(near).toBeLessThan(2.1);
    }
  }); // prettier-ignore

  it.each([
    ['ring', strip({ shape: 'ring', diameter: 300 })],
    ['spiral', strip({ shape: 'spiral', start: 40, pitch: 70, turns: 2.5 })],
    ['heart', strip({ shape: 'heart', width: 300 }, { channel: 30 })],
    ['bent', strip({ shape: 'free', points: [[0, 0], [300, 0], [300, 300], [120, 420]], closed: false })],
  ])('stands on its board along its lines when it is folded, and lies flat in rows: %s', (_, pattern) => {
    const { pieces } = work(pattern);
    const walls = wallsOf(pattern).walls.map(({ points }) => points);
    const off = (at: PlanPoint) => Math.min(...walls.flatMap((points) => points.map((from, i) => toSide(at, [from, points[(i + 1) % points.length]!]))));
    const standing = folded(pieces, 1).slice(1);
    for (const { inner } of standing)
      for (const [x, y, z] of inner) {
        expect(Math.min(Math.abs(z), Math.abs(z - 30))).toBeLessThan(1e-6);
        expect(off([x, y])).toBeLessThan(0.01);
      }
    const flat = folded(pieces, 0).flatMap(({ inner }) => inner);
    expect(flat.every(([, , z]) => z === 0)).toBe(true);
    const run = standing.reduce((sum, { inner: [a, b] }) => sum + Math.hypot(b![0] - a![0], b![1] - a![1]), 0);
    expect(run / wallsOf(pattern).walls.reduce((sum, { length }) => sum + length, 0)).toBeCloseTo(1, 1);
  }); // prettier-ignore

  it('that is divided is cut square across its channel, a joint apart, into segments of one length', () => {
    const pattern = strip({ shape: 'arc', radius: 400, angle: 170 }, { channel: 80, height: 80 });
    const { plan } = workPattern(pattern, { density: 2.1, liftLimit: 6000 });
    const cuts = plan.filter(({ layer }) => layer === 'cut').map(({ points }) => points);
    const { count, length: each } = segmentsOf(wallsOf(pattern), pattern, { density: 2.1, liftLimit: 6000 });
    expect(count).toBeGreaterThan(2);
    expect(cuts).toHaveLength(2 * (count - 1));
    const turn = (at: number) => Math.atan2(cuts[at]![0]![1], cuts[at]![0]![0]) * 400;
    for (const [[ax, ay], [bx, by]] of cuts as [PlanPoint, PlanPoint][]) {
      expect(Math.hypot(bx - ax, by - ay)).toBeCloseTo(80, 6);
      // A cut that is square to an arc points to its middle.
      expect(Math.abs(ax * by - ay * bx) / 80).toBeLessThan(1);
    }
    expect(Math.abs(turn(0) - each)).toBeLessThan(2);
    expect(turn(1) - turn(0)).toBeCloseTo(8, 0);
    expect(Math.abs(turn(2) - turn(1) - each)).toBeLessThan(2);
  });
});
