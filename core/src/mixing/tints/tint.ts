import { Checker, msg } from '../../foundation/units/index.js';
import { isBinder, type Material } from '../materials/index.js';
import { checkDoses, dryMassesPerPart, type Dose, type Mix, type Portion } from '../mixes/index.js';

/** What a tint is calculated on: a cement with its sand, or a ready-made powder by itself. */
export interface TintBase {
  readonly binder: Material;
  readonly sand?: Material;
}

/** A tint: pigments as shares of the binder, on a base. */
export interface Tint {
  readonly base: TintBase;
  readonly doses: readonly Dose[];
}

/** Parts of sand to one of binder by volume, in which tints are calculated and chips are cast. */
const CHIP_SAND = 2;

/** The mix that a chip on some base is cast from: one of binder to two of its sand, for pouring. */
export function chipMix({ binder, sand }: TintBase, doses: readonly Dose[] = []): Mix {
  return {
    lines: [{ material: binder, parts: 1 }, ...(sand ? [{ material: sand, parts: CHIP_SAND }] : [])],
    by: 'volume',
    grade: 5,
    exposure: 'outdoors',
    doses,
  };
}

/** Dry masses of a base for one litre of its binder. */
export const basePortions = (base: TintBase): Portion[] => linePortions(chipMix(base));

/** Dry masses of a mix's lines for one part. */
export function linePortions(mix: Mix): Portion[] {
  const masses = dryMassesPerPart(mix);
  return mix.lines.map(({ material }, i) => ({ material, mass: masses[i]! }));
}

/** The base that a mix is of: its heaviest binder, and the sand of which it has most. */
export function tintBaseOf(mix: Mix): TintBase | undefined {
  const heaviest = (fits: (material: Material) => boolean) =>
    linePortions(mix)
      .filter(({ material }) => fits(material))
      .sort((a, b) => b.mass - a.mass)[0]?.material;
  const binder = heaviest(isBinder);
  const sand = heaviest(({ kind }) => kind === 'aggregate');
  return binder && { binder, ...(sand && { sand }) };
}

/** Refuses a tint that cannot be: of what is no pigment, twice, of nothing, past the hard stop, or without a base. @throws InputError */
export function checkTint({ base: { binder, sand }, doses }: Tint): void {
  const check = new Checker();
  check.expect(
    isBinder(binder),
    'base.binder',
    binder.name,
    msg('tints.notBinder', { binder: binder.name }),
    msg('tints.chooseBinder'),
  );
  check.expect(
    sand === undefined || sand.kind === 'aggregate',
    'base.sand',
    sand?.name,
    msg('tints.notSand', { sand: sand?.name ?? '' }),
    msg('tints.chooseSand'),
  );
  doses.forEach(({ material }, i) =>
    check.expect(
      material.colour !== undefined,
      `doses.${i}.material`,
      material.name,
      msg('tints.ownColourUnknown', { material: material.name }),
      msg('tints.enterOwnColour'),
    ),
  );
  checkDoses(check, doses);
  check.done();
}
