import { defined, stream } from '../../foundation/math/index.js';
import { outlineArea, type PlanPoint } from '../solids/index.js';
import { largestFirst, nestedKinds, nestInOrder, type NestedPiece, type Nesting } from './nest-outlines.js';
import { sawSheets } from './saw-sheets.js';
import { checkSheets, costOf, laidOutline, type LaidSheet, type OutlineWanted, type Sheet, type SheetLayout, type SheetWays } from './sheets.js'; // prettier-ignore

/** How a layout is looked for. */
export interface LayWays extends SheetWays {
  /** The same seed tries the same orders. */
  readonly seed: number;
  /** So long, s, by the clock: the time, s, from any moment on. */
  readonly seconds: number;
  readonly clock: () => number;
  /** Hears of each better layout while it is looked for. */
  readonly onBetter?: (layout: SheetLayout) => void;
  /** So many orders are tried at most. */
  readonly tries?: number;
}

const MOST_TRIES = 5000;
/** After so many tries without a better layout it is looked for no further. */
const STALE = 500;
const NEAR = 1e-6;

const better = (a: Nesting, b: Nesting): boolean =>
  a.cost < b.cost - NEAR || (a.cost < b.cost + NEAR && a.reach < b.reach - NEAR);

/** How far along a sheet its parts reach, mm. */
const reachOf = ({ placed }: LaidSheet, outlines: ReadonlyMap<string, readonly PlanPoint[]>): number =>
  Math.max(0, ...placed.flatMap((one) => laidOutline(defined(outlines.get(one.key)), one).map(([x]) => x)));

/** What sheets and their parts come to. */
function told(laid: readonly LaidSheet[], wanted: readonly OutlineWanted[], sheets: readonly Sheet[]): SheetLayout {
  const cost = costOf(sheets);
  const size = (key: string) => defined(sheets.find((one) => one.key === key));
  const outlines = new Map(wanted.map(({ key, outline }) => [key, outline]));
  const last = laid[laid.length - 1];
  const left = last ? size(last.sheet).length - reachOf(last, outlines) : 0;
  const whole = laid.reduce((sum, { sheet }) => sum + size(sheet).length * size(sheet).width, 0);
  const used = whole - (last ? left * size(last.sheet).width : 0);
  const parts = wanted.reduce((sum, { outline, count }) => sum + count * Math.abs(outlineArea(outline)), 0);
  const largest = Math.max(...sheets.map(({ length, width }) => length * width));
  return {
    sheets: laid,
    cost: laid.reduce((sum, { sheet }) => sum + cost(sheet), 0),
    waste: used <= 0 ? 0 : 1 - parts / used,
    left,
    fewest: laid.length <= Math.ceil(parts / largest - NEAR),
  };
}

/** Shares of the changes: a piece is moved, two are exchanged, one is turned, all of its kind are. */
const CHANGES = { moved: 0.4, exchanged: 0.3, turned: 0.15 } as const;

/** An order with a small change by chance. */
function changed(order: readonly NestedPiece[], random: () => number): NestedPiece[] {
  const next = [...order];
  const at = () => Math.floor(random() * next.length);
  const [from, to, what] = [at(), at(), random()];
  if (what < CHANGES.moved) {
    next.splice(to, 0, ...next.splice(from, 1));
    return next;
  }
  const { kind } = defined(next[from]);
  if (what < CHANGES.moved + CHANGES.exchanged) {
    [next[from], next[to]] = [defined(next[to]), defined(next[from])];
    return next;
  }
  const only = kind.turns[Math.floor(random() * (kind.turns.length + 1))];
  const piece: NestedPiece = { kind, ...(only && { only }) };
  const alone = what < CHANGES.moved + CHANGES.exchanged + CHANGES.turned;
  return next.map((one, i) => ((alone ? i === from : one.kind === kind) ? piece : one));
}

/**
 * Lays parts on sheets: the least cost, then as little of the last sheet as can be. Parts keep a cut apart (mm); where cuts go right
 * across they are packed by their boxes, else nested: each lies as low as it goes by the no-fit polygons of those that lie already, and the order is
 * bettered by chance until the time is over. Undefined where the sheets do not do. Handbook 19, "Cutting".
 * @throws InputError where a part is larger than every sheet, or there are too many
 */
export function laySheets(wanted: readonly OutlineWanted[], sheets: readonly Sheet[], ways: LayWays): SheetLayout | undefined {
  const { kerf, saw, seed, seconds, clock, onBetter, tries = MOST_TRIES } = ways;
  checkSheets(wanted, sheets, kerf);
  if (saw) {
    const laid = sawSheets(wanted, sheets, kerf);
    return laid && told(laid, wanted, sheets);
  }
  const until = clock() + seconds;
  const random = stream(seed);
  const fits = new Map();
  let order = largestFirst(nestedKinds(wanted, kerf, (outline) => Math.abs(outlineArea(outline))), wanted);
  // The first one is laid to its end however long it takes: it is bounded by the number of parts.
  let best = nestInOrder(order, sheets, fits);
  if (best) onBetter?.(told(best.sheets, wanted, sheets));
  const alone = order.length === 1;
  for (let tried = 0, stale = 0; !alone && tried < tries && stale < STALE && clock() < until; tried++, stale++) {
    const next = changed(order, random);
    const found = nestInOrder(next, sheets, fits, () => clock() < until);
    if (!found || (best && better(best, found))) continue;
    if (!best || better(found, best)) {
      stale = 0;
      onBetter?.(told(found.sheets, wanted, sheets));
    }
    [best, order] = [found, next];
  }
  return best && told(best.sheets, wanted, sheets);
} // prettier-ignore
