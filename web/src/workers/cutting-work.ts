import {
  cutLengths,
  laySheets,
  type CutLengths,
  type LengthWanted,
  type OutlineWanted,
  type Sheet,
  type SheetLayout,
  type SheetWays,
  type Stick,
} from '@dewpot/core/cutting';
import type { Solver } from '@dewpot/core/solver';

/** A way of cutting is looked for so long, s. */
interface CuttingSeconds {
  readonly sticks: number;
  readonly sheets: number;
}
/** The same parts are laid the same way. */
const SEED = 1;

const clock = () => performance.now() / 1000;

/** The work of cutting beside the screen. */
export function makeCuttingWork(load: () => Promise<Solver>, seconds: CuttingSeconds) {
  let solver: Promise<Solver> | undefined;
  return {
    /** Which stick gives which pieces; undefined where the sticks do not do. @throws InputError */
    async lengths(wanted: readonly LengthWanted[], sticks: readonly Stick[], kerf: number): Promise<CutLengths | undefined> {
      const solve = await (solver ??= load());
      return cutLengths(wanted, sticks, kerf, { solve, seconds: seconds.sticks, clock });
    },
    /** Where parts lie on sheets; hears of each better layout. Undefined where the sheets do not do. @throws InputError */
    async sheets(wanted: readonly OutlineWanted[], sheets: readonly Sheet[], ways: SheetWays, onBetter: (layout: SheetLayout) => void): Promise<SheetLayout | undefined> {
      return laySheets(wanted, sheets, { ...ways, seed: SEED, seconds: seconds.sheets, clock, onBetter: (layout) => onBetter(layout) });
    },
  };
} // prettier-ignore
export type CuttingWork = ReturnType<typeof makeCuttingWork>;
