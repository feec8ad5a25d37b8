import {
  computed,
  figure,
  handbook,
  line,
  requireNumber,
  type Figure,
  msg,
  exactly,
} from '../../foundation/units/index.js';

/** Potting soil, watered, kg/L. */
const SOIL = 1.1;

/** What a planted pot weighs, g: `dry` g of the piece, and its planting volume in mL full of watered soil. @throws InputError */
export function plantedMass(dry: number, planting: number): Figure {
  requireNumber('dry', dry, msg('care.thePiece'), { above: 0, unit: 'g' });
  requireNumber('planting', planting, msg('care.thePlanting'), { min: 0, unit: 'mL' });
  const soil = planting * SOIL;
  return figure(dry + soil, 'g', handbook, [
    line(msg('care.pieceDry'), dry, 'g'),
    line(msg('care.planting'), planting, 'mL', msg('care.belowRim', { gap: exactly(20, 'mm') })),
    line(msg('care.soilWatered'), soil, 'g', msg('care.at', { soil: exactly(SOIL, 'kg/L') })),
    line(msg('care.planted'), dry + soil, 'g'),
  ]);
}

/** What a full jar weighs, g: `held` mL of water to its fill line. @throws InputError */
export function filledMass(dry: number, held: number): Figure {
  requireNumber('dry', dry, msg('care.thePiece'), { above: 0, unit: 'g' });
  requireNumber('held', held, msg('care.whatItHolds'), { min: 0, unit: 'mL' });
  return figure(dry + held, 'g', computed, [
    line(msg('care.pieceDry'), dry, 'g'),
    line(msg('care.waterToLine'), held, 'g'),
    line(msg('care.full'), dry + held, 'g'),
  ]);
}
