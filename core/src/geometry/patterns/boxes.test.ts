import { describe, expect, it } from 'vitest';
import { mouldVolume, work, answer, issuesOf, size } from '../../testing/worked-patterns.js';
import { bedHeight, rodLength, soilPush, wedgeHeight } from './bed-pattern.js';
import { screwPlaces } from './box-pattern.js';
import { folded, type BedPattern, type BoxPattern, type PanelBoxPattern } from './index.js';

describe('a box of boards', () => {
  const box: BoxPattern = {
    kind: 'box',
    length: 300,
    width: 200,
    height: 120,
    board: 18,
    corner: 'lapped',
    bottom: 'between',
    screw: 4,
  };
  const corners = ['lapped', 'pinwheel', 'mitred'] as const;
  const bottoms = ['between', 'under'] as const;

  it.each(corners.flatMap((corner) => bottoms.map((bottom) => [corner, bottom] as const)))(
    '%s, its bottom %s: put together it has the outside that is told, and boards as long as the handbook’s',
    (corner, bottom) => {
      const done = work({ ...box, corner, bottom });
      const all = folded(done.pieces, 1).flatMap(({ inner, outer }) => [...inner, ...outer]);
      expect([size(all, 0), size(all, 1), size(all, 2)].map((n) => n.toFixed(6))).toEqual([
        '336.000000',
        '236.000000',
        '138.000000',
      ]);
      const [long, short] = { lapped: [336, 200], pinwheel: [318, 218], mitred: [336, 236] }[corner];
      const tall = bottom === 'between' ? 138 : 120;
      expect(done.parts.map(({ outline }) => [size(outline, 0), size(outline, 1)])).toEqual([
        [long, tall],
        [short, tall],
        bottom === 'between' ? [300, 200] : [336, 236],
      ]);
      expect(mouldVolume(done.moulds[0]!.shape)).toBeCloseTo(7200, 6);
      expect(answer(done, 'cavity')).toBeCloseTo(7200, 6);
    },
  );

  it('has screws 40 mm from its corners and at most 150 mm apart', () => {
    expect(screwPlaces(300)).toEqual([40, 150, 260]);
    expect(screwPlaces(381)).toHaveLength(4);
    expect(screwPlaces(60)).toEqual([30]);
  });

  it('keeps a hollow for a bar of soap, its floor falling, and refuses one that leaves no wall', () => {
    const hollow = { length: 80, width: 55, gap: 3, depth: 12, fall: 3 };
    const dish: BoxPattern = { ...box, length: 116, width: 91, height: 30, hollow };
    const done = work(dish);
    expect(answer(done, 'cavity')).toBeCloseTo((116 * 91 * 30 - 86 * 61 * (12 + (86 * 0.03) / 2)) / 1000, 9);
    expect(mouldVolume(done.moulds[0]!.shape)).toBeCloseTo(answer(done, 'cavity'), 6);
    expect(issuesOf({ ...dish, length: 90 })).toEqual(['hollow.length patterns.hollowWide']);
    expect(issuesOf({ ...dish, height: 18 })).toEqual(['hollow.depth patterns.hollowDeep']);
  });
});

describe('a box of panels', () => {
  const box: PanelBoxPattern = {
    kind: 'panel-box',
    length: 400,
    width: 300,
    height: 250,
    panel: 20,
    corner: 'covered',
  };

  it('is as long as it was wanted with side panels two thicknesses shorter, and longer with those as they were drawn', () => {
    expect(answer(work(box), 'fittingSide')).toBe(360);
    expect(answer(work(box), 'outsideLength')).toBe(400);
    const trap = work({ ...box, drawnSide: 400 });
    expect(answer(trap, 'outsideLength')).toBe(440);
    expect(trap.warnings[0]).toMatchObject({ key: 'patterns.wallTrapLong', values: { out: { value: 40 } } });
    expect(
      size(
        trap.plan.flatMap(({ points }) => points),
        0,
      ),
    ).toBe(440);
    expect(work(box).warnings).toEqual([]);
  });

  it.each(['covered', 'mitred'] as const)('%s: its panels put together have that outside', (corner) => {
    const all = folded(work({ ...box, corner }).pieces, 1).flatMap(({ inner, outer }) => [...inner, ...outer]);
    expect(
      [0, 1, 2]
        .map((k) => size(all, k))
        .sort((a, b) => a - b)
        .map((n) => n.toFixed(6)),
    ).toEqual(['250.000000', '300.000000', '400.000000']);
    expect(issuesOf({ ...box, corner, panel: 150 })).toEqual(['panel patterns.panelsFillBox']);
  });
});

describe('a bed of panels', () => {
  const bed: BedPattern = {
    kind: 'bed',
    length: 1200,
    width: 800,
    panelHeight: 200,
    panelLength: 600,
    panel: 40,
    draft: 3,
    levels: 2,
    rod: 12,
  };

  it('has its panels, wedges and rods by the handbook', () => {
    expect(answer(work(bed), 'panels')).toBe(2 * (2 + 2) * 2);
    expect(wedgeHeight(bed, 1)).toBeCloseTo(2 * 40 * Math.tan((3 * Math.PI) / 180), 9);
    expect(rodLength(bed)).toBeCloseTo(bedHeight(bed) + 300, 9);
    expect(rodLength({ ...bed, levels: 6 })).toBeCloseTo((bedHeight({ ...bed, levels: 6 }) * 4) / 3, 9);
    const all = folded(work(bed).pieces, 1).flatMap(({ inner, outer }) => [...inner, ...outer]);
    expect(
      [0, 2]
        .map((k) => size(all, k))
        .sort((a, b) => a - b)
        .map((n) => n.toFixed(6)),
    ).toEqual(['800.000000', '1200.000000']);
  });

  it('pushes with 0.64 kN a metre at 0.4 m, and with 1.1 where water stands', () => {
    expect(soilPush(400).drained).toBeCloseTo(0.64, 9);
    expect(soilPush(400).soaked).toBeCloseTo(1.1, 1);
  });

  it('is tied from 0.4 m on, and asks for an engineer above 0.6 m', () => {
    const keys = (levels: number) => {
      const { notes, cautions } = work({ ...bed, levels });
      return [...notes, ...cautions].map(({ key }) => key);
    };
    expect(keys(1)).not.toContain('patterns.buildTies');
    expect(keys(2)).toContain('patterns.buildTies');
    expect(keys(3)).toContain('patterns.engineerCaution');
  });
});

it('wood that goes with a cast has its clearance and its groove', () => {
  const disc = work({ kind: 'wood', wood: 'disc', length: 180, thickness: 12, cord: 6 });
  expect(size(disc.parts[0]!.outline, 0)).toBeCloseTo(178, 6);
  expect(size(disc.parts[0]!.marks[0]!.points, 1)).toBe(8);
  expect(size(work({ kind: 'wood', wood: 'roof', length: 240, width: 300, thickness: 18 }).parts[0]!.outline, 1)).toBe(
    350,
  );
});
