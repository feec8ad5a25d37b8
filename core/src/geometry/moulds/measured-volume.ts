import { Checker, figure, line, measured, type Figure, msg, type Message } from '../../foundation/units/index.js';

/** How a mould's volume was found: by what filled it. */
export const volumeMeasuredBy = ['water', 'sand', 'batch'] as const;
export type VolumeMeasuredBy = (typeof volumeMeasuredBy)[number];

/** A volume that was measured, mL, with how and when (ms since 1970). */
export interface MeasuredVolume {
  readonly by: VolumeMeasuredBy;
  readonly volume: number;
  readonly at?: number;
}

/** Difference between measured and computed from which one of them wants looking at. */
export const DISAGREES = 0.05;

/** Water at the bench, kg/L. */
const WATER = 1;

const names: Record<VolumeMeasuredBy, Message> = {
  water: msg('moulds.filledByWater'),
  sand: msg('moulds.filledBySand'),
  batch: msg('moulds.filledByMix'),
};

/**
 * Volume from the mass (g) that filled the mould and its density (kg/L): of water 1, of sand its bulk density,
 * of a batch its fresh density. @throws InputError
 */
export function volumeByMass(by: VolumeMeasuredBy, mass: number, density = WATER): Figure {
  const check = new Checker();
  check.number('mass', mass, msg('moulds.fillMass'), { above: 0, unit: 'g' });
  check.number('density', density, msg('moulds.fillDensity'), { min: 0.05, max: 5, unit: 'kg/L' });
  check.done();
  const volume = mass / density;
  return figure(volume, 'mL', measured, [
    line(names[by], mass, 'g'),
    line(by === 'sand' ? msg('moulds.bulkAsItLay') : msg('moulds.density'), density, 'kg/L'),
    line(msg('solids.volume'), volume, 'mL', 'mass ÷ density'),
  ]);
}
