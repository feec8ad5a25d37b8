import { mouldIssues, type MouldShape } from '../geometry/moulds/index.js';
import type { PlanPoint, Solid } from '../geometry/solids/index.js';

/** A straight box. */
export const box = (length: number, width: number, height: number, cornerRadius = 0): Solid => ({
  kind: 'rect-frustum',
  bottomLength: length,
  bottomWidth: width,
  topLength: length,
  topWidth: width,
  height,
  cornerRadius,
});
/** A mould with nothing in it. */
export const alone = (outer: Solid): MouldShape => ({ outer, cores: [], inserts: [] });
/** A star of twelve points. */
export const star: PlanPoint[] = Array.from({ length: 24 }, (_, i) => {
  const [r, a] = [i % 2 ? 120 : 150, (i / 12) * Math.PI];
  return [r * Math.cos(a), r * Math.sin(a)];
});

/** Fields that a shape is refused by. */
export const fieldsOf = (shape: MouldShape) => mouldIssues(shape).map(({ field }) => field);
