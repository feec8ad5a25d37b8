import { computed, figure, handbook, line, requireNumber, type Figure } from '../../foundation/units/index.js';

/** Potting soil, watered, kg/L. */
const SOIL = 1.1;

/** What a planted pot weighs, g: `dry` g of the piece, and its planting volume in mL full of watered soil. @throws InputError */
export function plantedMass(dry: number, planting: number): Figure {
  requireNumber('dry', dry, 'The piece', { above: 0, unit: 'g' });
  requireNumber('planting', planting, 'The planting volume', { min: 0, unit: 'mL' });
  const soil = planting * SOIL;
  return figure(dry + soil, 'g', handbook, [
    line('The piece, dry', dry, 'g'),
    line('Planting volume', planting, 'mL', 'to 20 mm below the rim'),
    line('Soil, watered', soil, 'g', `at ${SOIL} kg/L`),
    line('Planted', dry + soil, 'g'),
  ]);
}

/** What a full jar weighs, g: `held` mL of water to its fill line. @throws InputError */
export function filledMass(dry: number, held: number): Figure {
  requireNumber('dry', dry, 'The piece', { above: 0, unit: 'g' });
  requireNumber('held', held, 'What it holds', { min: 0, unit: 'mL' });
  return figure(dry + held, 'g', computed, [
    line('The piece, dry', dry, 'g'),
    line('Water to the fill line', held, 'g'),
    line('Full', dry + held, 'g'),
  ]);
}
