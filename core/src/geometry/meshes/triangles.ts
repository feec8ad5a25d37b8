/** Triangles of a mesh, nine coordinates each (x, y, z of three corners), in the file's own unit. */
export type Triangles = Float32Array;

/** Told now and then while something heavy runs: share done from 0 to 1. */
export type Progress = (done: number) => void;

/** What heavy work is given: how to tell of it, and how to be stopped. */
export interface Task {
  readonly progress?: Progress;
  readonly signal?: { readonly aborted: boolean };
}

/** Thrown out of heavy work that was stopped. */
export class Stopped extends Error {
  constructor() {
    super('Stopped.');
    this.name = 'Stopped';
  }
}

/** Most triangles that are read: more than any mould for the home has. */
export const MOST_TRIANGLES = 4_000_000;

/** How many steps pass between two looks at the signal. */
const EVERY = 1 << 15;

/** Tells of step `i` of `n` and stops where that was asked. @throws Stopped */
export function tick({ progress, signal }: Task, i: number, n: number): void {
  if (i % EVERY !== 0) return;
  if (signal?.aborted) throw new Stopped();
  progress?.(i / n);
}
