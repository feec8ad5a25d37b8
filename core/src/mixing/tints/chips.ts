import { requireNumber, msg } from '../../foundation/units/index.js';

/** A small chip on which a tint is tried, 60 × 40 × 8 mm, mL. */
export const CHIP = 20;
/** Doses of a strip of chips, per cent of the binder. */
export const LADDER: readonly number[] = [0.5, 1, 2, 3, 5];

/** One chip of a ladder, g. */
export interface LadderChip {
  /** Per cent of the binder. */
  readonly dose: number;
  /** What stands on its label. */
  readonly label: string;
  readonly binder: number;
  readonly pigment: number;
}

/** A strip of chips of one pigment, each its own small batch of a mix with `binderPerLitre` g of binder in a litre. @throws InputError */
export function doseLadder(pigment: string, binderPerLitre: number, doses = LADDER, volume = CHIP): LadderChip[] {
  requireNumber('binderPerLitre', binderPerLitre, msg('tints.binderInLitre'), { above: 0, max: 3000, unit: 'g' });
  requireNumber('volume', volume, msg('tints.chip'), { above: 0, max: 2000, unit: 'mL' });
  const binder = (binderPerLitre * volume) / 1000;
  return doses.map((dose, i) => {
    requireNumber(`doses.${i}`, dose, msg('tints.dose'), { above: 0, max: 10, unit: '%' });
    return { dose, label: `${pigment} ${dose} %`, binder, pigment: (binder * dose) / 100 };
  });
}

/** Pigment that left a bottle, weighed before and after, as g of solids. @throws InputError */
export function fromBottle(before: number, after: number, solids = 1): number {
  requireNumber('before', before, msg('tints.bottleBefore'), { above: 0, max: 1e5, unit: 'g' });
  requireNumber('after', after, msg('tints.bottleAfter'), { min: 0, max: before, unit: 'g' });
  requireNumber('solids', solids, msg('tints.itsSolids'), { above: 0, max: 1 });
  return (before - after) * solids;
}
