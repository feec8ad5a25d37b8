import { formatQuantity, remedies, type Finding } from '../../foundation/units/index.js';
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
            text: `The cement is ${Math.round(cementMonths)} months old: about ${Math.round(left * 100)} % of its strength is left.`,
            reason: 'Cement takes up water from the air; castings of old cement crack.',
            basis: 'record',
            remedies: remedies('Use a fresh bag, or keep this one for what bears nothing.'),
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
            text: `${material.name}. ${told}`,
            reason: 'A powder that took up water sets late, or in lumps.',
            basis: 'record',
            remedies: remedies('Set a spoonful first; use a fresh bag where it does not set on time.'),
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
      text: `${name}: ${formatQuantity(missing, 'g', 'metric')} is missing.`,
      reason: 'A batch that runs short half way leaves a cold joint, and another lot another colour.',
      basis: 'record',
      remedies: remedies(bags ? `Buy ${bags} ${bags === 1 ? 'bag' : 'bags'}.` : 'Buy it first.', 'Fill fewer moulds.'),
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
          text: `${name} does not last in cement, lime or the sun: it greys within months.`,
          reason: 'The alkali of fresh cement breaks it down.',
          basis: 'guide',
          remedies: remedies('Take another pigment of that colour.'),
        },
      ];
    if (!cement || !outdoors || tinting?.levelling !== CARBON) return [];
    return [
      {
        key: 'carbon-outdoors',
        harm: 3,
        text: `${name} washes out of a face in the rain, and the black greys.`,
        reason: 'Its grains are so fine that water carries them off.',
        basis: 'guide',
        remedies: remedies('Take black iron oxide, or seal the face.'),
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
  const names = dulled.map(({ material }) => material.name.toLowerCase()).join(' and ');
  return {
    key: 'grey-base',
    harm: 3,
    text: `${item.name}: grey cement dulls ${names}.`,
    reason: 'The grey of the cement is in every tint; white cement keeps it clean.',
    basis: 'guide',
    remedies: [
      { text: 'Choose a mix with white cement.', change: ANOTHER_MIX },
      ...remedies('Look at a test chip first.'),
    ],
  };
};

/** Calcium chloride with wire or mesh in the piece. */
export const chlorideRule: ItemRule = ({ item, plan: { mix } }) => {
  const salt = (mix.doses ?? []).find(({ material }) => material.additive === 'accelerator');
  if (!salt || !item.mesh) return undefined;
  return {
    key: 'chloride-mesh',
    harm: 2,
    text: `${item.name} carries mesh, and ${salt.material.name.toLowerCase()} rusts it.`,
    reason: 'Rust swells and splits the piece.',
    basis: 'guide',
    remedies: [
      { text: 'Leave the mesh out, and use fibre.', change: { mesh: false } },
      { text: 'Choose a mix without it.', change: ANOTHER_MIX },
    ],
  };
};
