import { InputError } from '../foundation/units/index.js';
import { calculateMould, type MouldShape } from '../geometry/moulds/index.js';
import { workPattern, type CutPattern, type WorkedPattern } from '../geometry/patterns/index.js';
import { outlineArea, type PlanPoint } from '../geometry/solids/index.js';

/** What a mould holds, mL. */
export const mouldVolume = (shape: MouldShape) =>
  calculateMould(shape, { flexibility: 'apart', piece: 'panel' }).volume.value;
/** What patterns of tests are worked out with. */
export const ways = { density: 2, liftLimit: 20_000 };
/** A pattern worked out. */
export const work = (pattern: CutPattern) => workPattern(pattern, ways);
/** What a pattern answers under a name. */
export const answer = ({ answers }: WorkedPattern, key: string) =>
  answers.find(({ name }) => name.key === `patterns.${key}`)!.figure.value;
/** Fields that a pattern is refused by, and why. */
export const issuesOf = (pattern: CutPattern) => {
  try {
    work(pattern);
  } catch (error) {
    if (error instanceof InputError) return error.issues.map(({ field, message }) => `${field} ${message.key}`);
    throw error;
  }
  return [];
};
/** How far points reach along an axis. */
export const size = (points: readonly (readonly number[])[], k: number) =>
  Math.max(...points.map((p) => p[k]!)) - Math.min(...points.map((p) => p[k]!));
/** Lengths of the sides of an outline. */
export const sides = (outline: readonly PlanPoint[]) =>
  outline.map(([x, y], i) =>
    Math.hypot(outline[(i + 1) % outline.length]![0] - x, outline[(i + 1) % outline.length]![1] - y),
  );
/** What of one convex outline lies within another, by cutting. */
export const common = (a: readonly PlanPoint[], b: readonly PlanPoint[]) =>
  Math.abs(
    outlineArea(
      b.reduce<PlanPoint[]>(
        (left, [ax, ay], i) => {
          const [bx, by] = b[(i + 1) % b.length]!;
          const side = ([x, y]: PlanPoint) => (bx - ax) * (y - ay) - (by - ay) * (x - ax);
          return left.flatMap((p, k): PlanPoint[] => {
            const q = left[(k + 1) % left.length]!;
            const [here, there] = [side(p), side(q)];
            const share = here / (here - there);
            const meet: PlanPoint[] =
              here < 0 !== there < 0 ? [[p[0] + share * (q[0] - p[0]), p[1] + share * (q[1] - p[1])]] : [];
            return here >= 0 ? [p, ...meet] : meet;
          });
        },
        [...a],
      ),
    ),
  );
