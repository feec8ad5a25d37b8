import { HOUR } from '../../foundation/units/index.js';
import { waterOn, type DryDownCurve } from '../../process/sealing/index.js';
import type { Life } from './life.js';

/** Drying before the first weighing, as the prior of the fit has it. */
const USUAL_TAU = 120;
const USUAL_BETA = 0.75;

/**
 * How wet a piece looks at `now` (ms): 1 fresh, 0 dry. From its fitted curve where it was weighed,
 * from the usual course of drying where it was not.
 */
export function wetness(life: Life, loss: number, now: number, fitted?: DryDownCurve): number {
  if (life.stage === 'setting' || life.stage === 'curing') return 1;
  const start = life.uncoveredAt ?? life.demouldedAt ?? life.pouredAt;
  const first = life.weighings[0];
  if (fitted && first && loss > 0) {
    const t = (now - life.pouredAt) / HOUR - first.hour;
    return Math.min(1, Math.max(0, waterOn(fitted, t) / loss));
  }
  const t = Math.max(0, now - start) / HOUR;
  return Math.exp(-((t / USUAL_TAU) ** USUAL_BETA));
}
