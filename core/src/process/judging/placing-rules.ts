import {
  remedies,
  type Finding,
  type Remedy,
  msg,
  quantity,
  type Message,
  anyOf,
} from '../../foundation/units/index.js';
import { isPortland } from '../../mixing/binders/index.js';
import { consistency, calculateMix, potLifeAndSet, type Grade } from '../../mixing/mixes/index.js';
import {
  mouldsPerBatch,
  placingWords,
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
function gradeCost({ mix, conditions }: PourPlan, grade: Grade): Message {
  const strength = (one: Grade) => quantity(calculateMix({ ...mix, grade: one }, conditions).strength.value, 'MPa', 0);
  return msg('judging.strengthFromTo', { before: strength(mix.grade), after: strength(grade) });
}

/** A remedy that is another consistency, with its cost. */
const toGrade = (plan: PourPlan, grade: Grade): Remedy<PlanChange> => ({
  text: msg('judging.makeGrade', { name: consistency(grade).name }),
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
    text: msg('judging.wrongConsistency', {
      grade: consistency(grade).name,
      stiff: stiff ? 'yes' : 'no',
      item: item.name,
      way: placingWords[way],
    }),
    reason: stiff ? msg('judging.noFlow') : msg('judging.slumps'),
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
    text: msg('judging.fluidPressed', { item: item.name, way: placingWords[way] }),
    reason: msg('judging.pressedStands'),
    basis: 'guide',
    remedies: [{ text: msg('judging.pressedMix'), change: ANOTHER_MIX }],
  };
};

/** Moulds that take more than the bucket mixes at once. */
export const bucketRule: PourRule = ({ plan, figures: { big } }) =>
  big.map(({ name, volume, most }): Finding<PlanChange> => ({
    key: 'bucket',
    harm: 3,
    text: msg('judging.overBucket', {
      name,
      volume: quantity(volume, 'mL'),
      most: quantity(most, 'mL'),
      plan: plasticFor(plan),
    }),
    reason: msg('judging.laterBucket'),
    basis: 'calculated',
    remedies: [
      { text: msg('judging.moreHands'), change: { people: 'one more' } },
      ...remedies(msg('judging.biggerBucket'), msg('judging.ontoSetLift')),
    ],
  }));

const minutes = (value: number) => quantity(Math.round(value), 'min');

/** Pot life against the time that mixing and filling take. */
export const potLifeRule: PourRule = ({ plan, figures: { inTime } }) => {
  if (inTime) return [];
  const { potLife } = potLifeAndSet(plan.mix, plan.binderClass, plan.temperature);
  const { mixing, filling } = plan.times ?? WORK_TIMES[plan.binderClass];
  const names = anyOf([...new Set(plan.items.map(({ name }) => name))]);
  const shared = mouldsPerBatch(potLife.value, mixing, filling / 2) >= 1;
  return [
    {
      key: 'pot-life',
      harm: 2,
      text: msg('judging.stiffensFirst', {
        names,
        minutes: minutes(potLife.value * WORKABLE_SHARE),
        mixing: minutes(mixing),
        filling: minutes(filling),
      }),
      reason: msg('judging.placedWithin', { workableShare: quantity(WORKABLE_SHARE * 100, '%', 0) }),
      basis: 'calculated',
      remedies: [
        ...(shared ? [{ text: msg('judging.moreHands'), change: { people: 'one more' } } as const] : []),
        ...remedies(msg('judging.coolerWater'), msg('judging.smallerLifts')),
      ],
    },
  ];
};
