import { defined } from '../../foundation/math/index.js';
import { InputError, msg, quantity, type Message } from '../../foundation/units/index.js';
import type { BinderClass } from '../../mixing/binders/index.js';
import { costPerLitre, type Mix, type MixConditions } from '../../mixing/mixes/index.js';
import type { PourPlan } from '../pours/index.js';
import { figuresToJudge } from './figures-to-judge.js';
import { judgePour, type Judgement } from './judge-pour.js';
import type { JudgeContext, PourFigures } from './judged.js';

/** A mix of the workshop that might be taken in place of a plan's own. */
export interface CandidateMix {
  readonly id: string;
  readonly name: string;
  readonly mix: Mix;
  readonly binderClass: BinderClass;
  readonly conditions: MixConditions;
  readonly unfit?: string;
}

/** A mix in which less speaks against a plan, and what it changes. */
export interface FittingMix {
  readonly id: string;
  readonly name: string;
  /** What still speaks against it, by harm: how many of harm 1, 2 and 3. */
  readonly left: readonly [number, number, number];
  /** What it changes, in words. */
  readonly cost: Message;
  /** What the mix in the moulds costs, before and after, where both are known. */
  readonly price?: { readonly from: number; readonly to: number };
}

/** Mixes that are told of. */
const FEW = 3;
/** Mixes that are looked at. */
const MOST_CANDIDATES = 200;

const countByHarm = ({ findings }: Judgement): [number, number, number] => {
  const of = (harm: number) => findings.filter((one) => one.harm === harm && one.aside === undefined).length;
  return [of(1), of(2), of(3)];
};
const compare = (a: readonly number[], b: readonly number[]) =>
  defined(a[0]) - defined(b[0]) || defined(a[1]) - defined(b[1]) || defined(a[2]) - defined(b[2]);

function changeTold(before: PourFigures, after: PourFigures): Message {
  const weight = (figures: PourFigures) => figures.pieces.reduce((sum, { dry, count }) => sum + dry.value * count, 0);
  const strength = ({ mix }: PourFigures) => quantity(mix.strength.value, 'MPa', 0);
  const heavier = (weight(after) / weight(before) - 1) * 100;
  return msg('judging.mixCost', {
    was: strength(before),
    is: strength(after),
    more: heavier >= 0 ? 'yes' : 'no',
    heavier: quantity(Math.abs(heavier), '%', 0),
  });
}

/** What the mix in a plan's moulds costs; undefined where nothing of it has a price. */
function priceOf({ mix, pieces }: PourFigures, { lots }: PourPlan): number | undefined {
  const litres = pieces.reduce((sum, { volume, count }) => sum + volume.value * count, 0) / 1000;
  const cost = costPerLitre(mix.perPart, lots);
  return cost && cost.value * litres;
}

/** The few mixes of the workshop against which less speaks than against the plan's own, the best first; `candidates`: 200 at most. */
export function mixesThatFit(
  plan: PourPlan,
  figures: PourFigures,
  context: JudgeContext,
  candidates: readonly CandidateMix[],
): FittingMix[] {
  const { unfit: _, ...rest } = context;
  const own = countByHarm(judgePour(plan, { ...figures, short: [] }, context));
  const judged = candidates.slice(0, MOST_CANDIDATES).flatMap(({ id, name, unfit, ...other }) => {
    try {
      const tried: PourPlan = { ...plan, ...other };
      const known = figuresToJudge(tried);
      const left = countByHarm(judgePour(tried, known, { ...rest, ...(unfit && { unfit }) }));
      const [from, to] = [priceOf(figures, plan), priceOf(known, tried)];
      const price = from !== undefined && to !== undefined ? { price: { from, to } } : {};
      return compare(left, own) < 0 ? [{ id, name, left, cost: changeTold(figures, known), ...price }] : [];
    } catch (error) {
      // A mix that cannot be mixed is no way out.
      if (error instanceof InputError) return [];
      throw error;
    }
  });
  return judged.sort((a, b) => compare(a.left, b.left)).slice(0, FEW);
}
