import { cutLengths, type CutLengths, type LengthWanted, type Stick } from '@dewpot/core/cutting';
import type { Solver } from '@dewpot/core/solver';

/** A way of cutting is looked for so long, s. */
const SECONDS = 4;

/** The work of cutting beside the screen. */
export function makeCuttingWork(load: () => Promise<Solver>) {
  let solver: Promise<Solver> | undefined;
  return {
    /** Which stick gives which pieces; undefined where the sticks do not do. @throws InputError */
    async lengths(wanted: readonly LengthWanted[], sticks: readonly Stick[], kerf: number): Promise<CutLengths | undefined> {
      const solve = await (solver ??= load());
      return cutLengths(wanted, sticks, kerf, { solve, seconds: SECONDS, clock: () => performance.now() / 1000 });
    },
  };
} // prettier-ignore
export type CuttingWork = ReturnType<typeof makeCuttingWork>;
