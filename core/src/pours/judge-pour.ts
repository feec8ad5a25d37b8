import { consistency, largestGrain, type Grade, type MixFigures } from '../mixes/index.js';
import { checkGrain, narrowestGap, pieceGuides } from '../moulds/index.js';
import { formatQuantity } from '../units/index.js';
import { placingOf, type PlacingWay } from './placing.js';
import type { PourItem, PourPlan } from './plan.js';

/** How bad it is: 1 the piece or someone comes to harm, 2 the cast fails or soon breaks, 3 it is harder or comes out worse. */
export type Harm = 1 | 2 | 3;

/** What can be done about a finding. */
export interface Remedy {
  readonly text: string;
  /** What of the plan it changes, where that is one choice. */
  readonly grade?: Grade;
}

/** What speaks against a mould with a mix. */
export interface PourFinding {
  readonly key: string;
  readonly harm: Harm;
  /** Which of the plan's items, from 0; undefined for the whole pour. */
  readonly item?: number;
  readonly text: string;
  readonly reason: string;
  readonly remedies: readonly Remedy[];
}

interface Judged {
  readonly item: PourItem;
  readonly at: number;
  readonly plan: PourPlan;
  readonly mix: MixFigures;
  /** Narrowest place that the mix must fill, mm; undefined where a mould comes to a point or an edge. */
  readonly gap: number | undefined;
}

type Rule = (judged: Judged) => Omit<PourFinding, 'item'> | undefined;

/** Narrower than this is a point or an edge of the mould's own, and no wall, mm. */
const POINTED = 0.5;

const mm = (value: number) => formatQuantity(value, 'mm', 'metric');

/** Grades with which each way of placing goes well: handbook, section 6. */
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

const grainRule: Rule = ({ item, plan, gap }) => {
  if (gap === undefined) return undefined;
  const grain = largestGrain(plan.mix);
  const { passes, largest } = checkGrain(grain, gap);
  if (passes) return undefined;
  return {
    key: 'grain',
    harm: 2,
    text: `Grains of ${mm(grain)} do not pass ${item.name}: its narrowest place is ${mm(gap)}, and lets ${mm(largest.value)} through.`,
    reason: 'The largest grain stays under a third of the narrowest gap, or it bridges and leaves holes.',
    remedies: [{ text: `Sieve the aggregate to ${mm(largest.value)}.` }, { text: 'Choose a mix with finer sand.' }],
  };
};

const wallRule: Rule = ({ item, gap }) => {
  const { leastWall, name } = pieceGuides[item.piece];
  if (gap === undefined || gap >= leastWall * (1 - 1e-9)) return undefined;
  return {
    key: 'wall',
    harm: 2,
    text: `${item.name} is ${mm(gap)} at its thinnest; for a ${name} the guide is ${mm(leastWall)}.`,
    reason: 'Thin places break at demoulding and dry out first.',
    remedies: [
      { text: 'Use a smaller core, or a thicker layer.' },
      { text: 'Choose a stronger, finer mix, and demould late.' },
    ],
  };
};

const wetnessRule: Rule = ({ item, plan: { mix, setting }, plan }) => {
  // A ready-made powder takes the water that stands on its bag.
  if (mix.lines.some(({ material }) => material.powder) && setting !== 'portland') return undefined;
  const way = placingOf(item, plan);
  const [stiffest, wettest] = GRADES[way];
  const { grade } = mix;
  if (grade >= stiffest && grade <= wettest) return undefined;
  const wanted = grade < stiffest ? stiffest : wettest;
  return {
    key: 'wetness',
    harm: grade > wettest && stiffest === 1 ? 2 : 3,
    text: `“${consistency(grade).name}” is too ${grade < stiffest ? 'stiff' : 'wet'} for ${item.name}, which is ${way}.`,
    reason: grade < stiffest ? 'It does not flow into the corners.' : 'It slumps off a form, and parts.',
    remedies: [{ text: `Make it “${consistency(wanted).name}”.`, grade: wanted }],
  };
};

const exposureRule: Rule = ({ item, plan: { mix, setting } }) => {
  if (setting !== 'gypsum' && setting !== 'underlayment') return undefined;
  const wet = mix.exposure !== 'indoors';
  const walked = item.piece === 'slab';
  const watered = ['pot', 'hypertufa-pot', 'trough'].includes(item.piece);
  if (!wet && !walked && !watered) return undefined;
  const binder = setting === 'gypsum' ? 'Gypsum' : 'Underlayment';
  const why = wet ? 'outdoors' : walked ? 'under feet' : 'with wet soil in it';
  return {
    key: 'exposure',
    harm: walked ? 1 : 2,
    text: `${binder} does not last ${why}: ${item.name} softens and breaks.`,
    reason: `${binder} is for dry rooms: water dissolves or softens it.`,
    remedies: [{ text: 'Choose a cement mix for it.' }, { text: 'Keep it for display in a dry room.' }],
  };
};

const strengthRule: Rule = ({ item, plan: { setting }, mix }) => {
  if (item.piece !== 'slab' || setting !== 'portland' || mix.use === 'foot traffic') return undefined;
  return {
    key: 'strength',
    harm: 1,
    text: `At 28 days this mix reaches about ${mix.strength.value.toFixed(0)} MPa: not for feet, and ${item.name} is a slab.`,
    reason: 'What is walked on wants 25 MPa.',
    remedies: [{ text: 'Use less water, a plasticiser, or more cement.' }, { text: 'Leave lightweight grains out.' }],
  };
};

const rules: readonly Rule[] = [grainRule, wallRule, wetnessRule, exposureRule, strengthRule];

/**
 * What speaks against filling each mould of a plan with its mix, the worst first; nothing where nothing does. Rules by the
 * handbook: grain and gap, least wall, consistency and placing, where the binder lasts, strength and use.
 */
export function judgePour(plan: PourPlan, mix: MixFigures): PourFinding[] {
  const found = plan.items.flatMap((item, at) => {
    const { shape } = item;
    const narrowest = shape.pressed ? shape.pressed.thickness : narrowestGap(shape);
    const judged: Judged = { item, at, plan, mix, gap: narrowest > POINTED ? narrowest : undefined };
    return rules.flatMap((rule): PourFinding[] => {
      const finding = rule(judged);
      return finding ? [{ ...finding, item: at }] : [];
    });
  });
  return found.sort((a, b) => a.harm - b.harm);
}
