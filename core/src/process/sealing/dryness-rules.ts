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
): { grams: number; told: string } {
  const { ofDry, ofLoss } = drynessLimits[film ? 'film' : 'open'];
  const byDry = ofDry * prior.dry;
  const byLoss = ofLoss * prior.loss;
  const percent = (share: number) => `${Number((share * ease * 100).toPrecision(3))} %`;
  return byDry <= byLoss
    ? { grams: byDry * ease, told: `${percent(ofDry)} of its dry mass` }
    : { grams: byLoss * ease, told: `${percent(ofLoss)} of what it was expected to lose` };
}

export type DrynessRule = 'weighings' | 'span' | 'agreement' | 'water' | 'age';

/** One rule of the gate, and how far off it is. */
export interface RuleStanding {
  readonly rule: DrynessRule;
  readonly met: boolean;
  readonly have: number;
  readonly want: number;
  readonly unit: 'weighings' | 'h' | 'g' | 'days';
  readonly told: string;
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
  readonly limitTold: string;
  /** Hour at which the water is under the limit. */
  readonly dryAt: number;
  readonly leastHour: number;
}

const gramsOf = (mass: number) => (mass < 10 ? mass.toFixed(1) : mass.toFixed(0));

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
      told: `It wants ${wanted} more weighing${wanted > 1 ? 's' : ''}, a day apart.`,
      opens: last + 24 * wanted,
    },
    {
      rule: 'agreement',
      met: !disagree,
      have: agree,
      want: WEIGHINGS_NEEDED,
      unit: 'weighings',
      told: 'The weighings are inconsistent. Weigh again tomorrow.',
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
      told: `Its weighings span ${span.toFixed(0)} h of the ${HOURS_NEEDED} h that are wanted.`,
      opens: first + HOURS_NEEDED,
    },
    {
      rule: 'water',
      met: bound <= limit,
      have: bound,
      want: limit,
      unit: 'g',
      told: `It may still hold ${gramsOf(bound)} g of water that can leave; under ${gramsOf(limit)} g, ${limitTold}, is dry enough.`,
      opens: dryAt,
    },
    {
      rule: 'age',
      met: last >= leastHour,
      have: last / 24,
      want: leastHour / 24,
      unit: 'days',
      told: `It should be at least ${leastHour / 24} days old.`,
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
