import { defined } from '../../foundation/math/index.js';
import { Checker, computed, exactly, figure, line, msg, quantity, type Message } from '../../foundation/units/index.js';
import { clipOutline, counterClockwise, moveOutline, outlineArea, type PlanPoint } from '../solids/index.js';
import { cutPart, partKey, rectangle, toDegrees, toRadians, type CutPart, type PatternAnswer, type PlacedPart, type PlanLine, type WorkedPattern } from './cut-part.js'; // prettier-ignore
import { closingErrors, cornersByTriangles, dividing, suspectsOf, tapedOf, type Suspect } from './gap-measures.js';
import type { GapPattern, PatternWays } from './pattern.js';

/** A length that is off by more is taped again, mm. Handbook 19. */
const CLOSES_WITHIN = 5;

/** Corners of the gap: by its outline, or by its sides and diagonals. Throws nothing: what cannot be was refused before. mm */
export function gapCorners(pattern: GapPattern): readonly PlanPoint[] {
  if (pattern.outline) return counterClockwise(pattern.outline);
  if (pattern.sides.length === 3) {
    const corners = cornersByTriangles(pattern.sides, []);
    return 'corners' in corners ? [] : corners;
  }
  const across = dividing(pattern);
  const corners = across && cornersByTriangles(pattern.sides, across);
  return corners && !('corners' in corners) ? corners : [];
}

/** The slab: the gap moved in by the joint, its corners mitred; undefined where nothing is left. mm */
export const slabOutline = (pattern: GapPattern): readonly PlanPoint[] | undefined =>
  moveOutline(gapCorners(pattern), -pattern.joint);

/** Inner angle at each corner of an outline that runs counter-clockwise, degrees. */
export function cornerAngles(outline: readonly PlanPoint[]): number[] {
  return outline.map(([x, y], i) => {
    const [px, py] = defined(outline[(i + outline.length - 1) % outline.length]);
    const [nx, ny] = defined(outline[(i + 1) % outline.length]);
    const angle = Math.atan2(py - y, px - x) - Math.atan2(ny - y, nx - x);
    return toDegrees(angle < 0 ? angle + 2 * Math.PI : angle);
  });
}

/** The part of an outline at one side of an upright line: 1 its right, −1 its left. */
const halfOf = (outline: readonly PlanPoint[], at: number, keep: -1 | 1) => clipOutline(outline, -keep, 0, -keep * at);

/** Turned so that its longest reach lies along x, and the turn back. */
function alongX(outline: readonly PlanPoint[]): { readonly laid: PlanPoint[]; readonly back: (point: PlanPoint) => PlanPoint } {
  let [far, way] = [0, 0];
  for (const [ax, ay] of outline)
    for (const [bx, by] of outline) {
      const size = Math.hypot(bx - ax, by - ay);
      if (size > far) [far, way] = [size, Math.atan2(by - ay, bx - ax)];
    }
  const turned = (angle: number) => ([x, y]: PlanPoint): PlanPoint => [x * Math.cos(angle) - y * Math.sin(angle), x * Math.sin(angle) + y * Math.cos(angle)];
  return { laid: outline.map(turned(-way)), back: turned(way) };
} // prettier-ignore

/** Where an upright line leaves a share of an outline's area at its left. */
function cutAt(outline: readonly PlanPoint[], share: number): number {
  const all = outlineArea(outline);
  let [low, high] = [Math.min(...outline.map(([x]) => x)), Math.max(...outline.map(([x]) => x))];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (outlineArea(halfOf(outline, middle, -1)) < share * all) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** A slab divided by straight cuts into so many pieces of even area, a joint between them. */
function dividedSlab(outline: readonly PlanPoint[], count: number, joint: number): PlanPoint[][] {
  if (count <= 1) return [[...outline]];
  const { laid, back } = alongX(outline);
  const cuts = Array.from({ length: count - 1 }, (_, i) => cutAt(laid, (i + 1) / count));
  return Array.from({ length: count }, (_, i) => {
    const from = i === 0 ? laid : halfOf(laid, defined(cuts[i - 1]) + joint / 2, 1);
    return (i === count - 1 ? from : halfOf(from, defined(cuts[i]) - joint / 2, -1)).map(back);
  });
}

/** How far each corner's mitre carries the outer face of a board beyond the inner one, mm; below 0 where the corner points inwards. */
const mitreRuns = (outline: readonly PlanPoint[], board: number): number[] =>
  cornerAngles(outline).map((angle) => board * Math.tan(toRadians(90 - angle / 2)));

/** Form boards of a slab: inside as long as its sides, mitred by half of each corner. `first`: the place of its first board's letter. */
function boards(outline: readonly PlanPoint[], { board, thickness }: GapPattern, first: number): CutPart[] {
  const angles = cornerAngles(outline);
  const runs = mitreRuns(outline, board).map((run) => Math.max(0, run));
  return outline.map(([x, y], i) => {
    const next = (i + 1) % outline.length;
    const [nx, ny] = defined(outline[next]);
    const length = Math.hypot(nx - x, ny - y);
    const mitre = (at: number) => 90 - defined(angles[at]) / 2;
    const [before, after] = [defined(runs[i]), defined(runs[next])];
    return cutPart({
      key: partKey(first + i),
      name: msg('patterns.formBoard', { from: i + 1, to: next + 1 }),
      stuff: 'board',
      count: 1,
      thickness: board,
      outline: rectangle(length + before + after, thickness),
      mitres: [0, mitre(next), 0, mitre(i)],
      marks: [before, before + length].map((at) => ({ points: [[at, 0], [at, thickness]] as const, closed: false })),
      grain: true,
    });
  });
} // prettier-ignore

/** A slab with its boards folded down round it, their outer faces as long as their mitres make them. */
function piecesOf(outline: readonly PlanPoint[], { board, thickness }: GapPattern, first: number): PlacedPart[] {
  const root: PlacedPart = { number: 1, part: partKey(0), inner: outline, outer: outline, thickness: 0 };
  const runs = mitreRuns(outline, board);
  return [
    root,
    ...outline.map((from, i): PlacedPart => {
      const next = (i + 1) % outline.length;
      const to = defined(outline[next]);
      const size = Math.hypot(to[0] - from[0], to[1] - from[1]);
      const [ux, uy] = [(to[0] - from[0]) / size, (to[1] - from[1]) / size];
      const put = (along: number, out: number): PlanPoint => [from[0] + ux * along + uy * out, from[1] + uy * along - ux * out]; // prettier-ignore
      const face = (a: number, b: number) => [put(-a, 0), put(-a, thickness), put(size + b, thickness), put(size + b, 0)]; // prettier-ignore
      return {
        number: i + 2,
        part: partKey(first + i),
        inner: face(0, 0),
        outer: face(defined(runs[i]), defined(runs[next])),
        thickness: board,
        hinge: { on: 0, from, to, angle: Math.PI / 2 },
      };
    }),
  ];
}

/** Lengths without which the rest closes as well, to so many mm, are told beside the first; no more than these. */
const TOLD_APART = 0.5;
const MOST_SUSPECTS = 5;

/** What the tape says about itself: how well it closes, and which length is likeliest wrong. */
interface TapeCheck {
  readonly warnings: readonly Message[];
  readonly notes: readonly Message[];
  readonly suspect?: Suspect;
}

const toldSuspect = ({ from, to, should, taped }: Suspect, key: 'suspect' | 'orElse'): Message =>
  msg(`patterns.${key}`, { from: from + 1, to: to + 1, taped: exactly(taped, 'mm'), should: quantity(should, 'mm') });

function tapeCheck(pattern: GapPattern, corners: readonly PlanPoint[]): TapeCheck {
  if (pattern.outline) return { warnings: [], notes: [] };
  const taped = tapedOf(pattern);
  const spare = taped.length - (2 * pattern.sides.length - 3);
  if (spare < 1) return { warnings: [], notes: [msg('patterns.oneMore')] };
  const worst = Math.max(...closingErrors(corners, taped).map(Math.abs));
  const error = quantity(worst, 'mm', 1);
  if (worst <= CLOSES_WITHIN) return { warnings: [], notes: [msg('patterns.closes', { error })] };
  const [first, ...others] = suspectsOf(corners, taped);
  const again = msg('patterns.tapeAgain', { error });
  if (!first) return { warnings: [again], notes: [] };
  const alike = others.filter(({ left }) => left < first.left + TOLD_APART).slice(0, MOST_SUSPECTS);
  return {
    warnings: [again, toldSuspect(first, 'suspect'), ...alike.map((one) => toldSuspect(one, 'orElse'))],
    notes: [],
    suspect: first,
  };
}

function answersOf(gap: readonly PlanPoint[], slabs: readonly (readonly PlanPoint[])[], pattern: GapPattern, { density }: PatternWays): PatternAnswer[] {
  const areas = slabs.map((slab) => outlineArea(slab));
  const area = areas.reduce((sum, one) => sum + one, 0);
  const heaviest = (Math.max(...areas) * pattern.thickness * density) / 1000;
  const volume = (area * pattern.thickness) / 1000;
  return [
    { name: msg('patterns.gapArea'), figure: figure(outlineArea(gap) / 1e6, 'm²', computed, [line(msg('patterns.gapArea'), outlineArea(gap), 'mm²', msg('patterns.byTriangles'))]) },
    { name: msg('patterns.slabArea'), figure: figure(area / 1e6, 'm²', computed, [line(msg('patterns.joint'), pattern.joint, 'mm'), line(msg('patterns.slabArea'), area, 'mm²')]) },
    { name: msg('patterns.cavity'), figure: figure(volume, 'mL', computed, [line(msg('patterns.slabArea'), area, 'mm²'), line(msg('patterns.thickness'), pattern.thickness, 'mm'), line(msg('patterns.cavity'), volume, 'mL')]) },
    { name: msg('patterns.heaviestPiece'), figure: figure(heaviest, 'g', computed, [line(msg('patterns.pieces'), slabs.length, 'count'), line(msg('patterns.freshDensity'), density, 'kg/L'), line(msg('patterns.heaviestPiece'), heaviest, 'g')]) },
  ];
} // prettier-ignore

/** A slab is divided into no more pieces than these, and into so many more than its mass asks for: joints make pieces lighter. */
const MOST_PIECES = 60;
const MOST_MORE = 3;

/** The slab in as many pieces as it takes for one to be lifted. @throws InputError where that is too many */
function piecesToLift(outline: readonly PlanPoint[], { joint, thickness }: GapPattern, { density, liftLimit }: PatternWays): PlanPoint[][] {
  const massOf = (one: readonly PlanPoint[]) => (outlineArea(one) * thickness * density) / 1000;
  const least = Math.max(1, Math.ceil(massOf(outline) / liftLimit));
  const check = new Checker();
  check.expect(least <= MOST_PIECES, 'thickness', thickness, msg('patterns.manySlabs', { count: least }), msg('patterns.fewerSlabs', { most: MOST_PIECES }));
  check.done();
  for (let count = least; count < least + MOST_MORE; count++) {
    const slabs = dividedSlab(outline, count, joint);
    if (slabs.every((slab) => massOf(slab) <= liftLimit)) return slabs;
  }
  return dividedSlab(outline, least, joint);
} // prettier-ignore

/** Works out a slab that fills a gap. Handbook 19, "A slab for a gap". */
export function workGap(pattern: GapPattern, ways: PatternWays): WorkedPattern {
  const gap = gapCorners(pattern);
  const outline = slabOutline(pattern) ?? gap;
  const slabs = piecesToLift(outline, pattern, ways);
  const tape = tapeCheck(pattern, gap);
  const wrong = tape.suspect && [tape.suspect.from, tape.suspect.to].map((corner) => defined(gap[corner]));
  const plan: PlanLine[] = [
    { layer: 'measure', points: gap, closed: true },
    ...slabs.map((points): PlanLine => ({ layer: 'slab', points, closed: true })),
    ...(wrong ? [{ layer: 'suspect' as const, points: wrong, closed: false }] : []),
  ];
  const slabParts = slabs.map((slab, i) => cutPart({ key: partKey(i), name: msg('patterns.slab'), stuff: 'panel', count: 1, thickness: pattern.thickness, outline: slab })); // prettier-ignore
  const firsts = slabs.map((_, i) => slabs.slice(0, i).reduce((sum, { length }) => sum + length, slabs.length));
  return {
    parts: [...slabParts, ...slabs.flatMap((slab, i) => boards(slab, pattern, defined(firsts[i])))],
    // Each slab is cast by itself: the first stands for all.
    pieces: piecesOf(slabs[0] ?? outline, pattern, slabs.length),
    joints: [],
    answers: answersOf(gap, slabs, pattern, ways),
    warnings: tape.warnings,
    notes: [
      ...tape.notes,
      msg('patterns.formAngles'),
      ...(slabs.length > 1 ? [msg('patterns.divided', { count: slabs.length, joint: exactly(pattern.joint, 'mm') })] : []), // prettier-ignore
    ],
    cautions: slabs.length > 1 ? [msg('patterns.liftCaution')] : [],
    moulds: slabs.map((slab) => ({
      name: msg('patterns.slab'),
      piece: 'slab',
      count: 1,
      shape: { outer: { kind: 'prism', outline: slab, depth: pattern.thickness, draft: 0 }, cores: [], inserts: [] },
    })),
    plan,
  };
}
