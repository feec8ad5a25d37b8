import { defined } from '../../foundation/math/index.js';
import { outlineBox, type PlanPoint } from '../solids/index.js';
import { grown, noFit, roomCorners, SLACK } from './no-fit.js';
import { cheapestFirst, costOf, turned, turnsOf, type LaidSheet, type OutlineWanted, type PlacedOutline, type Sheet, type Turn } from './sheets.js'; // prettier-ignore

/** A part in one of its turns: as it is, and grown by half a cut. */
interface TurnedPart {
  readonly turn: Turn;
  readonly outline: readonly PlanPoint[];
  readonly box: ReturnType<typeof outlineBox>;
}

/** A kind of part with the turns in which it differs. */
export interface NestedKind {
  readonly key: string;
  readonly area: number;
  /** As it was drawn, grown by half a cut. */
  readonly grown: readonly PlanPoint[];
  readonly turns: readonly TurnedPart[];
}

const sameOutline = (a: readonly PlanPoint[], b: readonly PlanPoint[]): boolean => {
  const at = outlineBox(a);
  const box = outlineBox(b);
  const near = (one: number, other: number) => Math.abs(one - other) < 1e-6;
  if (a.length !== b.length || !near(at.width, box.width) || !near(at.height, box.height)) return false;
  return a.every(([x, y]) => b.some(([bx, by]) => near(x - at.x0, bx - box.x0) && near(y - at.y0, by - box.y0)));
};

/** The parts in the turns that are worth a try, each grown by half a cut. Area in mm². */
export function nestedKinds(wanted: readonly OutlineWanted[], kerf: number, area: (outline: readonly PlanPoint[]) => number): NestedKind[] {
  return wanted.map((part) => {
    const unlike: TurnedPart[] = [];
    for (const turn of turnsOf(part)) {
      const outline = turned(part.outline, turn);
      if (unlike.some((one) => sameOutline(one.outline, outline))) continue;
      unlike.push({ turn, outline, box: outlineBox(outline) });
    }
    return { key: part.key, area: area(part.outline), grown: grown(part.outline, kerf / 2 - SLACK), turns: unlike };
  });
} // prettier-ignore

/** A piece to lay: in the turn that does best where it lies, or in one of them alone. */
export interface NestedPiece {
  readonly kind: NestedKind;
  readonly only?: TurnedPart;
}

/** What was worked out of two kinds beside each other, by the quarter turn between them, serves every time they meet so. */
export type KnownFits = Map<string, readonly (readonly PlanPoint[])[]>;

interface Lying {
  readonly kind: NestedKind;
  readonly part: TurnedPart;
  readonly at: PlanPoint;
}

interface OpenSheet {
  readonly sheet: Sheet;
  readonly placed: PlacedOutline[];
  readonly lying: Lying[];
  /** Kinds that found no room here: none comes free later. */
  readonly full: Set<NestedKind>;
}

const openSheet = (sheet: Sheet): OpenSheet => ({ sheet, placed: [], lying: [], full: new Set() });

/** Where a kind may not be put beside another that lies as it was drawn, turned by so many quarters. */
function fitOf(stays: NestedKind, comes: NestedKind, by: Turn, fits: KnownFits) {
  const pair = `${stays.key}|${comes.key}|${by}`;
  const known = fits.get(pair) ?? noFit(stays.grown, turned(comes.grown, by));
  fits.set(pair, known);
  return known;
}

/** Where a part may not be put beside those that lie on a sheet. */
const forbiddenOn = ({ lying }: OpenSheet, comes: NestedKind, { turn }: TurnedPart, fits: KnownFits): PlanPoint[][] =>
  lying.flatMap(({ kind, part, at: [dx, dy] }) => {
    const known = fitOf(kind, comes, ((turn - part.turn + 4) % 4) as Turn, fits);
    return known.map((loop) => turned(loop, part.turn).map(([x, y]): PlanPoint => [x + dx, y + dy]));
  });

interface Place {
  readonly part: TurnedPart;
  readonly at: PlanPoint;
  /** How far along the sheet it reaches, and across, mm. */
  readonly reach: readonly [along: number, across: number];
}

const sooner = ([along, across]: Place['reach'], best: Place['reach'] | undefined) =>
  !best || along < best[0] - 1e-6 || (along < best[0] + 1e-6 && across < best[1]);

/** The place on a sheet where a part reaches the least along it, in the turn that does best. */
function bestPlace(open: OpenSheet, { kind, only }: NestedPiece, fits: KnownFits): Place | undefined {
  let best: Place | undefined;
  const { length, width } = open.sheet;
  for (const part of only ? [only] : kind.turns) {
    const { x0, y0, width: along, height: across } = part.box;
    if (along > length || across > width) continue;
    const [least, most]: [PlanPoint, PlanPoint] = [[-x0, -y0], [length - along - x0, width - across - y0]]; // prettier-ignore
    for (const [x, y] of roomCorners(least, most, forbiddenOn(open, kind, part, fits))) {
      const reach = [x + x0 + along, y + y0 + across] as const;
      if (sooner(reach, best?.reach)) best = { part, at: [x, y], reach };
    }
  }
  return best;
}

/** Parts laid in an order, and how far the last sheet is used, mm. */
export interface Nesting {
  readonly sheets: readonly LaidSheet[];
  readonly cost: number;
  readonly reach: number;
}

/**
 * Lays parts in an order, each on the first sheet that has room for it, as low along the sheet as it goes; a new sheet is the one that
 * costs least by its area. Undefined where the sheets do not do, or where `going` says that the time is over.
 */
export function nestInOrder(
  order: readonly NestedPiece[],
  sheets: readonly Sheet[],
  fits: KnownFits,
  going: () => boolean = () => true,
): Nesting | undefined {
  const cost = costOf(sheets);
  const byCost = cheapestFirst(sheets);
  const opened: OpenSheet[] = [];
  for (const piece of order) {
    if (!going()) return undefined;
    if (opened.some((open) => putOn(open, piece, fits))) continue;
    const next = byCost.find((sheet) => {
      if (opened.filter((open) => open.sheet === sheet).length >= sheet.count) return false;
      const open = openSheet(sheet);
      return putOn(open, piece, fits) && opened.push(open) > 0;
    });
    if (!next) return undefined;
  }
  const last = opened[opened.length - 1];
  return {
    sheets: opened.map(({ sheet, placed }) => ({ sheet: sheet.key, placed })),
    cost: opened.reduce((sum, { sheet }) => sum + cost(sheet.key), 0),
    reach: Math.max(0, ...(last?.lying ?? []).map(({ part, at }) => at[0] + part.box.x0 + part.box.width)),
  };
}

/** Puts a piece on a sheet; answers whether it had room. */
function putOn(open: OpenSheet, piece: NestedPiece, fits: KnownFits): boolean {
  const { kind, only } = piece;
  if (open.full.has(kind)) return false;
  const place = bestPlace(open, piece, fits);
  if (!place) {
    if (!only) open.full.add(kind);
    return false;
  }
  const { part, at } = place;
  open.placed.push({ key: kind.key, turn: part.turn, x: at[0], y: at[1] });
  open.lying.push({ kind, part, at });
  return true;
}

/** One of each piece that is wanted, the largest first. */
export const largestFirst = (kinds: readonly NestedKind[], wanted: readonly OutlineWanted[]): NestedPiece[] =>
  kinds
    .flatMap((kind, i) => Array.from({ length: defined(wanted[i]).count }, (): NestedPiece => ({ kind })))
    .sort((a, b) => b.kind.area - a.kind.area);
