import { geometricMean } from '../../foundation/math/index.js';

/** How one piece dried, h: its time constant brought to 20 °C and half damp. */
export interface DryingSeen {
  readonly tau: number;
}

/** The time constant that pieces of a kind dry with, h at 20 °C and half damp: the geometric mean of theirs; undefined where none was weighed. */
export const learnedTau = (seen: readonly DryingSeen[]): number | undefined =>
  seen.length === 0 ? undefined : geometricMean(seen.map(({ tau }) => tau));
