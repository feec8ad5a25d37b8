import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { InputError } from '../../foundation/units/index.js';
import { issuesOf, size, work } from '../../testing/worked-patterns.js';
import type { PlanPoint } from '../solids/index.js';
import { cutPatternKinds, woodKinds, workPattern, type CutPattern } from './index.js';

describe('patterns at the door', () => {
  const wild = fc.oneof(fc.constantFrom(NaN, Infinity, -Infinity, -1, 0, 1e-9, 1e9), fc.double());
  const first: Readonly<Record<CutPattern['kind'], CutPattern>> = {
    solid: {
      kind: 'solid',
      which: 'cube',
      edge: 70,
      open: 'square',
      board: 3,
      joint: 'mitred',
      holder: { diameter: 30, depth: 30 },
    },
    box: { kind: 'box', length: 300, width: 200, height: 60, board: 18, corner: 'lapped', bottom: 'under', screw: 4 },
    'panel-box': {
      kind: 'panel-box',
      length: 400,
      width: 300,
      height: 250,
      panel: 25,
      corner: 'covered',
      drawnSide: 350,
    },
    house: {
      kind: 'house',
      width: 240,
      depth: 300,
      eaves: 160,
      pitch: 40,
      panel: 15,
      overhang: 25,
      roof: 'planted',
      roofThickness: 9,
      soil: 20,
      base: 18,
      sheet: 5,
      cover: 6,
      openings: [],
    },
    strip: {
      kind: 'strip',
      line: { shape: 'ring', diameter: 400 },
      channel: 60,
      height: 50,
      strip: 1,
      sheet: 1000,
      overlap: 40,
    },
    gap: {
      kind: 'gap',
      sides: [400, 300, 380, 290],
      diagonals: [{ from: 0, to: 2, length: 500 }],
      joint: 10,
      thickness: 40,
      board: 18,
    },
    bed: {
      kind: 'bed',
      length: 1200,
      width: 800,
      panelHeight: 200,
      panelLength: 800,
      panel: 40,
      draft: 3,
      levels: 2,
      rod: 12,
    },
    wood: { kind: 'wood', wood: 'disc', length: 180, width: 120, thickness: 18, cord: 5 },
    inside: { kind: 'inside', piece: { what: 'core', bottom: 120, top: 150, height: 160, card: 1, overlap: 20 } },
  };

  it.each(cutPatternKinds)(
    'a %s with any number in any of its fields is worked out in whole numbers or refused by a field',
    (kind) => {
      const base = first[kind];
      // What a pattern is of stands in it as a part of its own.
      const within = base.kind === 'inside' ? base.piece : base;
      const fields = Object.entries(within).flatMap(([field, value]) => (typeof value === 'number' ? [field] : []));
      fc.assert(
        fc.property(fc.constantFrom(...fields), wild, (field, value) => {
          try {
            const wild = { ...within, [field]: value };
            const { answers, parts } = work((base.kind === 'inside' ? { ...base, piece: wild } : wild) as CutPattern);
            answers.forEach(({ figure }) => expect(Number.isFinite(figure.value)).toBe(true));
            expect(parts.flatMap(({ outline }) => outline.flat()).every(Number.isFinite)).toBe(true);
          } catch (error) {
            if (!(error instanceof InputError)) throw error;
            expect(error.issues.length).toBeGreaterThan(0);
          }
        }),
        { numRuns: 150, seed: 11 },
      );
    },
  );

  it('a mix that is no mix and a limit that is none are refused too', () => {
    expect(() => workPattern(first.box, { density: NaN, liftLimit: 20_000 })).toThrow(InputError);
    expect(() => workPattern(first.box, { density: 2, liftLimit: 0 })).toThrow(InputError);
  });

  it('a lid rests on its wall and its lip goes into the pot; without a wall it is its lip alone', () => {
    const lid = { kind: 'wood', wood: 'lid', length: 150, thickness: 12 } as const;
    expect(work(lid).parts.map(({ key }) => key)).toEqual(['A']);
    const [lip, top] = work({ ...lid, wall: 10 }).parts;
    expect([size(lip!.outline, 0), size(top!.outline, 0)].map(Math.round)).toEqual([148, 170]);
    expect(size(top!.marks[0]!.points, 0)).toBeCloseTo(148, 6);
    const square = work({ ...lid, width: 100, wall: 10 }).parts[1]!;
    expect([size(square.outline, 0), size(square.outline, 1)]).toEqual([170, 120]);
  });

  it.each(woodKinds)('wood as a %s is as large as it must be, round or square', (wood) => {
    const more = { disc: -2, base: 0, roof: 50, lid: -2, feet: 0 }[wood];
    const round = work({ kind: 'wood', wood, length: 200, thickness: 18 }).parts[0]!;
    expect(size(round.outline, 0)).toBeCloseTo(200 + more, 6);
    const square = work({ kind: 'wood', wood, length: 200, width: 150, thickness: 18 }).parts[0]!;
    expect([size(square.outline, 0), size(square.outline, 1)]).toEqual([200 + more, 150 + more]);
    expect(square.marks.length).toBe(wood === 'feet' ? 4 : 0);
  });

  it('an outline of too many points, one that lies nowhere and one that crosses itself are refused', () => {
    const strip = (points: readonly PlanPoint[]): CutPattern =>
      ({ ...first.strip, line: { shape: 'free', points, closed: true } }) as CutPattern;
    const many = Array.from({ length: 5000 }, (_, i): PlanPoint => [i, i % 2]);
    expect(issuesOf(strip(many))).toEqual(['line.points patterns.pointCount']);
    expect(
      issuesOf(
        strip([
          [0, 0],
          [NaN, 3],
          [100, 100],
        ]),
      ),
    ).toEqual(['line.points patterns.farPoints']);
    expect(
      issuesOf(
        strip([
          [0, 0],
          [1e6, 0],
          [100, 100],
        ]),
      ),
    ).toEqual(['line.points patterns.farPoints']);
  });
});
