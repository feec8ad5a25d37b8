import { requireNumber, msg } from '../../foundation/units/index.js';

/** A stock of a powder in water, for doses that the scale is too coarse for. */
export interface StockDilution {
  /** g of the powder in mL of water. */
  readonly powder: number;
  readonly water: number;
  /** mL of the stock that hold the dose. */
  readonly dose: number;
}

/** Steps of the scale that a stock is weighed with at least, so that it errs by a per cent at most. */
const STEPS_IN_STOCK = 50;
const STOCK_WATER = 100;

/** A stock for a dose of `mass` g on a scale of `step` g: so much powder into 100 mL of water, and the dose in mL of it. */
export function stockFor(mass: number, step: number): StockDilution {
  requireNumber('mass', mass, msg('mixes.theDose'), { above: 0, max: 1e5, unit: 'g' });
  requireNumber('step', step, msg('mixes.scaleStep'), { above: 0, max: 1000, unit: 'g' });
  const powder = Math.max(STEPS_IN_STOCK * step, Math.ceil(mass / step) * step);
  return { powder, water: STOCK_WATER, dose: (mass / powder) * STOCK_WATER };
}
