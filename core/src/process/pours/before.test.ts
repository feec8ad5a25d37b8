import { english } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import { DAY } from '../../foundation/units/index.js';
import { fullVolume, staysPut } from '../../geometry/moulds/index.js';
import { cone, nestedPot, threePots } from '../../testing/examples.js';
import {
  bagFills,
  catchMoulds,
  cutList,
  feetFor,
  freeMoulds,
  heldSpots,
  calculateSheet,
  scaleDown,
  type PourItem,
} from './index.js';

const copies = (n: number) => Array.from({ length: n }, (_, i) => ({ mark: String(i), retired: false, leaks: false }));
const full = (freeAt: number) => ({ mouldId: 'm', freeAt });

describe('free copies', () => {
  it('are those owned, sound, and not standing full; what comes free first is told first', () => {
    const pot = { name: 'Nested pot', copies: [...copies(3), { mark: 'X', retired: true, leaks: false }] };
    expect(freeMoulds(pot, [full(2 * DAY), full(DAY)], 1)).toEqual({ free: 1, full: [full(DAY), full(2 * DAY)] });
    expect(english(freeMoulds(pot, [full(DAY)], 3).short)).toBe(
      'Only 2 of Nested pot are free: 1 stands full. Take 2, or wait until demoulding.',
    );
    const leaking = { ...pot, copies: [{ mark: 'A', retired: false, leaks: true }] };
    expect(english(freeMoulds(leaking, [], 1))).toMatchObject({
      free: 0,
      short: 'No mould of Nested pot is free: 1 leaks. Leave it out, or list the moulds that you have.',
    });
  });

  it('of a form that is made again, or that nobody listed, are as many as are wanted', () => {
    expect(freeMoulds({ name: 'Leaf', once: true, copies: [] }, [full(DAY)], 9)).toEqual({ full: [] });
    expect(freeMoulds({ name: 'Pot', copies: [] }, [full(DAY)], 9)).toEqual({ full: [full(DAY)] });
  });
});

describe('a full mould that cannot be moved', () => {
  const standing = (name: string, place: string, mass: number, freeAt: number) => ({ mouldId: 'm', name, place, mass, freeAt }); // prettier-ignore
  const full = [
    standing('Trough', 'The yard', 46000, 3 * DAY),
    standing('Pot', 'The yard', 8000, DAY),
    standing('Column', 'the shed', 31000, DAY),
  ];
  it('keeps its spot until it comes free; lighter ones do not', () => {
    expect(heldSpots(full, 25000).map(({ name }) => name)).toEqual(['Column', 'Trough']);
    expect(heldSpots(full, 25000, ' the yard ')).toEqual([
      { name: 'Trough', place: 'The yard', mass: 46000, until: 3 * DAY },
    ]);
    expect(heldSpots([{ mouldId: 'm', freeAt: DAY, mass: 90000 }], 25000)).toEqual([]);
  });

  it('is a panel, a strip mould or a leaf over sand whatever it weighs', () => {
    const shape = { outer: cone(300, 300, 45), cores: [], inserts: [] };
    const strip = { ...shape, outer: { kind: 'ring', innerDiameter: 300, width: 60, depth: 40 } as const };
    expect(staysPut({ shape, piece: 'panel' })).toBe(true);
    expect(staysPut({ shape: strip, piece: 'slab' })).toBe(true);
    expect(staysPut({ shape, piece: 'slab' })).toBe(false);
    const light = standing('Panel', 'The yard', 4000, DAY);
    expect(heldSpots([{ ...light, fixed: true }, light], 25000)).toHaveLength(1);
  });
});

describe('what is left over', () => {
  const moulds = [90, 300, 480, 900].map((volume) => ({ id: `${volume}`, name: `${volume}`, volume }));
  it('goes into the mould that it fills best without exceeding, and the rest into the next', () => {
    expect(catchMoulds(520, moulds).map(({ volume }) => volume)).toEqual([480]);
    expect(catchMoulds(600, moulds).map(({ volume }) => volume)).toEqual([480, 90]);
    expect(catchMoulds(50, moulds)).toEqual([]);
    expect(catchMoulds(200, moulds.slice(1))).toEqual([]);
  });

  it('is none when all is made so much less', () => {
    const plan = threePots({ scoop: { id: 's', name: 'a spoon', volume: 15 } });
    const sheet = calculateSheet(plan);
    const share = scaleDown({ plan, sheet });
    const made = sheet.bucketfuls.reduce((sum, one) => sum + one.measured.made, 0);
    expect(made * (1 - share)).toBeCloseTo(3 * fullVolume(nestedPot), 3);
    const short = threePots({ spare: 0, scoop: { id: 's', name: 'a bucket', volume: 5000 }, step: 1 });
    expect(scaleDown({ plan: short, sheet: calculateSheet(short) })).toBeGreaterThanOrEqual(0);
  });

  it('makes a foot for what stands, as high as it goes and no higher than it need be', () => {
    const pot = { name: 'Nested pot', shape: nestedPot, piece: 'pot' as const };
    const [foot] = feetFor(100, [pot]);
    expect(foot!.across).toBeCloseTo(96, 6);
    expect((foot!.height.value * Math.PI * 96 ** 2) / 4000).toBeCloseTo(100, 6);
    expect(feetFor(900, [pot])[0]!.height.value).toBe(30);
    expect(feetFor(60, [pot])).toEqual([]);
    expect(feetFor(900, [{ ...pot, piece: 'slab' }])).toEqual([]);
  });

  it('of a whole bag fills so many of each by itself', () => {
    const lots = [{ materialId: 'grey-cement', bought: 50000, bags: 2, left: 30000, price: 15, boughtAt: 0 }];
    const plan = threePots({ lots });
    const sheet = calculateSheet(plan);
    const bag = bagFills({ plan, sheet })!;
    expect(english(bag)).toMatchObject({ binder: 'Grey Portland cement', bag: 25000 });
    const cement = sheet.batch.lines[0]!.mass.value;
    expect(bag.volume.value).toBeCloseTo((sheet.batch.volume * 25000) / cement, 3);
    expect(bag.pieces[0]!.count).toBe(Math.floor(bag.volume.value / fullVolume(nestedPot)));
    expect(bagFills({ plan: threePots(), sheet })).toBeUndefined();
  });
});

describe('what is cut', () => {
  it('are plugs for every mould, and mesh for flat pieces that have some laid in', () => {
    const round: PourItem = {
      mouldId: 'round',
      name: 'Stepping round',
      shape: { outer: cone(300, 300, 45), cores: [], inserts: [] },
      piece: 'slab',
      count: 2,
      mesh: true,
    };
    const list = cutList([threePots().items[0]!, round]);
    expect(english(list)).toEqual([
      { what: 'The drain plug', mesh: false, mould: 'Nested pot', count: 3, across: 19, length: 18 },
      {
        what: 'Mesh',
        mesh: true,
        mould: 'Stepping round',
        count: 2,
        length: expect.closeTo(276, 6),
        width: expect.closeTo(276, 6),
      },
    ]);
    expect(cutList([{ ...round, shape: { ...round.shape, outer: cone(20, 20, 45) } }])).toEqual([]);
  });

  it('is bent round the middle of a wall, its ends lapped', () => {
    const [, mesh] = cutList([{ ...threePots().items[0]!, mesh: true }]);
    // Half way up: 180 mm outside, and 124 + 36 × 72 ÷ 162 = 140 mm inside.
    expect(english(mesh)).toMatchObject({ what: 'Mesh', length: expect.closeTo(Math.PI * 160 + 50, 3), width: 156 });
  });
});
