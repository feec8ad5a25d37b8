import highs, { type Highs } from 'highs';
import { highsSolver } from './highs-solver.js';
import type { Solver } from './solver.js';

// It is a module whose types speak of it as CommonJS: how its default looks depends on who reads them.
const loadHighs = highs as unknown as (options: { locateFile?: () => string }) => Promise<Highs>;

/** Loads the solver. `wasm`: where its program lies; beside the package where left out. It takes tens of milliseconds: keep what it answers. */
export async function loadSolver(wasm?: string): Promise<Solver> {
  return highsSolver(await loadHighs(wasm === undefined ? {} : { locateFile: () => wasm }));
}
