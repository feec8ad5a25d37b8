import { defined } from '../../foundation/math/index.js';
import { requireNumber, MOST_HOURS, msg } from '../../foundation/units/index.js';
import { faceWater } from './misting.js';

/** What left a face over a stretch: hours from any beginning, kg/m²/h, what its cover lets through counted in. */
export interface FaceHour {
  readonly from: number;
  readonly to: number;
  readonly evaporation: number;
}

/** How wet a face was kept in its moist curing. */
export interface SurfaceRecord {
  readonly done: number;
  /** Wettings that it went dry for want of. */
  readonly missed: number;
  /** Hours that it lay dry, and all hours. */
  readonly dryHours: number;
  readonly hours: number;
  /** Share of the time that it was wet, 0–1. */
  readonly wetShare: number;
}

/** Rows of hours are cut to this before the water is followed, h. */
const STEP = 0.25;

/**
 * Follows the water on a face through its moist curing: it comes wet out of the mould, each wetting fills it up, what evaporates
 * leaves it. A face that lies dry as long as a wetting would have lasted has missed one. `wettings` in hours, any order.
 * @throws InputError where the stretches come to more than ten years
 */
export function surfaceRecord(
  stretches: readonly FaceHour[],
  wettings: readonly number[],
  lightweight: boolean,
): SurfaceRecord {
  const length = stretches.reduce((sum, { from, to }) => sum + Math.max(0, to - from), 0);
  requireNumber('stretches', length, msg('curing.stretches'), { min: 0, max: MOST_HOURS, unit: 'h' });
  const { left } = faceWater(0, lightweight);
  const waiting = [...wettings].sort((a, b) => a - b);
  let [water, dryHours, hours, missed] = [left, 0, 0, 0];
  for (const { from, to, evaporation } of stretches) {
    const steps = Math.max(1, Math.ceil((to - from) / STEP));
    const width = (to - from) / steps;
    const { loss } = faceWater(evaporation, lightweight);
    for (let i = 0; i < steps; i++) {
      while (waiting.length > 0 && defined(waiting[0]) <= from + (i + 1) * width) {
        waiting.shift();
        water = left;
      }
      const wet = loss > 0 ? Math.min(width, water / loss) : width;
      water = Math.max(0, water - loss * width);
      hours += width;
      dryHours += width - wet;
      missed += ((width - wet) * loss) / left;
    }
  }
  return {
    done: wettings.length,
    missed: Math.floor(missed + 1e-9),
    dryHours,
    hours,
    wetShare: hours > 0 ? 1 - dryHours / hours : 1,
  };
}
