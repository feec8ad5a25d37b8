import { computed, exactly, figure, line, msg, quantity, type Figure, type Message } from '../../foundation/units/index.js'; // prettier-ignore
import { bedSand, meshForSlab } from '../moulds/index.js';
import type { PlanPoint } from '../solids/index.js';
import { circleOutline, cutPart, rectangle, toDegrees, toRadians, type CutPart, type PatternAnswer, type PlanLine, type WorkedPattern } from './cut-part.js'; // prettier-ignore
import type { InsidePattern, InsidePiece } from './pattern.js';

type Piece<What extends InsidePiece['what']> = Extract<InsidePiece, { what: What }>;
type Worked = Pick<WorkedPattern, 'parts' | 'answers' | 'notes' | 'plan'> &
  Partial<Pick<WorkedPattern, 'warnings' | 'cautions'>>;

/** Blocks that hold mesh up stand at most so far apart, mm. */
const SPACING = 300;
/** A block is so wide, mm. */
const BLOCK = 20;
/** Hooks at the two ends of a wire, mm together. Handbook 19, "Wire". */
const HOOKS = 60;
/** Points of a wound wire that are drawn at most. */
const MOST_DRAWN = 1200;
/** A core with less draft than this, degrees, holds fast. */
const LEAST_DRAFT = 2;
/** A plug stands so far above its slab to be drawn by, mm. */
const GRIP = 15;
/** Room round a leaf on its board, mm. */
const ROUND_LEAF = 50;
/** The least that a blank for a plug is wide, mm. */
const BLANK = 25;
const MM3_TO_ML = 1e-3;

const answer = (name: Message, value: Figure): PatternAnswer => ({ name, figure: value });
const length = (value: number, working: Figure['working'] = []): Figure => figure(value, 'mm', computed, working);
const sized = (key: string, value: number, working: Figure['working'] = []) => answer(msg(`patterns.${key}`), length(value, working)); // prettier-ignore
const counted = (key: string, value: number, working: Figure['working'] = []) => answer(msg(`patterns.${key}`), figure(value, 'count', computed, working)); // prettier-ignore

function mesh({ length: long, width, slab, cover }: Piece<'mesh'>): Worked {
  const cut = meshForSlab(long, width ?? long, cover);
  const [along, across] = [cut.length.value, cut.width.value];
  const inRow = (size: number) => Math.max(2, Math.ceil(size / SPACING) + 1);
  const shaped = (l: number, w: number) => (width === undefined ? circleOutline(l / 2) : rectangle(l, w, -l / 2, -w / 2));
  const outline = shaped(along, across);
  const places = blockPlaces(along, across, inRow(along), inRow(across)).filter(([x, y]) => width !== undefined || Math.hypot(x, y) <= along / 2);
  const blocks = places.length;
  return {
    parts: [cutPart({ key: 'A', name: msg('patterns.meshCut'), stuff: 'mesh', count: 1, thickness: 1, outline })],
    answers: [
      answer(msg(width === undefined ? 'patterns.meshDiameter' : 'patterns.meshLength'), cut.length),
      ...(width === undefined ? [] : [answer(msg('patterns.meshWidth'), cut.width)]),
      sized('spacerHeight', cover, [line(msg('moulds.cover'), cover, 'mm')]),
      counted('spacers', blocks, [line(msg('patterns.apartAtMost'), SPACING, 'mm'), line(msg('patterns.spacers'), blocks, 'count', msg('patterns.rowsOf', { a: inRow(along), b: inRow(across) }))]),
    ],
    warnings: 2 * cover >= slab ? [msg('patterns.slabThinForMesh', { slab: exactly(slab, 'mm'), cover: exactly(cover, 'mm') })] : [],
    notes: [msg('patterns.meshOnBlocks', { cover: exactly(cover, 'mm') }), msg('patterns.coverOutdoors')],
    cautions: [msg('patterns.cutEnds')],
    plan: [
      { layer: 'slab', points: shaped(long, width ?? long), closed: true },
      { layer: 'centre', points: outline, closed: true },
      ...places.map(([x, y]): PlanLine => ({ layer: 'wall', points: rectangle(BLOCK, BLOCK, x - BLOCK / 2, y - BLOCK / 2), closed: true })),
    ],
  };
} // prettier-ignore

/** Where blocks stand under mesh, in rows from edge to edge; a block stands wholly under it. */
const blockPlaces = (along: number, across: number, a: number, b: number): PlanPoint[] =>
  Array.from({ length: a * b }, (_, i): PlanPoint => {
    const [k, row] = [i % a, Math.floor(i / a)];
    return [((along - BLOCK) * k) / (a - 1) - (along - BLOCK) / 2, ((across - BLOCK) * row) / (b - 1) - (across - BLOCK) / 2]; // prettier-ignore
  });

/** Wire for turns about a pipe, mm: n·√((π(d + w))² + p²) and two hooks of 30 mm. Handbook 19, "Wire". */
function wire({ pipe, wire: thick, turns, pitch }: Piece<'wire'>): Worked {
  const turn = Math.hypot(Math.PI * (pipe + thick), pitch);
  const whole = turns * turn + HOOKS;
  return {
    parts: [cutPart({ key: 'A', name: msg('patterns.wireCut'), stuff: 'rod', count: 1, thickness: thick, outline: rectangle(whole, thick), grain: true })],
    answers: [
      sized('wireLength', whole, [line(msg('patterns.oneTurn'), turn, 'mm', '√((π × (d + w))² + p²)'), line(msg('patterns.hooks'), HOOKS, 'mm'), line(msg('patterns.wireLength'), whole, 'mm', 'n × turn + hooks')]),
      sized('wrapLength', turns * pitch, [line(msg('patterns.wireTurns'), turns, 'count'), line(msg('patterns.wirePitch'), pitch, 'mm')]),
      sized('wrapDiameter', pipe + 2 * thick),
    ],
    notes: [msg('patterns.coverOutdoors')],
    cautions: [msg('patterns.cutEnds')],
    plan: [
      { layer: 'slab', points: rectangle(turns * pitch + 2 * pipe, pipe, -pipe), closed: true },
      { layer: 'strip', points: Array.from({ length: Math.min(MOST_DRAWN, Math.ceil(turns * 12)) + 1 }, (_, i): PlanPoint => [(i * pitch) / 12, ((pipe + thick) / 2) * Math.sin((2 * Math.PI * i) / 12) + pipe / 2]), closed: false },
    ],
  };
} // prettier-ignore

/** The card of a core, flat: a strip, or a part of a ring for a core that tapers; and where its overlap begins. */
function coreCard({ bottom, top, height, overlap }: Piece<'core'>): { outline: PlanPoint[]; lap: readonly [PlanPoint, PlanPoint] } {
  const [small, large] = [Math.min(bottom, top), Math.max(bottom, top)];
  const slant = Math.hypot(height, (large - small) / 2);
  if (large - small < 1e-6 * large) {
    const round = Math.PI * large;
    return { outline: rectangle(round + overlap, height), lap: [[round, 0], [round, height]] };
  }
  // A cone rolled out: the way round its large end lies on a circle about its point.
  const outer = (slant * large) / (large - small);
  const inner = outer - slant;
  const whole = (Math.PI * large) / outer;
  const angle = whole + overlap / outer;
  const steps = Math.max(24, Math.ceil(toDegrees(angle) / 3));
  const at = (radius: number, turn: number): PlanPoint => [radius * Math.cos(turn), radius * Math.sin(turn)];
  const arc = (radius: number) => Array.from({ length: steps + 1 }, (_, i) => at(radius, (angle * i) / steps));
  return { outline: [...arc(outer), ...(inner > 1e-6 ? arc(inner).reverse() : [[0, 0] as const])], lap: [at(outer, whole), at(inner, whole)] };
} // prettier-ignore

function core(piece: Piece<'core'>): Worked {
  const { bottom, top, height, card } = piece;
  const { outline, lap } = coreCard(piece);
  const draft = toDegrees(Math.atan((top - bottom) / 2 / height));
  const room = ((Math.PI * height) / 12) * (bottom ** 2 + bottom * top + top ** 2) * MM3_TO_ML;
  const end = (key: string, name: string, diameter: number): CutPart[] =>
    diameter > 2 * card ? [cutPart({ key, name: msg(`patterns.${name}`), stuff: 'sheet', count: 1, thickness: card, outline: circleOutline(diameter / 2 - card) })] : [];
  return {
    parts: [
      cutPart({ key: 'A', name: msg('patterns.coreCard'), stuff: 'sheet', count: 1, thickness: card, outline, marks: [{ points: lap, closed: false }] }),
      ...end('B', 'coreBottom', bottom),
      ...end('C', 'coreTop', top),
    ],
    answers: [
      answer(msg('patterns.coreDraft'), figure(draft, '°', computed, [line(msg('patterns.coreTop'), top, 'mm'), line(msg('patterns.coreBottom'), bottom, 'mm'), line(msg('patterns.coreHeight'), height, 'mm'), line(msg('patterns.coreDraft'), draft, '°', 'atan((top − bottom) ÷ 2 ÷ height)')])),
      answer(msg('patterns.coreRoom'), figure(room, 'mL', computed, [line(msg('patterns.coreRoom'), room, 'mL', 'π × h ÷ 12 × (d² + d·D + D²)')])),
    ],
    warnings: draft < LEAST_DRAFT ? [msg(draft < 0 ? 'patterns.coreUndercut' : 'patterns.coreSteep', { draft: quantity(draft, '°', 1), least: exactly(LEAST_DRAFT, '°') })] : [],
    notes: [msg('patterns.cardSealed'), msg('patterns.coreFilled')],
    plan: [{ layer: 'slab', points: outline, closed: true }, { layer: 'centre', points: lap, closed: false }],
  };
} // prettier-ignore

function plug({ hole, slab, draft, count }: Piece<'plug'>): Worked {
  const wide = hole + 2 * slab * Math.tan(toRadians(draft));
  const grip = hole + 2 * (slab + GRIP) * Math.tan(toRadians(draft));
  const drained = (count * Math.PI * hole ** 2) / 4;
  return {
    parts: [cutPart({ key: 'A', name: msg('patterns.plugBlank'), stuff: 'wood', count, thickness: slab + GRIP, outline: rectangle(Math.max(BLANK, wide + 4), Math.max(BLANK, wide + 4)), marks: [wide, hole].map((of) => ({ points: circleOutline(of / 2, Math.max(BLANK, wide + 4) / 2, Math.max(BLANK, wide + 4) / 2), closed: true })) })],
    answers: [
      sized('plugWide', wide, [line(msg('patterns.drainHole'), hole, 'mm'), line(msg('patterns.slabThickness'), slab, 'mm'), line(msg('patterns.plugWide'), wide, 'mm', `hole + 2 × slab × tan(${draft}°)`)]),
      sized('plugNarrow', hole),
      sized('plugLength', slab + GRIP, [line(msg('patterns.slabThickness'), slab, 'mm'), line(msg('patterns.toDrawBy'), GRIP, 'mm')]),
      answer(msg('patterns.drained'), figure(drained, 'mm²', computed, [line(msg('patterns.drained'), drained, 'mm²', 'n × π × d² ÷ 4')])),
    ],
    notes: [msg('patterns.plugGreased')],
    plan: [
      { layer: 'slab', points: rectangle(4 * wide, slab, -2 * wide), closed: true },
      { layer: 'wall', points: [[-hole / 2, 0], [hole / 2, 0], [grip / 2, slab + GRIP], [-grip / 2, slab + GRIP]], closed: true },
    ],
  };
} // prettier-ignore

function sand({ length: long, width, rise, board }: Piece<'sand'>): Worked {
  const [along, across] = [long + 2 * ROUND_LEAF, width + 2 * ROUND_LEAF];
  const area = (Math.PI * long * width) / 4;
  const leaf = circleOutline(0.5).map(([x, y]): PlanPoint => [x * long + along / 2, y * width + across / 2]);
  const around = [line(msg('patterns.leafLength'), long, 'mm'), line(msg('patterns.roundLeaf'), 2 * ROUND_LEAF, 'mm')];
  return {
    parts: [cutPart({ key: 'A', name: msg('patterns.leafBoard'), stuff: 'sheet', count: 1, thickness: board, outline: rectangle(along, across), marks: [{ points: leaf, closed: true }] })],
    answers: [
      answer(msg('patterns.sandVolume'), bedSand({ area, rise })),
      sized('boardLength', along, around),
      sized('boardWidth', across),
    ],
    notes: [msg('patterns.sandDamp')],
    plan: [{ layer: 'wall', points: rectangle(along, across), closed: true }, { layer: 'slab', points: leaf, closed: true }],
  };
} // prettier-ignore

function workedPiece(piece: InsidePiece): Worked {
  switch (piece.what) {
    case 'mesh':
      return mesh(piece);
    case 'wire':
      return wire(piece);
    case 'core':
      return core(piece);
    case 'plug':
      return plug(piece);
    case 'sand':
      return sand(piece);
  }
}

/** Works out what stands in a mould beside the mix, or is cast in: mesh, wire, a core of card, plugs, the bed of a leaf. Handbook 19. */
export function workInside({ piece }: InsidePattern): WorkedPattern {
  return { pieces: [], joints: [], warnings: [], cautions: [], moulds: [], ...workedPiece(piece) };
}
