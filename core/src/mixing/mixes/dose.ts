import { interpolate, type Points } from '../../foundation/math/index.js';
import { Checker, msg, exactly, type Message, type Quantity } from '../../foundation/units/index.js';
import {
  additives,
  baseInWords,
  colours,
  PIGMENT_CEILING,
  PIGMENT_STOP,
  type Additive,
  type Material,
} from '../materials/index.js';

/** An additive of a recipe. `amount` is a share of its base's mass or of the fresh volume, or kg/m³, as its kind says. */
export interface Dose {
  readonly material: Material;
  readonly amount: number;
}

/** A dose in the bucket, g; a liquid with its water. */
export interface DosePortion {
  readonly dose: Dose;
  readonly mass: number;
}

/** How an additive is dosed. @throws Error for a material that is none. */
export function additiveOf({ name, additive }: Material): Additive {
  if (!additive) throw new Error(`${name} is no additive.`);
  return additives[additive];
}

/** Solids of a material, share of its mass: all of a powder. */
export const solidsOf = ({ solids = 1 }: Material): number => solids;

/** How much a dose is, without what it is of: 3 %, 0.9 kg/m³. */
export const doseAmount = ({ material, amount }: Dose): Quantity =>
  additiveOf(material).measure === 'kg/m³' ? exactly(round(amount), 'kg/m³') : exactly(round(amount * 100), '%');

/** A dose with what it is of: "3 % of binder mass", "0.9 kg/m³ of fresh volume". */
export function doseInWords(dose: Dose): Message {
  const { base, onSolids } = additiveOf(dose.material);
  const values = { amount: doseAmount(dose), base: baseInWords[base] };
  return onSolids ? msg('mixes.doseOnSolids', values) : msg('mixes.doseOfBase', values);
}

const round = (n: number) => Number(n.toPrecision(3));

/** Whether a material colours a mix. */
export const isPigment = ({ additive }: Pick<Material, 'additive'>): boolean =>
  additive !== undefined && colours.includes(additive);

/** All that colours a mix, as a share of the binder. */
export const pigmentShare = (doses: readonly Dose[]): number =>
  doses.reduce((sum, { material, amount }) => (isPigment(material) ? sum + amount : sum), 0);

/** Notes doses that cannot be: of what is no additive, twice, of nothing, or past the hard stop. */
export function checkDoses(check: Checker, doses: readonly Dose[]): void {
  doses.forEach(({ material, amount }, i) => {
    const at = `doses.${i}`;
    if (!material.additive) {
      check.add(
        `${at}.material`,
        material.name,
        msg('mixes.notAdditive', { material: material.name }),
        msg('mixes.makeItLine'),
      );
      return;
    }
    const kind = additives[material.additive];
    const unit = kind.measure === 'kg/m³' ? ({ unit: 'kg/m³' } as const) : {};
    check.number(`${at}.amount`, amount, msg('mixes.doseOf', { material: material.name }), {
      above: 0,
      max: 1000,
      ...unit,
    });
    check.expect(
      !(amount > kind.stop),
      `${at}.amount`,
      amount,
      msg('mixes.doseTooMuch', { dose: doseInWords({ material, amount }), kind: kind.name, beyond: kind.beyond }),
      msg('mixes.doseCeiling', {
        ceiling: doseInWords({ material, amount: kind.ceiling }),
        stop: doseInWords({ material, amount: kind.stop }),
      }),
    );
    check.expect(
      doses.findIndex((other) => other.material.id === material.id) === i,
      `${at}.material`,
      material.name,
      msg('mixes.dosedTwice', { material: material.name }),
      msg('mixes.joinDoses'),
    );
  });
  const all = pigmentShare(doses);
  const single = doses.some(({ amount }) => amount > PIGMENT_STOP);
  check.expect(
    all <= PIGMENT_STOP + 1e-12 || single,
    'doses',
    all,
    msg('mixes.coloursCrumble', { stop: exactly(PIGMENT_STOP * 100, '%'), round: exactly(round(all * 100), '%') }),
    msg('mixes.lessOfEach'),
  );
}

/** What doses bring on beyond their ceilings, as sentences. */
export function doseWarnings(doses: readonly Dose[]): Message[] {
  const over = doses.filter(({ material, amount }) => amount > additiveOf(material).ceiling);
  const found = over.map((dose) => {
    const { name, ceiling, beyond } = additiveOf(dose.material);
    const most = doseInWords({ ...dose, amount: ceiling });
    return msg('mixes.doseOverCeiling', { material: dose.material.name, dose: doseInWords(dose), most, name, beyond });
  });
  const all = pigmentShare(doses);
  const alone = over.some(({ material }) => isPigment(material));
  if (all > PIGMENT_CEILING && !alone)
    found.push(
      msg('mixes.coloursOverCeiling', {
        ceiling: exactly(PIGMENT_CEILING * 100, '%'),
        round: exactly(round(all * 100), '%'),
      }),
    );
  return found;
}

/** Cut of the water demand against dose of plasticiser, share of cement: flat above the last. */
const cuts: Points = [
  [0, 0],
  [0.003, 0.12],
  [0.007, 0.2],
  [0.01, 0.27],
];

/** By what share a plasticiser cuts the demand for water, straight between the handbook's points. `dose`: share of cement mass. */
export const plasticiserCut = (dose: number): number => interpolate(cuts, dose);

/** The plasticiser of a recipe, share of cement. */
export const plasticiserDose = (doses: readonly Dose[]): number =>
  doses.reduce((sum, { material, amount }) => (material.additive === 'plasticiser' ? sum + amount : sum), 0);

/** By what share the plasticiser of a recipe cuts its demand for water. */
export const waterCut = ({ doses = [] }: { readonly doses?: readonly Dose[] }): number =>
  plasticiserCut(plasticiserDose(doses));
