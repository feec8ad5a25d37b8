import { remedies, type Finding, msg, quantity, listed } from '../../foundation/units/index.js';
import { setsInMinutes } from '../../mixing/binders/index.js';
import { isBinder, isPortlandFamily, lotInUse } from '../../mixing/materials/index.js';
import { cementAgeFactor, isPigment, keepingOf, type Dose } from '../../mixing/mixes/index.js';
import { lightness } from '../../mixing/tints/index.js';
import { ANOTHER_MIX, type ItemRule, type JudgedMould, type PlanChange, type PourRule } from './judged.js';

/** Strength left of cement under which a piece is likely to crack. */
const TOO_OLD = 0.8;
/** Lightness of a binder from which it is pale. */
const PALE = 78;
/** Lightness of a pigment under which grey cement does not dull it. */
const DARK = 35;

/** Carbon is known by the dose at which its pull levels off, %. */
const CARBON = 2;

/** Cement and powders that have stood too long. */
export const oldBinderRule: PourRule = ({ plan: { mix, conditions, lots }, context: { now } }) => {
  const { cementMonths = 0 } = conditions;
  const left = cementAgeFactor(cementMonths);
  const cement: Finding<PlanChange>[] =
    left < 1
      ? [
          {
            key: 'old-cement',
            harm: left < TOO_OLD ? 2 : 3,
            text: msg('judging.oldCement', {
              cementMonths: Math.round(cementMonths),
              left: quantity(Math.round(left * 100), '%', 0),
            }),
            reason: msg('judging.oldCementReason'),
            basis: 'record',
            remedies: remedies(msg('judging.freshBag')),
          },
        ]
      : [];
  const powders = mix.lines.flatMap(({ material }): Finding<PlanChange>[] => {
    const lot = isBinder(material) && !isPortlandFamily(material) ? lotInUse(material.id, lots) : undefined;
    const told = lot && now !== undefined ? keepingOf(material, lot, now) : undefined;
    return told === undefined
      ? []
      : [
          {
            key: 'old-powder',
            harm: 2,
            text: msg('judging.ofMaterial', { name: material.name, told }),
            reason: msg('judging.oldPowderReason'),
            basis: 'record',
            remedies: remedies(msg('judging.spoonful')),
          },
        ];
  });
  return [...cement, ...powders];
};

/** Materials of which the store have too little; what was never in the store is not kept account of. */
export const shortRule: PourRule = ({ plan: { lots }, figures: { short } }) =>
  short
    .filter(({ materialId }) => lots.some((lot) => lot.materialId === materialId))
    .map(({ name, missing, bags }) => ({
      key: 'short-lot',
      harm: 3,
      text: msg('judging.missingMass', { name, missing: quantity(missing, 'g') }),
      reason: msg('judging.missingReason'),
      basis: 'record',
      remedies: remedies(bags ? msg('judging.buyBags', { bags }) : msg('judging.buyFirst'), msg('judging.fewerMoulds')),
    }));

/** Pigments that a mix or its tints bring. */
function pigmentsOf({ item: { colouring }, plan: { mix } }: JudgedMould): Dose[] {
  const own = (mix.doses ?? []).filter(({ material }) => isPigment(material));
  const tints = (colouring?.parts ?? []).flatMap(({ tint: { doses, late = [] } }) => [...doses, ...late]);
  return [...own, ...tints].filter(
    ({ material }, i, all) => all.findIndex((other) => other.material.id === material.id) === i,
  );
}

/** Pigments that do not last in cement, and those that wash out. */
export const fadingRule: ItemRule = (judged) => {
  const { plan, context: { uses = [] } } = judged; // prettier-ignore
  const outdoors = plan.mix.exposure !== 'indoors' || uses.includes('outdoors');
  const cement = !setsInMinutes(plan.binderClass);
  return pigmentsOf(judged).flatMap(({ material: { name, tinting } }): Finding<PlanChange>[] => {
    if (cement && tinting?.fades)
      return [
        {
          key: 'fading-pigment',
          harm: 3,
          text: msg('judging.pigmentFades', { name }),
          reason: msg('judging.alkaliBreaks'),
          basis: 'guide',
          remedies: remedies(msg('judging.anotherPigment')),
        },
      ];
    if (!cement || !outdoors || tinting?.levelling !== CARBON) return [];
    return [
      {
        key: 'carbon-outdoors',
        harm: 3,
        text: msg('judging.washesOut', { name }),
        reason: msg('judging.finestGrains'),
        basis: 'guide',
        remedies: remedies(msg('judging.blackOxide')),
      },
    ];
  });
};
/** Clean and pale tints on grey cement. */
export const greyBaseRule: ItemRule = (judged) => {
  const { plan, item } = judged;
  const binder = plan.mix.lines.find(({ material }) => isBinder(material))?.material;
  if (!binder?.colour || !isPortlandFamily(binder) || lightness(binder.colour) >= PALE) return undefined;
  const dulled = pigmentsOf(judged).filter(({ material: { colour } }) => colour && lightness(colour) >= DARK);
  if (dulled.length === 0) return undefined;
  const names = listed(dulled.map(({ material }) => material.name));
  return {
    key: 'grey-base',
    harm: 3,
    text: msg('judging.greyDulls', { item: item.name, names }),
    reason: msg('judging.greyDullsReason'),
    basis: 'guide',
    remedies: [{ text: msg('judging.whiteMix'), change: ANOTHER_MIX }, ...remedies(msg('judging.testChip'))],
  };
};

/** Calcium chloride with wire or mesh in the piece. */
export const chlorideRule: ItemRule = ({ item, plan: { mix } }) => {
  const salt = (mix.doses ?? []).find(({ material }) => material.additive === 'accelerator');
  if (!salt || !item.mesh) return undefined;
  return {
    key: 'chloride-mesh',
    harm: 2,
    text: msg('judging.rustsMesh', { item: item.name, material: salt.material.name }),
    reason: msg('judging.rustSwells'),
    basis: 'guide',
    remedies: [
      { text: msg('judging.meshOut'), change: { mesh: false } },
      { text: msg('judging.mixWithout'), change: ANOTHER_MIX },
    ],
  };
};
