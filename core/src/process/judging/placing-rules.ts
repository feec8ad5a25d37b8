import { defined } from '../../foundation/math/index.js';
import { remedies, type Finding, type Remedy } from '../../foundation/units/index.js';
import { isPortland } from '../../mixing/binders/index.js';
import { consistency, calculateMix, potLifeAndSet, type Grade } from '../../mixing/mixes/index.js';
import {
  mouldsPerBatch,
  plasticFor,
  WORK_TIMES,
  WORKABLE_SHARE,
  type PlacingWay,
  type PourPlan,
} from '../pours/index.js';
import { ANOTHER_MIX, type ItemRule, type JudgedMould, type PlanChange, type PourRule } from './judged.js';

/** Grades with which each way of placing goes well: pressing wants a stiff mix, thin walls a fluid one, slabs one between. */
const GRADES: Record<PlacingWay, readonly [stiffest: Grade, wettest: Grade]> = {
  'poured solid': [4, 6],
  'poured round a core': [5, 6],
  packed: [1, 4],
  slab: [3, 5],
  panel: [3, 5],
  'strips on a board': [4, 6],
  'leaf on sand': [1, 3],
  'pressed over a form': [1, 3],
  'pressed inside a form': [1, 3],
  'pressed against a form': [1, 3],
};

/** What another consistency does to the strength of a plan's mix, in words. */
function gradeCost({ mix, conditions }: PourPlan, grade: Grade): string {
  const [before, after] = [mix.grade, grade].map(
    (one) => calculateMix({ ...mix, grade: one }, conditions).strength.value,
  );
  return `28-day strength ${defined(before).toFixed(0)} → ${defined(after).toFixed(0)} MPa`;
}

/** A remedy that is another consistency, with its cost. */
const toGrade = (plan: PourPlan, grade: Grade): Remedy<PlanChange> => ({
  text: `Make it “${consistency(grade).name}”.`,
  change: { grade },
  cost: gradeCost(plan, grade),
});

/** A ready-made powder takes the water that stands on its bag, whatever it is used for. */
const isPowder = ({ plan: { mix, binderClass } }: JudgedMould) =>
  !isPortland(binderClass) && mix.lines.some(({ material }) => material.powder);

/** Consistency against the way of placing. */
export const consistencyRule: ItemRule = (judged) => {
  const { item, plan, way } = judged;
  if (isPowder(judged)) return undefined;
  const [stiffest, wettest] = GRADES[way];
  const { grade } = plan.mix;
  if (grade >= stiffest && grade <= wettest) return undefined;
  const stiff = grade < stiffest;
  return {
    key: 'consistency',
    harm: !stiff && stiffest === 1 ? 2 : 3,
    text: `“${consistency(grade).name}” is too ${stiff ? 'stiff' : 'wet'} for ${item.name}, which is ${way}.`,
    reason: stiff ? 'It does not flow into the corners.' : 'It slumps off a form, and parts.',
    basis: 'guide',
    remedies: [toGrade(plan, stiff ? stiffest : wettest)],
  };
};

/** A ready-made powder that is poured cannot be pressed over a form. */
export const fluidPressedRule: ItemRule = (judged) => {
  const { item, plan, way } = judged;
  const pressed = way.startsWith('pressed') || way === 'leaf on sand';
  if (!pressed || !isPowder(judged) || plan.mix.grade < 4) return undefined;
  return {
    key: 'fluid-on-form',
    harm: 2,
    text: `${item.name} is ${way}, and this powder flows: it runs off before it sets.`,
    reason: 'What is pressed stands by itself from the first handful.',
    basis: 'guide',
    remedies: [{ text: 'Choose a mix that is pressed.', change: ANOTHER_MIX }],
  };
};

const litres = (mL: number) => `${(mL / 1000).toFixed(1)} L`;

/** Moulds that take more than the bucket mixes at once. */
export const bucketRule: PourRule = ({ plan, figures: { big } }) =>
  big.map(({ name, volume, most }): Finding<PlanChange> => ({
    key: 'bucket',
    harm: 3,
    text: `${name} takes ${litres(volume)}, and the bucket mixes ${litres(most)} at once: each bucket goes in while the last is plastic, within ${plasticFor(plan)}.`,
    reason: 'A bucket that comes later lies on a cold joint.',
    basis: 'calculated',
    remedies: [
      { text: 'Take one more pair of hands.', change: { people: 'one more' } },
      ...remedies(
        'A bigger bucket, a retarder by its product’s sheet or smaller lifts help.',
        'Onto a lift that has set: scratch it and damp it first.',
      ),
    ],
  }));

const minutes = (value: number) => `${Math.round(value)} min`;

/** Pot life against the time that mixing and filling take. */
export const potLifeRule: PourRule = ({ plan, figures: { inTime } }) => {
  if (inTime) return [];
  const { potLife } = potLifeAndSet(plan.mix, plan.binderClass, plan.temperature);
  const { mixing, filling } = plan.times ?? WORK_TIMES[plan.binderClass];
  const names = [...new Set(plan.items.map(({ name }) => name))].join(', or one ');
  const shared = mouldsPerBatch(potLife.value, mixing, filling / 2) >= 1;
  return [
    {
      key: 'pot-life',
      harm: 2,
      text: `The mix stiffens before one ${names} is filled: it is workable for ${minutes(potLife.value * WORKABLE_SHARE)}, mixing takes ${minutes(mixing)} and filling ${minutes(filling)}.`,
      reason: `A batch is placed within ${(WORKABLE_SHARE * 100).toFixed(0)} % of its pot life.`,
      basis: 'calculated',
      remedies: [
        ...(shared ? [{ text: 'Take one more pair of hands.', change: { people: 'one more' } } as const] : []),
        ...remedies(
          'Use cooler water and shade, a smaller batch, or a retarder by its product’s sheet.',
          'Else fill it in smaller lifts, each scratched and damped before the next.',
        ),
      ],
    },
  ];
};
