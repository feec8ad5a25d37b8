import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  chordsAt,
  circleRegion,
  contains,
  leftOver,
  moveOutline,
  moveRegion,
  outlineStages,
  outlineArea,
  polygonRegion,
  rectangleRegion,
  regionArea,
  regionPerimeter,
  selfCrossing,
  type PlanPoint,
  type Region,
} from './index.js';

/** The lens that two circles share, by the textbook. */
function lens(r: number, R: number, d: number): number {
  if (d >= r + R) return 0;
  if (d <= Math.abs(R - r)) return Math.PI * Math.min(r, R) ** 2;
  const a = r * r * Math.acos((d * d + r * r - R * R) / (2 * d * r));
  const b = R * R * Math.acos((d * d + R * R - r * r) / (2 * d * R));
  const c = 0.5 * Math.sqrt((-d + r + R) * (d + r - R) * (d - r + R) * (d + r + R));
  return a + b - c;
}

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const square: PlanPoint[] = [
  [0, 0],
  [100, 0],
  [100, 100],
  [0, 100],
];

describe('a region', () => {
  it('has the area and perimeter of the textbook', () => {
    expect(regionArea(rectangleRegion(100, 60, 10))).toBeCloseTo(6000 - (4 - Math.PI) * 100, 9);
    expect(regionPerimeter(rectangleRegion(100, 60, 10))).toBeCloseTo(320 - 80 + 20 * Math.PI, 9);
    expect(regionArea(polygonRegion(square))).toBe(10000);
  });

  it('keeps its area when it is moved and turned, wherever to', () => {
    fc.assert(
      fc.property(number(-500, 500), number(-500, 500), number(-360, 360), (x, y, turn) => {
        const moved = moveRegion(rectangleRegion(90, 50, 12), x, y, turn);
        expect(regionArea(moved)).toBeCloseTo(regionArea(rectangleRegion(90, 50, 12)), 5);
        expect(contains(moved, [x, y])).toBe(true);
        expect(contains(moved, [x + 200, y])).toBe(false);
      }),
    );
  });

  it('is crossed by a level line where its sides are', () => {
    expect(chordsAt(circleRegion(50), 30)).toEqual([[expect.closeTo(-40, 9), expect.closeTo(40, 9)]]);
    expect(chordsAt(polygonRegion(square), 40)).toEqual([[0, 100]]);
    expect(chordsAt(circleRegion(50), 60)).toEqual([]);
  });
});

describe('what is left of a region', () => {
  it('without a circle that crosses its edge is the textbook’s lens', () => {
    fc.assert(
      fc.property(number(5, 80), number(5, 80), number(0, 170), (r, R, d) => {
        const left = leftOver(circleRegion(R), [circleRegion(r, d, 0)]);
        expect(left.area).toBeCloseTo(Math.PI * R * R - lens(r, R, d), 5);
      }),
    );
  });

  it('counts an overlap of two blanks once, and a blank upon itself too', () => {
    const outer = rectangleRegion(300, 200);
    const one = circleRegion(40, -20, 0);
    const two = circleRegion(40, 20, 0);
    const both = 2 * Math.PI * 1600 - lens(40, 40, 40);
    expect(leftOver(outer, [one, two]).area).toBeCloseTo(60000 - both, 6);
    expect(leftOver(outer, [one, one, two]).area).toBeCloseTo(60000 - both, 6);
    const block = rectangleRegion(60, 40);
    expect(leftOver(outer, [block, block]).area).toBeCloseTo(60000 - 2400, 6);
  });

  it('lets blanks touch each other and the wall', () => {
    const outer = rectangleRegion(200, 100);
    const left = moveRegion(rectangleRegion(50, 100), -75, 0);
    const next = moveRegion(rectangleRegion(50, 40), -25, 0);
    const rest = leftOver(outer, [left, next]);
    expect(rest.area).toBeCloseTo(20000 - 5000 - 2000, 6);
    expect(rest.outer).toBeCloseTo(2 * 150 + 100, 6);
    expect(rest.blanks.reduce((a, b) => a + b, 0)).toBeCloseTo(60 + 40 + 50 + 50, 6);
  });

  it('is nothing where a blank covers all, and all where it stands outside', () => {
    expect(leftOver(circleRegion(50), [circleRegion(60)]).area).toBeCloseTo(0, 9);
    expect(leftOver(circleRegion(50), [circleRegion(60, 200, 0)]).area).toBeCloseTo(Math.PI * 2500, 9);
  });

  it('agrees with counting points', () => {
    const outer = rectangleRegion(120, 90, 15);
    const blanks: Region[] = [
      circleRegion(25, 40, 10),
      moveRegion(rectangleRegion(50, 30, 5), -30, -35, 20),
      polygonRegion([
        [-10, 0],
        [30, -10],
        [10, 40],
      ]),
    ];
    let counted = 0;
    for (let x = -60; x < 60; x += 0.5)
      for (let y = -45; y < 45; y += 0.5) {
        const p: PlanPoint = [x + 0.25, y + 0.25];
        if (contains(outer, p) && !blanks.some((blank) => contains(blank, p))) counted++;
      }
    expect(leftOver(outer, blanks).area / (counted * 0.25)).toBeCloseTo(1, 2);
  });
});

describe('an outline', () => {
  it('is moved square to itself, its corners mitred', () => {
    expect(outlineArea(moveOutline(square, -10)!)).toBeCloseTo(6400, 9);
    expect(outlineArea(moveOutline(square, 10)!)).toBeCloseTo(14400, 9);
    expect(moveOutline(square, -51)).toBeUndefined();
  });
  it('loses the sides that close on the way, and is not moved where it would fall apart', () => {
    const cut: PlanPoint[] = [
      [4, 0],
      [96, 0],
      [100, 4],
      [100, 100],
      [0, 100],
      [0, 4],
    ];
    const stages = outlineStages(cut, -20);
    expect(stages.length).toBeGreaterThan(1);
    expect(stages[0]!.start).toHaveLength(6);
    expect(outlineArea(moveOutline(cut, -20)!)).toBeCloseTo(3600, 6);
    const waist: PlanPoint[] = [
      [0, 0],
      [100, 0],
      [52, 50],
      [100, 100],
      [0, 100],
      [48, 50],
    ];
    expect(moveOutline(waist, -5)).toBeUndefined();
    expect(moveOutline(waist, -0.5)).toBeDefined();
  });
  it('that crosses itself tells where', () => {
    expect(selfCrossing(square)).toBeUndefined();
    expect(selfCrossing([square[0]!, square[2]!, square[1]!, square[3]!])).toEqual([50, 50]);
  });
});
