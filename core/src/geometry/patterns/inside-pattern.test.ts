import { describe, expect, it } from 'vitest';
import { answer, issuesOf, work as workAny } from '../../testing/worked-patterns.js';
import { outlineArea, outlineLength } from '../solids/index.js';
import type { InsidePiece, WorkedPattern } from './index.js';

const work = (piece: InsidePiece): WorkedPattern => workAny({ kind: 'inside', piece });
const warned = ({ warnings }: WorkedPattern) => warnings.map(({ key }) => key.replace('patterns.', ''));
const refused = (piece: InsidePiece) => issuesOf({ kind: 'inside', piece }).map((issue) => issue.split(' ')[0]);

describe('mesh for a slab', () => {
  it('keeps its cover on every side, and stands on blocks no more than 300 mm apart', () => {
    const slab = work({ what: 'mesh', length: 624, width: 324, slab: 40, cover: 12 });
    expect([answer(slab, 'meshLength'), answer(slab, 'meshWidth')]).toEqual([600, 300]);
    expect(answer(slab, 'spacers')).toBe(3 * 2);
    expect(warned(slab)).toEqual([]);
  });

  it('is round where the slab is, and warns of a slab too thin for it', () => {
    const round = work({ what: 'mesh', length: 424, slab: 20, cover: 12 });
    expect(answer(round, 'meshDiameter')).toBe(400);
    expect(outlineLength(round.parts[0]!.outline)).toBeCloseTo(Math.PI * 400, -1);
    expect(warned(round)).toEqual(['slabThinForMesh']);
    expect(refused({ what: 'mesh', length: 60, width: 24, slab: 40, cover: 12 })).toEqual(['piece.cover']);
  });
});

it('wire for turns about a pipe is as long as the screw line that it lies on, with its hooks', () => {
  const wrap = work({ what: 'wire', pipe: 50, wire: 2, turns: 10, pitch: 30 });
  // The line in space, walked in small steps.
  const steps = 20_000;
  const at = (i: number) => {
    const turn = (2 * Math.PI * 10 * i) / steps;
    return [26 * Math.cos(turn), 26 * Math.sin(turn), (300 * i) / steps] as const;
  };
  let walked = 60;
  for (let i = 0; i < steps; i++) {
    const [[ax, ay, az], [bx, by, bz]] = [at(i), at(i + 1)];
    walked += Math.hypot(bx - ax, by - ay, bz - az);
  }
  expect(answer(wrap, 'wireLength')).toBeCloseTo(walked, 1);
  expect(answer(wrap, 'wrapLength')).toBe(300);
  expect(refused({ what: 'wire', pipe: 50, wire: 2, turns: 10, pitch: 1 })).toEqual(['piece.pitch']);
});

describe('a core bent from card', () => {
  const taper = { what: 'core', bottom: 120, top: 150, height: 160, card: 1, overlap: 20 } as const;

  it('lies flat as the part of a ring that goes round both its ends, with the lap beyond', () => {
    const [card, bottom, top] = work(taper).parts;
    const slant = Math.hypot(160, 15);
    const lateral = (Math.PI * (120 + 150) * slant) / 2;
    const lap = (20 * slant * (1 + 120 / 150)) / 2;
    expect(Math.abs(outlineArea(card!.outline))).toBeCloseTo(lateral + lap, -2.5);
    expect(outlineLength(card!.outline)).toBeCloseTo(Math.PI * 270 + 20 * (1 + 120 / 150) + 2 * slant, -1);
    expect([bottom, top].map((one) => Math.round(outlineLength(one!.outline) / Math.PI))).toEqual([118, 148]);
  });

  it('takes what a cone of its size takes, and one that does not taper is a strip', () => {
    expect(answer(work(taper), 'coreRoom')).toBeCloseTo(2299.65, 1);
    const straight = work({ ...taper, bottom: 150 });
    expect(straight.parts[0]!.outline).toHaveLength(4);
    expect(warned(straight)).toEqual(['coreSteep']);
    expect(warned(work({ ...taper, bottom: 170 }))).toEqual(['coreUndercut']);
    expect(warned(work(taper))).toEqual([]);
  });

  it('comes to a point where its bottom is none', () => {
    const cone = work({ ...taper, bottom: 0 });
    expect(cone.parts.map(({ key }) => key)).toEqual(['A', 'C']);
    expect(answer(cone, 'coreRoom')).toBeCloseTo((Math.PI * 160 * 150 ** 2) / 12000, 0);
    expect(refused({ ...taper, card: 80 })).toEqual(['piece.card']);
  });
});

it('a plug is wider by its draft through the slab, and part of a plug is none', () => {
  const plugs = work({ what: 'plug', hole: 15, slab: 40, draft: 3, count: 3 });
  expect(answer(plugs, 'plugWide')).toBeCloseTo(15 + 80 * Math.tan((3 * Math.PI) / 180), 9);
  expect(answer(plugs, 'drained')).toBeCloseTo(3 * Math.PI * 7.5 ** 2, 9);
  expect(plugs.parts[0]).toMatchObject({ count: 3, thickness: 55 });
  expect(refused({ what: 'plug', hole: 15, slab: 40, draft: 3, count: 2.5 })).toEqual(['piece.count']);
});

it('the sand of a leaf is half of its ellipse by its rise, on a board with room all round', () => {
  const bed = work({ what: 'sand', length: 400, width: 300, rise: 60, board: 12 });
  expect(answer(bed, 'sandVolume')).toBeCloseTo((((Math.PI * 400 * 300) / 4) * 60) / 2000, 6);
  expect([answer(bed, 'boardLength'), answer(bed, 'boardWidth')]).toEqual([500, 400]);
});

it('every size of every piece is refused by its field where it is none', () => {
  const pieces: InsidePiece[] = [
    { what: 'mesh', length: NaN, width: NaN, slab: NaN, cover: NaN },
    { what: 'wire', pipe: NaN, wire: NaN, turns: NaN, pitch: NaN },
    { what: 'core', bottom: NaN, top: NaN, height: NaN, card: NaN, overlap: NaN },
    { what: 'plug', hole: NaN, slab: NaN, draft: NaN, count: NaN },
    { what: 'sand', length: NaN, width: NaN, rise: NaN, board: NaN },
  ];
  for (const piece of pieces) expect(refused(piece)).toEqual(Object.keys(piece).slice(1).map((field) => `piece.${field}`)); // prettier-ignore
});
