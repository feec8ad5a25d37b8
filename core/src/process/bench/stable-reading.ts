import { defined } from '../../foundation/math/index.js';
/** What a scale showed at a time, ms; no mass where it shows none. */
export interface ShownMass {
  readonly at: number;
  readonly mass?: number;
  /** Step of the scale, g. */
  readonly step: number;
}

/** A reading is steady when it has stayed within two steps for so long, ms. */
const STEADY_FOR = 1200;
/** Fewer readings than this in that time tell nothing. */
const FEWEST = 4;
/** A reading that came so long after the one before comes out of a gap, ms. */
const GAP = 1500;

/** Whether a reading can be believed: a finite mass that a bench scale could show. */
export const isReading = ({ mass, at, step }: ShownMass): boolean =>
  mass !== undefined && Number.isFinite(mass) && Math.abs(mass) < 1e6 && Number.isFinite(at) && step > 0;

/**
 * What a scale shows once it is steady, g: the mean of the last readings when they have stayed within two steps of each
 * other for 1.2 s without a gap; undefined while it moves, shows nothing, or sends what no scale can show.
 */
export function stableReading(readings: readonly ShownMass[]): number | undefined {
  const last = readings.at(-1);
  if (!last || !isReading(last)) return undefined;
  const recent: ShownMass[] = [];
  for (let i = readings.length - 1; i >= 0; i--) {
    const one = defined(readings[i]);
    const next = recent.at(-1);
    if (!isReading(one) || (next && next.at - one.at > GAP)) break;
    recent.push(one);
    if (last.at - one.at >= STEADY_FOR) break;
  }
  if (recent.length < FEWEST || last.at - defined(recent.at(-1)).at < STEADY_FOR) return undefined;
  const masses = recent.map(({ mass }) => defined(mass));
  if (Math.max(...masses) - Math.min(...masses) > 2 * last.step + 1e-9) return undefined;
  const mean = masses.reduce((sum, mass) => sum + mass, 0) / masses.length;
  return Math.round(mean / last.step) * last.step;
}
