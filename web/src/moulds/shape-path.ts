import type { MouldShape, PlacedSolid } from '@dewpot/core/moulds';
import type { Solid } from '@dewpot/core/solids';

type Tree = Readonly<Record<string, unknown>>;

/** The number at a path of a shape such as `cores.0.solid.topDiameter`; undefined where there is none. */
export function readPath(shape: MouldShape, path: string): number | undefined {
  const found = path.split('.').reduce<unknown>((at, step) => (at as Tree | undefined)?.[step], shape);
  return typeof found === 'number' && Number.isFinite(found) ? found : undefined;
}

function write(at: unknown, [step, ...rest]: readonly string[], value: unknown): unknown {
  if (step === undefined) return value;
  if (Array.isArray(at)) return at.map((one: unknown, i) => (String(i) === step ? write(one, rest, value) : one));
  return { ...(at as Tree), [step]: write((at as Tree)[step], rest, value) };
}

/** The shape with another value at a path. An emptied field is NaN, which the core refuses by name. */
export function writePath(shape: MouldShape, path: string, value: number | undefined): MouldShape {
  return follow(shape, write(shape, path.split('.'), value ?? NaN) as MouldShape);
}

/** Within this the top of a core counts as at the rim, mm. */
const NEAR = 0.5;

const heightIn = (solid: Solid): number | undefined =>
  'height' in solid ? solid.height : 'depth' in solid ? solid.depth : undefined;

const withHeight = (solid: Solid, height: number): Solid =>
  'height' in solid ? { ...solid, height } : 'depth' in solid ? { ...solid, depth: height } : solid;

/** What stood up to the rim stays up to the rim, and a plug through the base stays through the base. */
function follow(before: MouldShape, after: MouldShape): MouldShape {
  const [rim, newRim] = [heightIn(before.outer), heightIn(after.outer)];
  const [base, newBase] = [before.cores[0]?.bottom ?? rim, after.cores[0]?.bottom ?? newRim];
  const kept = (set: 'cores' | 'inserts') =>
    after[set].map((placed, i): PlacedSolid => {
      const old = before[set][i];
      const height = old && heightIn(old.solid);
      // Its own height was typed: that counts.
      if (!old || height === undefined || heightIn(placed.solid) !== height) return placed;
      const to = (end: number) => ({ ...placed, solid: withHeight(placed.solid, end - placed.bottom) });
      if (rim !== undefined && newRim !== undefined && Math.abs(old.bottom + height - rim) < NEAR) return to(newRim);
      if (
        set === 'inserts' &&
        base !== undefined &&
        newBase !== undefined &&
        Math.abs(old.bottom + height - base) < NEAR
      )
        return to(newBase);
      return placed;
    });
  return { ...after, cores: kept('cores'), inserts: kept('inserts') };
}
