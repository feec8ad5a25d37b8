import fc from 'fast-check';
import { english } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import { InputError } from '../../foundation/units/index.js';
import { calculateSheet } from '../../process/pours/index.js';
import { cone, nestedPot, threePots } from '../../testing/examples.js';
import { alone, box } from '../../testing/shapes.js';
import { layInset, loopsArea, mirrored, sizedLoops, type Inset, type InsetLoops } from './index.js';

const square = (half: number, x = 0, y = 0): InsetLoops[number] => [
  [x - half, y - half],
  [x + half, y - half],
  [x + half, y + half],
  [x - half, y + half],
];
const round = alone(cone(300, 300, 45));
const inset = (over: Partial<Inset> = {}): Inset => ({
  name: 'A square',
  loops: [square(20)],
  face: 'mould',
  thickness: 3,
  ...over,
});
const issuesOf = (make: () => unknown) => {
  try {
    make();
  } catch (error) {
    if (error instanceof InputError) return error.issues.map(({ field, message }) => `${field}: ${english(message)}`);
    throw error;
  }
  return [];
};

describe('an inset', () => {
  it('on the bottom lies mirrored, on the open face as it is read', () => {
    const given = inset({ x: 50, y: 10 });
    const { lies, reads } = layInset(round, given);
    expect(reads[0]![0]).toEqual([30, -10]);
    expect(lies[0]![0]).toEqual([-30, -10]);
    expect(layInset(round, { ...given, face: 'open' }).lies).toEqual(reads);
  });

  it('is turned as it is read, before it is mirrored', () => {
    const bar: InsetLoops = [
      [
        [0, 0],
        [40, 0],
        [40, 5],
        [0, 5],
      ],
    ];
    const { reads, lies } = layInset(round, inset({ loops: bar, turn: 90 }));
    expect(reads[0]![1]).toEqual([expect.closeTo(0, 9), expect.closeTo(40, 9)]);
    expect(lies[0]![2]).toEqual([expect.closeTo(5, 9), expect.closeTo(40, 9)]);
  });

  it('mirrored twice is itself again, its area the same', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.integer({ min: -80, max: 80 }), fc.integer({ min: -80, max: 80 })), { minLength: 3, maxLength: 20 }), (loop) => {
        const there = mirrored([loop]);
        expect(mirrored(there)).toEqual([loop]);
        expect(loopsArea(there)).toBeCloseTo(loopsArea([loop]), 6);
      }),
    ); // prettier-ignore
  });

  it('takes area by its loops, less what is a hole in them, and out of the mix by its thickness', () => {
    const ring = [square(20), square(10), square(4)];
    expect(loopsArea(ring)).toBe(40 * 40 - 20 * 20 + 8 * 8);
    const { area, volume, clear, behind } = layInset(round, inset({ loops: ring, thickness: 5 }));
    expect(area.value).toBe(1264);
    expect(volume.value).toBeCloseTo(6.32, 9);
    expect(clear.value).toBeCloseTo(150 - Math.hypot(20, 20), 6);
    expect(behind.value).toBe(40);
  });

  it('warns of an edge that is near, of thin mix behind it, and of deep straight sides', () => {
    const tight = layInset(round, inset({ x: 120, thickness: 8 }), { piece: 'slab' });
    expect(english(tight.warnings).join()).toMatch(/within 8\.6 mm of an edge/);
    expect(english(tight.warnings).join()).toContain('leaves 37 mm of mix behind it');
    expect(english(tight.warnings).join()).toContain('sides lean');
    expect(layInset(round, inset({ thickness: 8, stays: true }), { piece: 'panel' }).warnings).toEqual([]);
  });

  it('that does not fit is refused by name: over the edge, on the drain plug, too thick, no drawing', () => {
    expect(issuesOf(() => layInset(round, inset({ x: 140 })))).toEqual([
      'inset: “A square” reaches over the edge of its face, which is 300 mm by 300 mm.',
    ]);
    expect(issuesOf(() => layInset(nestedPot, inset()))[0]).toContain('with what stands on it');
    expect(issuesOf(() => layInset(round, inset({ thickness: 45 })))[0]).toContain(
      'as thick as the piece there: 45 mm',
    );
    expect(issuesOf(() => layInset(nestedPot, inset({ loops: [square(5, 40)], thickness: 20 })))[0]).toContain('18 mm');
    const bent = [[[0, 0], [1, Number.NaN], [2, 2]]] as unknown as InsetLoops; // prettier-ignore
    expect(issuesOf(() => layInset(round, inset({ loops: bent })))[0]).toContain('has a loop that is not valid');
    expect(issuesOf(() => layInset(round, inset({ loops: [] })))[0]).toContain('nothing to lay in');
  });

  it('is sized to a height or a width about its middle', () => {
    const shape: InsetLoops = [
      [
        [100, 100],
        [300, 100],
        [300, 150],
      ],
    ];
    expect(sizedLoops(shape, { height: 20 })[0]).toEqual([
      [-40, -10],
      [40, -10],
      [40, 10],
    ]);
    expect(sizedLoops(shape, { width: 40 })[0]![2]).toEqual([20, 5]);
    expect(sizedLoops([], { width: 40 })).toEqual([]);
  });
});

describe('a piece with an inset', () => {
  const tile = alone(box(200, 200, 30));
  const item = { mouldId: 't', name: 'Tile', shape: tile, piece: 'panel' as const, count: 1 };
  const laid = inset({ loops: [square(80)], thickness: 6 });
  const piece = (over: object) => calculateSheet(threePots({ items: [{ ...item, ...over }] })).pieces[0]!;

  it('takes that much less mix, and weighs what stays in it', () => {
    const [plain, printed, tiled] = [piece({}), piece({ inset: laid }), piece({ inset: { ...laid, stays: true } })];
    expect(printed.volume.value).toBeCloseTo(plain.volume.value - 153.6, 6);
    expect(printed.fresh.value).toBeLessThan(plain.fresh.value);
    expect(tiled.expected.fresh - printed.expected.fresh).toBeCloseTo(153.6 * 2.4, 6);
    expect(tiled.expected.loss).toBeCloseTo(printed.expected.loss, 9);
  });

  it('that does not fit is refused with the item it is of', () => {
    const over = { ...laid, x: 60 };
    expect(issuesOf(() => calculateSheet(threePots({ items: [item, { ...item, inset: over }] })))[0]).toMatch(
      /^items\.1\.inset: “A square” reaches over the edge/,
    );
  });
});
