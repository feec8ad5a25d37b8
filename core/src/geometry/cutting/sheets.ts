import { Checker, msg } from '../../foundation/units/index.js';
import { defined } from '../../foundation/math/index.js';
import { costsOf } from './costs.js';
import { outlineBox, type PlanPoint } from '../solids/index.js';

/** Sheets of a size that one has or can buy: how many there are at most, and what one costs. The grain runs along its length. mm */
export interface Sheet {
  readonly key: string;
  readonly length: number;
  readonly width: number;
  readonly count: number;
  /** In the workshop's money; by their area where nothing is said of any. */
  readonly price?: number;
}

/** An outline that is wanted so often, counter-clockwise, mm. With a grain along x it is turned over end only. */
export interface OutlineWanted {
  readonly key: string;
  readonly outline: readonly PlanPoint[];
  readonly count: number;
  readonly grain: boolean;
}

/** Quarter turns, counter-clockwise. */
export type Turn = 0 | 1 | 2 | 3;

/** A part where it lies on its sheet: turned about the origin, then moved by `x` and `y`, mm. */
export interface PlacedOutline {
  readonly key: string;
  readonly turn: Turn;
  readonly x: number;
  readonly y: number;
}

/** A sheet and what lies on it. */
export interface LaidSheet {
  readonly sheet: string;
  readonly placed: readonly PlacedOutline[];
}

/** Which sheet gives which parts. */
export interface SheetLayout {
  readonly sheets: readonly LaidSheet[];
  readonly cost: number;
  /** Area of what is used of the sheets that no part takes, cuts counted in, as a share. */
  readonly waste: number;
  /** Length of the last sheet that stays whole, mm. */
  readonly left: number;
  /** No layout takes fewer sheets, by their area alone. */
  readonly fewest: boolean;
}

/** How parts are laid: what a cut takes, and whether every cut goes right across, as on a table saw. */
export interface SheetWays {
  readonly kerf: number;
  readonly saw: boolean;
}

const MOST_PARTS = 200;
const MOST_KINDS = 60;
const MOST_POINTS = 4000;
const MOST_SHEETS = 1000;
const LONGEST = 20_000;

/** An outline turned by quarters about the origin. */
export function turned(outline: readonly PlanPoint[], turn: Turn): PlanPoint[] {
  const about = ([x, y]: PlanPoint): PlanPoint => {
    if (turn === 0) return [x, y];
    if (turn === 1) return [-y, x];
    return turn === 2 ? [-x, -y] : [y, -x];
  };
  return outline.map(about);
}

/** An outline where it lies. */
export const laidOutline = (outline: readonly PlanPoint[], { turn, x, y }: PlacedOutline): PlanPoint[] =>
  turned(outline, turn).map(([px, py]): PlanPoint => [px + x, py + y]);

/** The turns by which a part may lie: with a grain over end only. */
export const turnsOf = ({ grain }: OutlineWanted): readonly Turn[] => (grain ? [0, 2] : [0, 1, 2, 3]);

/** Whether a part fits a sheet in any of its turns. */
const goesOn = ({ length, width }: Sheet, part: OutlineWanted): boolean =>
  turnsOf(part).some((turn) => {
    const box = outlineBox(turned(part.outline, turn));
    return box.width <= length && box.height <= width;
  });

/** What of sheets cannot be laid: a part larger than any of them, too many parts, a cut that is none. @throws InputError */
export function checkSheets(wanted: readonly OutlineWanted[], sheets: readonly Sheet[], kerf: number): void {
  const check = new Checker();
  check.number('kerf', kerf, msg('patterns.kerf'), { min: 0, max: 20, unit: 'mm' });
  const parts = wanted.reduce((all, { count }) => all + count, 0);
  check.expect(parts <= MOST_PARTS && wanted.length <= MOST_KINDS, 'parts', parts, msg('patterns.manyPieces', { count: parts }), msg('patterns.fewerPieces', { most: MOST_PARTS, kinds: MOST_KINDS })); // prettier-ignore
  sheets.forEach(({ length, width, count, price = 0 }, i) => {
    check.number(`sheets.${i}.length`, length, msg('patterns.sheetLength'), { above: 0, max: LONGEST, unit: 'mm' });
    check.number(`sheets.${i}.width`, width, msg('patterns.sheetWidth'), { above: 0, max: LONGEST, unit: 'mm' });
    check.number(`sheets.${i}.count`, count, msg('patterns.sheetCount'), { min: 0, max: MOST_SHEETS, unit: 'count' });
    check.number(`sheets.${i}.price`, price, msg('patterns.sheetPrice'), { min: 0, max: 1_000_000 });
  });
  wanted.forEach((part, i) => {
    const { key, outline } = part;
    const sound = outline.length >= 3 && outline.length <= MOST_POINTS && outline.flat().every((at) => Math.abs(at) <= LONGEST); // prettier-ignore
    check.expect(sound, `parts.${i}.outline`, outline.length, msg('patterns.outlineUnsound', { part: key }), msg('patterns.outlineAnew')); // prettier-ignore
    if (!sound) return;
    const { width, height } = outlineBox(outline);
    check.expect(sheets.some((sheet) => goesOn(sheet, part)), `parts.${i}`, Math.max(width, height), msg('patterns.largerThanSheet', { part: key }), msg('patterns.largerSheet')); // prettier-ignore
  });
  check.done();
}

/** What a sheet counts for: its price, or its area where prices are not told of all. */
export function costOf(sheets: readonly Sheet[]): (key: string) => number {
  const each = costsOf(sheets, ({ length, width }) => length * width);
  const costs = new Map(sheets.map(({ key }, i) => [key, each[i]]));
  return (key) => defined(costs.get(key));
}

/** Sheets by what they cost for their area. */
export function cheapestFirst(sheets: readonly Sheet[]): Sheet[] {
  const cost = costOf(sheets);
  const each = ({ key, length, width }: Sheet) => cost(key) / (length * width);
  return [...sheets].sort((a, b) => each(a) - each(b));
}
