import { Checker, computed, figure, line, type Figure, msg } from '../../foundation/units/index.js';
import { sealers, type SealerKind, type SealerSheet } from '../../mixing/materials/index.js';

/** Share bought beyond what the faces take. */
const SPARE = 0.1;

/** Sealer for `area` mm² in `coats` coats, mL: area × coats ÷ coverage, +10 %. By a kind's usual figures, or a product's sheet. @throws InputError */
export function sealerVolume(
  area: number,
  coats: number,
  of: SealerKind | Pick<SealerSheet, 'dense' | 'porous'>,
  face: 'dense' | 'porous',
): Figure {
  const coverage = (typeof of === 'string' ? sealers[of] : of)[face];
  const check = new Checker();
  check.number('area', area, msg('sealing.area'), { min: 0, unit: 'mm²' });
  check.number('coats', coats, msg('sealing.coatCount'), { min: 1, max: 10 });
  check.number(face, coverage, msg('sealing.litreCoverage'), { above: 0, max: 100, unit: 'm²' });
  check.done();
  const volume = ((area * 1e-6 * coats) / coverage) * (1 + SPARE) * 1000;
  return figure(volume, 'mL', computed, [
    line(msg('sealing.facesToSeal'), area, 'mm²'),
    line(msg('sealing.coats'), coats, 'ratio'),
    line(msg('sealing.coverage'), coverage, 'ratio', msg('sealing.coverageUnit', { face })),
    line(msg('sealing.sealer'), volume, 'mL', msg('sealing.sealerFormula')),
  ]);
}
