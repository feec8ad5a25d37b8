import { computed, figure, line, requireNumber, type Figure } from '../units/index.js';
import { sealers, type SealerKind } from './products.js';

/** Share bought beyond what the faces take. */
const SPARE = 0.1;

/** Sealer for `area` mm² in `coats` coats, mL: area × coats ÷ coverage, +10 %. @throws InputError */
export function sealerVolume(area: number, coats: number, kind: SealerKind, face: 'dense' | 'porous'): Figure {
  requireNumber('area', area, 'The area', { min: 0, unit: 'mm²' });
  requireNumber('coats', coats, 'The number of coats', { min: 1, max: 10 });
  const coverage = sealers[kind][face];
  const volume = ((area * 1e-6 * coats) / coverage) * (1 + SPARE) * 1000;
  return figure(volume, 'mL', computed, [
    line('Faces to seal', area, 'mm²'),
    line('Coats', coats, 'ratio'),
    line('Coverage of one litre', coverage, 'ratio', `m² a coat on a ${face} face`),
    line('Sealer', volume, 'mL', 'area × coats ÷ coverage, and a tenth more'),
  ]);
}
