import { msg, quantity, exactly, type Message } from '../../foundation/units/index.js';
import { defined } from '../../foundation/math/index.js';
import type { BinderClass } from '../../mixing/binders/index.js';
import type { DryDownPrior, Weighing } from './dry-down-fit.js';

/** Youngest age at which a piece is sealed, days since the pour. A product's own sheet wins. */
export const leastDays: Record<BinderClass, number> = {
  portland: 5,
  'high-early': 5,
  lime: 5,
  'fast-setting': 2,
  gypsum: 2,
  underlayment: 1,
  patch: 3,
};

export const WEIGHINGS_NEEDED = 3;
export const HOURS_NEEDED = 40;

/** Most water still to leave: share of dry mass and share of the expected loss. */
interface DrynessLimit {
  readonly ofDry: number;
  readonly ofLoss: number;
}

/** Limits before sealing; stricter before a film or a candle. */
const drynessLimits: Record<'open' | 'film', DrynessLimit> = {
  open: { ofDry: 0.015, ofLoss: 0.3 },
  film: { ofDry: 0.007, ofLoss: 0.15 },
};

/** What a piece is judged by beside its weighings. */
export interface DrynessWays {
  /** For a film sealer or a candle. */
  readonly film?: boolean;
  /** Share by which the caster's own record has moved the limit; 1 where it has not. */
  readonly ease?: number;
  /** Youngest age by the product's own sheet, days. */
  readonly leastDays?: number;
}

/** Most water that may still be in a piece, g, and which of the two limits that is. */
export function waterLimit(
  prior: DryDownPrior,
  { film = false, ease = 1 }: DrynessWays,
): { grams: number; told: Message } {
  const { ofDry, ofLoss } = drynessLimits[film ? 'film' : 'open'];
  const byDry = ofDry * prior.dry;
  const byLoss = ofLoss * prior.loss;
  const percent = (share: number) => exactly(Number((share * ease * 100).toPrecision(3)), '%');
  return byDry <= byLoss
    ? { grams: byDry * ease, told: msg('sealing.ofDryMass', { ofDry: percent(ofDry) }) }
    : { grams: byLoss * ease, told: msg('sealing.ofExpectedLoss', { ofLoss: percent(ofLoss) }) };
}

export type DrynessRule = 'weighings' | 'span' | 'agreement' | 'water' | 'age';

/** One rule of the gate, and how far off it is. */
export interface RuleStanding {
  readonly rule: DrynessRule;
  readonly met: boolean;
  readonly have: number;
  readonly want: number;
  readonly unit: 'weighings' | 'h' | 'g' | 'days';
  readonly told: Message;
  /** Hours since the pour at which it will be met as far as can be seen; of one that is met, when it was or before. */
  readonly opens: number;
}

/** What the rules are judged from. */
export interface Judged {
  readonly weighings: readonly Weighing[];
  /** How many of them lie on one curve. */
  readonly agree: number;
  /** Whether the last of all weighings was set aside. */
  readonly lastStrays: boolean;
  /** The 80 % bound of the water still to leave, and the limit, g. */
  readonly bound: number;
  readonly limit: number;
  readonly limitTold: Message;
  /** Hour at which the water is under the limit. */
  readonly dryAt: number;
  readonly leastHour: number;
}

const gramsOf = (mass: number) => quantity(mass, 'g', mass < 10 ? 1 : 0);

function countRule({ weighings, agree, lastStrays }: Judged): RuleStanding[] {
  const last = defined(weighings[weighings.length - 1]).hour;
  const wanted = Math.max(0, WEIGHINGS_NEEDED - weighings.length);
  const disagree = wanted === 0 && (agree < WEIGHINGS_NEEDED || lastStrays);
  return [
    {
      rule: 'weighings',
      met: wanted === 0,
      have: weighings.length,
      want: WEIGHINGS_NEEDED,
      unit: 'weighings',
      told: msg('sealing.moreWeighings', { wanted }),
      opens: last + 24 * wanted,
    },
    {
      rule: 'agreement',
      met: !disagree,
      have: agree,
      want: WEIGHINGS_NEEDED,
      unit: 'weighings',
      told: msg('sealing.inconsistent'),
      opens: disagree ? last + 24 : last,
    },
  ];
}

/** Each rule of the gate as it stands. The age is a matter of the clock: it is met once `leastHour` is past. */
export function ruleStandings(judged: Judged): RuleStanding[] {
  const { weighings, bound, limit, limitTold, dryAt, leastHour } = judged;
  const first = defined(weighings[0]).hour;
  const last = defined(weighings[weighings.length - 1]).hour;
  const span = last - first;
  return [
    ...countRule(judged),
    {
      rule: 'span',
      met: span >= HOURS_NEEDED,
      have: span,
      want: HOURS_NEEDED,
      unit: 'h',
      told: msg('sealing.weighingsSpan', { span: quantity(span, 'h', 0), hoursNeeded: exactly(HOURS_NEEDED, 'h') }),
      opens: first + HOURS_NEEDED,
    },
    {
      rule: 'water',
      met: bound <= limit,
      have: bound,
      want: limit,
      unit: 'g',
      told: msg('sealing.mayHold', { bound: gramsOf(bound), limit: gramsOf(limit), limitTold }),
      opens: dryAt,
    },
    {
      rule: 'age',
      met: last >= leastHour,
      have: last / 24,
      want: leastHour / 24,
      unit: 'days',
      told: msg('sealing.tooYoung', { leastHour: exactly(leastHour / 24, 'days') }),
      opens: leastHour,
    },
  ];
}

/** The rule that keeps the gate shut longest; undefined where all are met. */
export function decidingRule(rules: readonly RuleStanding[]): RuleStanding | undefined {
  return rules
    .filter(({ met }) => !met)
    .reduce<RuleStanding | undefined>(
      (last, rule) => (last === undefined || rule.opens > last.opens ? rule : last),
      undefined,
    );
}
