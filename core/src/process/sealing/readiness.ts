import { defined } from '../../foundation/math/index.js';
import { figure, line, type Figure, msg, type Message } from '../../foundation/units/index.js';
import type { BinderClass } from '../../mixing/binders/index.js';
import {
  massOn,
  quantile,
  quantiles,
  waterOn,
  type DryDownCurve,
  type DryDownPrior,
  type Weighing,
} from './dry-down-fit.js';
import {
  decidingRule,
  HOURS_NEEDED,
  leastDays,
  ruleStandings,
  waterLimit,
  type DrynessWays,
  type RuleStanding,
} from './dryness-rules.js';
import { AGREES_WITHIN, settleWeighings, type StrayWeighing } from './weighings.js';

const BOUND = 0.8;
/** The axis of the curve ends this long after the first weighing at the latest, hours. */
const LONGEST = 24 * 60;

/** Median and the ends of the 80 % band. */
interface Banded {
  readonly middle: number;
  readonly low: number;
  readonly high: number;
}

/** What the weighings say of a piece. Hours are since the pour. */
export interface DryDown {
  /** Whether it can be sealed as far as its weighings go; its age is a matter of the clock: see `leastHour`. */
  readonly dryEnough: boolean;
  /** Age before which it is not sealed, however dry. */
  readonly leastHour: number;
  /** What is still missing, in sentences; empty when dry enough. */
  readonly missing: readonly Message[];
  /** Each rule of the gate; none before the first weighing. */
  readonly rules: readonly RuleStanding[];
  /** The rule that keeps the gate shut longest. */
  readonly decides?: RuleStanding;
  /** Water still to evaporate at the last weighing; the band's high end is the 80 % bound that is judged. */
  readonly remaining?: Figure;
  /** Most water that may still be in it, g. */
  readonly limit: number;
  /** When the gate opens: median and the ends of the 80 % band. */
  readonly opens?: { readonly hour: number; readonly low: number; readonly high: number };
  /** The median curve and the 80 % band about it. */
  readonly curve: readonly {
    readonly hour: number;
    readonly mass: number;
    readonly low: number;
    readonly high: number;
  }[];
  /** A curve of middling parts, for drawing how wet the piece looks. */
  readonly typical?: DryDownCurve;
  readonly final?: { readonly mass: number; readonly low: number; readonly high: number };
  /** Weight held within `heldWithin` g (1 g, or the scale's step) for so many days: the sign that casters use. */
  readonly heldDays: number;
  readonly heldWithin: number;
  /** Weighings that are not this piece's, set aside. */
  readonly strays: readonly StrayWeighing[];
}

/** The sign that casters go by: how long the weight has held within a gram, or the scale's step. */
function heldSign(weighings: readonly Weighing[]): { days: number; within: number } {
  const last = weighings[weighings.length - 1];
  if (!last) return { days: 0, within: 1 };
  const within = Math.max(1, last.step);
  let from = last.hour;
  for (let i = weighings.length - 1; i >= 0; i--) {
    const weighing = defined(weighings[i]);
    if (weighing.mass - last.mass > within) break;
    from = weighing.hour;
  }
  return { days: (last.hour - from) / 24, within };
}

function bandOf(values: readonly number[]): Banded {
  const [low, middle, high] = quantiles(values, [0.1, 0.5, 0.9]) as [number, number, number];
  return { middle, low, high };
}

/** Hours after the first weighing at which a curve has less than `limit` g of water left. */
function hourUnder({ amplitude, tau, beta }: DryDownCurve, limit: number): number {
  return amplitude <= limit ? 0 : tau * Math.log(amplitude / limit) ** (1 / beta);
}

function traceCurve(curves: readonly DryDownCurve[], start: number, end: number): DryDown['curve'] {
  const points = 30;
  return Array.from({ length: points }, (_, i) => {
    const t = ((end - start) * i) / (points - 1);
    const band = bandOf(curves.map((curve) => massOn(curve, t)));
    return { hour: start + t, mass: band.middle, low: band.low, high: band.high };
  });
}

/** The middling value of each part of the curves by itself. */
function typicalOf(curves: readonly DryDownCurve[]): DryDownCurve {
  const middle = (part: keyof DryDownCurve) =>
    quantile(
      curves.map((curve) => curve[part]),
      0.5,
    );
  return { final: middle('final'), amplitude: middle('amplitude'), tau: middle('tau'), beta: middle('beta') };
}

/** What the weighings say, without the curve that is drawn of it. */
export type DryJudgement = Omit<DryDown, 'curve'>;

/** As `calculateDryDown`, without the curve: for many pieces at once. */
export function judgeDryDown(
  given: readonly Weighing[],
  prior: DryDownPrior,
  binderClass: BinderClass,
  ways: DrynessWays = {},
): DryJudgement {
  return judge(given, prior, binderClass, ways).judgement;
}

/**
 * Calculates the dry-down of a piece from its weighings and what was known before them.
 * Ready when at least three weighings over 40 h agree with the fit and the 80 % bound of the water still to leave is
 * under both limits. Ways: stricter before a film or a candle, eased by the caster's record, the product's own age.
 */
export function calculateDryDown(
  given: readonly Weighing[],
  prior: DryDownPrior,
  binderClass: BinderClass,
  ways: DrynessWays = {},
): DryDown {
  const { judgement, curves, first, last } = judge(given, prior, binderClass, ways);
  const end = Math.min(judgement.opens?.high ?? 0, first + LONGEST);
  return { ...judgement, curve: curves.length > 0 ? traceCurve(curves, first, Math.max(last, end) + 24) : [] };
}

interface Judging {
  readonly judgement: DryJudgement;
  readonly curves: readonly DryDownCurve[];
  readonly first: number;
  readonly last: number;
}

const unweighed = (leastHour: number, limit: number): DryJudgement => ({
  dryEnough: false,
  leastHour,
  limit,
  missing: [msg('sealing.notWeighed')],
  rules: [],
  heldDays: 0,
  heldWithin: 1,
  strays: [],
});

/** The water that is still to leave, g: the middle of what the curves say, and the bounds that four in five of them keep. */
function remainingFigure({
  left: [low, middle, bound],
  prior,
  kept,
  dry,
  limit,
}: {
  left: readonly [low: number, middle: number, bound: number];
  prior: DryDownPrior;
  kept: readonly Weighing[];
  dry: number;
  limit: ReturnType<typeof waterLimit>;
}): Figure {
  const basis = { kind: 'learned', records: kept.length } as const;
  const working = [
    line(msg('sealing.expectedLoss'), prior.loss, 'g'),
    line(msg('sealing.expectedDry'), prior.dry, 'g'),
    line(msg('sealing.lastWeighing'), defined(kept[kept.length - 1]).mass, 'g'),
    line(msg('sealing.fittedDry'), dry, 'g', 'm(t) = dry + A·exp(−(t/τ)^β)'),
    line(msg('sealing.waterLeft'), middle, 'g', msg('sealing.atLastWeighing')),
    line(msg('sealing.fourInFive'), bound, 'g'),
    line(msg('sealing.dryEnoughUnder'), limit.grams, 'g', limit.told),
  ];
  return figure(middle, 'g', basis, working, [low, bound]);
}

function judge(given: readonly Weighing[], prior: DryDownPrior, binderClass: BinderClass, ways: DrynessWays): Judging {
  const weighings = [...given].sort((a, b) => a.hour - b.hour);
  const leastHour = (ways.leastDays ?? leastDays[binderClass]) * 24;
  const limit = waterLimit(prior, ways);
  if (weighings.length === 0) return { judgement: unweighed(leastHour, limit.grams), curves: [], first: 0, last: 0 };
  const { kept, curves, strays, off } = settleWeighings(weighings, prior);
  const first = defined(kept[0]).hour;
  const last = defined(kept[kept.length - 1]);
  const water = curves.map((curve) => waterOn(curve, last.hour - first));
  const [low, middle, bound] = quantiles(water, [1 - BOUND, 0.5, BOUND]) as [number, number, number];
  const dry = bandOf(curves.map((curve) => first + hourUnder(curve, limit.grams)));
  const from = Math.max(first + HOURS_NEEDED, leastHour);
  const opens = { hour: Math.max(dry.middle, from), low: Math.max(dry.low, from), high: Math.max(dry.high, from) };
  const rules = ruleStandings({
    weighings: kept,
    agree: off.filter((errors) => errors <= AGREES_WITHIN).length,
    lastStrays: last.hour < defined(weighings[weighings.length - 1]).hour,
    bound,
    limit: limit.grams,
    limitTold: limit.told,
    dryAt: dry.middle,
    leastHour,
  });
  const unmet = rules.filter(({ rule, met }) => !met && rule !== 'age');
  const decides = decidingRule(rules);
  const final = bandOf(curves.map((curve) => curve.final));
  const held = heldSign(kept);
  const judgement: DryJudgement = {
    dryEnough: unmet.length === 0,
    leastHour,
    missing: unmet.map(({ told }) => told),
    rules,
    ...(decides && { decides }),
    limit: limit.grams,
    opens,
    final: { mass: final.middle, low: final.low, high: final.high },
    typical: typicalOf(curves),
    remaining: remainingFigure({ left: [low, middle, bound], prior, kept, dry: final.middle, limit }),
    heldDays: held.days,
    heldWithin: held.within,
    strays,
  };
  return { judgement, curves, first, last: last.hour };
}
