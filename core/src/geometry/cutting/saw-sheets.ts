import { outlineBox, type PlanPoint } from '../solids/index.js';
import { cheapestFirst, costOf, turned, turnsOf, type LaidSheet, type OutlineWanted, type PlacedOutline, type Sheet, type Turn } from './sheets.js'; // prettier-ignore

/** A part by its box, in its turns that differ; one for each piece. */
interface Boxed {
  readonly key: string;
  readonly turns: readonly { readonly turn: Turn; readonly x0: number; readonly y0: number; readonly width: number; readonly height: number }[]; // prettier-ignore
}

/** What is left of a sheet, to be cut further. */
interface Left {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

interface OpenSheet {
  readonly sheet: Sheet;
  readonly placed: PlacedOutline[];
  left: Left[];
}

/** How boxes are packed: which comes first, which rest of the sheet is taken, and which way that is cut. */
interface Rule {
  readonly size: (width: number, height: number) => number;
  readonly fit: (left: Left, width: number, height: number) => number;
  readonly along: (restWidth: number, restHeight: number) => boolean;
}

const sizes: readonly Rule['size'][] = [(w, h) => w * h, Math.max, Math.min, (w, h) => w + h];
const fits: readonly Rule['fit'][] = [
  ({ width, height }, w, h) => width * height - w * h,
  ({ width, height }, w, h) => Math.min(width - w, height - h),
  ({ x, y }) => x * 1e3 + y,
];
const cuts: readonly Rule['along'][] = [(w, h) => w < h, (w, h) => w >= h];
const rules: readonly Rule[] = sizes.flatMap((size) =>
  fits.flatMap((fit) => cuts.map((along) => ({ size, fit, along }))),
);

/** A rest of a sheet cut up round a box at its corner: the first cut goes right across it, the second across what that leaves. */
function cutUp({ x, y, width, height }: Left, w: number, h: number, kerf: number, along: Rule['along']): Left[] {
  const [restWidth, restHeight] = [width - w - kerf, height - h - kerf];
  const across = along(restWidth, restHeight);
  const beside = { x: x + w + kerf, y, width: restWidth, height: across ? h : height };
  const above = { x, y: y + h + kerf, width: across ? width : w, height: restHeight };
  return [beside, above].filter((one) => one.width > 0 && one.height > 0);
}

/** Puts a box where the rule wants it; answers whether the sheet had room. */
function put(open: OpenSheet, { key, turns }: Boxed, { fit, along }: Rule, kerf: number): boolean {
  const ways = open.left.flatMap((left) => turns.filter(({ width, height }) => width <= left.width && height <= left.height).map((as) => ({ left, as, cost: fit(left, as.width, as.height) }))); // prettier-ignore
  const [first, ...more] = ways;
  if (!first) return false;
  const { left, as } = more.reduce((best, one) => (one.cost < best.cost ? one : best), first);
  open.placed.push({ key, turn: as.turn, x: left.x - as.x0, y: left.y - as.y0 });
  open.left = [...open.left.filter((one) => one !== left), ...cutUp(left, as.width, as.height, kerf, along)];
  return true;
}

/** All boxes packed by one rule; undefined where the sheets do not do. */
function packed(boxes: readonly Boxed[], sheets: readonly Sheet[], kerf: number, rule: Rule): OpenSheet[] | undefined {
  const sizeOf = ({ turns: [as] }: Boxed) => (as ? rule.size(as.width, as.height) : 0);
  const opened: OpenSheet[] = [];
  for (const box of [...boxes].sort((a, b) => sizeOf(b) - sizeOf(a))) {
    if (opened.some((open) => put(open, box, rule, kerf))) continue;
    const next = sheets.find((sheet) => {
      if (opened.filter((open) => open.sheet === sheet).length >= sheet.count) return false;
      const open: OpenSheet = { sheet, placed: [], left: [{ x: 0, y: 0, width: sheet.length, height: sheet.width }] };
      return put(open, box, rule, kerf) && opened.push(open) > 0;
    });
    if (!next) return undefined;
  }
  return opened;
}

/** A part's box in those of its turns in which that differs. */
function boxed(part: OutlineWanted): Boxed {
  const all = turnsOf(part).map((turn) => ({ turn, ...outlineBox(turned(part.outline, turn) as PlanPoint[]) }));
  const unlike = all.filter((one, i) => all.findIndex(({ width, height }) => width === one.width && height === one.height) === i); // prettier-ignore
  return { key: part.key, turns: unlike };
}

/**
 * Lays the boxes of parts on sheets so that every cut goes right across what is left of its sheet, as a table saw cuts: by every rule of which box
 * comes first, where it goes and how the rest is cut, and of these the cheapest (guillotine cuts, Jylänki 2010). mm. Undefined where the sheets do
 * not do.
 */
export function sawSheets(wanted: readonly OutlineWanted[], sheets: readonly Sheet[], kerf: number): LaidSheet[] | undefined {
  const cost = costOf(sheets);
  const byCost = cheapestFirst(sheets);
  const boxes = wanted.flatMap((part) => Array.from({ length: part.count }, () => boxed(part)));
  const layouts = rules.flatMap((rule) => {
    const laid = packed(boxes, byCost, kerf, rule);
    return laid ? [{ laid, cost: laid.reduce((sum, { sheet }) => sum + cost(sheet.key), 0) }] : [];
  });
  const [first, ...more] = layouts;
  const best = first && more.reduce((least, one) => (one.cost < least.cost ? one : least), first);
  return best?.laid.map(({ sheet, placed }) => ({ sheet: sheet.key, placed }));
} // prettier-ignore
