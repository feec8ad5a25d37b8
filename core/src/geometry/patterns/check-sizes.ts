import { exactly, msg, quantity, type Checker, type Message, type Range } from '../../foundation/units/index.js';
import { LARGEST_SIZE, onceRound, selfCrossing, type PlanPoint } from '../solids/index.js';

/** Sizes of patterns, mm. */
export const SIZE: Range = { min: 1, max: LARGEST_SIZE, unit: 'mm' };
export const BOARD: Range = { min: 0.2, max: 100, unit: 'mm' };
/** Most points of an outline that is drawn or read. */
const MOST_POINTS = 4000;

/** Checks numbers of a pattern by their names and ranges. */
export function checkSizes<T extends object>(check: Checker, pattern: T, sizes: readonly (readonly [keyof T & string, Message, Range])[]): void {
  for (const [field, name, range] of sizes)
    if (pattern[field] !== undefined) check.number(field, pattern[field], name, range);
} // prettier-ignore

/** An outline that is drawn or read: of enough points, of no more than are taken, and without a crossing. */
export function checkOutline(check: Checker, field: string, points: readonly PlanPoint[], closed: boolean): void {
  const least = closed ? 3 : 2;
  check.expect(points.length >= least && points.length <= MOST_POINTS, field, points.length, msg('patterns.pointCount', { count: points.length }), msg('patterns.betweenPoints', { least, most: MOST_POINTS })); // prettier-ignore
  check.expect(points.flat().every((n) => Number.isFinite(n) && Math.abs(n) <= 4 * LARGEST_SIZE), field, points.length, msg('patterns.farPoints'), msg('patterns.nearerPoints', { most: exactly(4 * LARGEST_SIZE, 'mm') })); // prettier-ignore
  if (!check.clean || !closed) return;
  const at = selfCrossing(onceRound(points));
  if (at) check.add(field, at, msg('patterns.crossesItself', { x: quantity(at[0], 'mm', 1), y: quantity(at[1], 'mm', 1) }), msg('patterns.drawOnceRound')); // prettier-ignore
}
