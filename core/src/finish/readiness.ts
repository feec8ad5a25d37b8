import type { SettingClass } from '../cure/index.js';
import { figure, line, type Figure } from '../units/index.js';
import {
  massOn,
  plausibleCurves,
  quantile,
  quantiles,
  waterOn,
  weighingError,
  type DryDownCurve,
  type DryDownPrior,
  type Weighing,
} from './dry-down-fit.js';

/** Youngest age at which a piece is sealed, days since the pour. A product's own sheet wins. */
const leastAge: Record<SettingClass, number> = {
  portland: 5,
  lime: 5,
  'fast-setting': 2,
  gypsum: 2,
  underlayment: 1,
  patch: 3,
};

const WEIGHINGS_NEEDED = 3;
const HOURS_NEEDED = 40;
/** A weighing agrees within so many of its errors from the median curve. */
const AGREES_WITHIN = 3;
const BOUND = 0.8;

/** Most water still to leave: share of dry mass and share of the expected loss. */
export interface DrynessLimit {
  readonly ofDry: number;
  readonly ofLoss: number;
}

/** Limits before sealing; stricter before a film or a candle. */
export const drynessLimits: Record<'open' | 'film', DrynessLimit> = {
  open: { ofDry: 0.015, ofLoss: 0.3 },
  film: { ofDry: 0.007, ofLoss: 0.15 },
};

/** What the weighings say of a piece. Hours are since the pour. */
export interface DryDown {
  /** Whether it can be sealed as far as its weighings go; its age is a matter of the clock: see `leastHour`. */
  readonly dryEnough: boolean;
  /** Age before which it is not sealed, however dry. */
  readonly leastHour: number;
  /** What is still missing, in sentences; empty when dry enough. */
  readonly missing: readonly string[];
  /** Water still to leave at the last weighing; the band's high end is the 80 % bound that is judged. */
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
  /** Weight held within 1 g (or the scale's step) for so many days: the sign that casters use. */
  readonly heldDays: number;
}

function heldDays(weighings: readonly Weighing[]): number {
  const last = weighings[weighings.length - 1];
  if (!last) return 0;
  let from = last.hour;
  for (let i = weighings.length - 1; i >= 0; i--) {
    const weighing = weighings[i]!;
    if (weighing.mass - last.mass > Math.max(1, weighing.step)) break;
    from = weighing.hour;
  }
  return (last.hour - from) / 24;
}

/** Median and the ends of the 80 % band. */
function bandOf(values: readonly number[]): { middle: number; low: number; high: number } {
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

function agreeing(weighings: readonly Weighing[], curves: readonly DryDownCurve[]): number {
  const start = weighings[0]!.hour;
  return weighings.filter((weighing) => {
    const median = quantile(
      curves.map((curve) => massOn(curve, weighing.hour - start)),
      0.5,
    );
    return Math.abs(weighing.mass - median) <= AGREES_WITHIN * weighingError(weighing);
  }).length;
}

function whatIsMissing(weighings: readonly Weighing[], agree: number, bound: number, limit: number): string[] {
  const span = weighings[weighings.length - 1]!.hour - weighings[0]!.hour;
  const found: string[] = [];
  if (weighings.length < WEIGHINGS_NEEDED) {
    const wanted = WEIGHINGS_NEEDED - weighings.length;
    found.push(`It wants ${wanted} more weighing${wanted > 1 ? 's' : ''}, a day apart.`);
  } else if (agree < WEIGHINGS_NEEDED)
    found.push('Its weighings do not lie on one drying curve: weigh it again tomorrow.');
  if (span < HOURS_NEEDED)
    found.push(`Its weighings span ${span.toFixed(0)} h of the ${HOURS_NEEDED} h that are wanted.`);
  if (bound > limit)
    found.push(
      `It may still hold ${bound.toFixed(0)} g of water that can leave; under ${limit.toFixed(0)} g is dry enough.`,
    );
  return found;
}

/**
 * Reckons the dry-down of a piece from its weighings and what was known before them.
 * Ready when at least three weighings over 40 h agree with the fit and the 80 % bound of the water still to leave is
 * under both limits. `film` asks for the stricter ones.
 */
export function reckonDryDown(
  given: readonly Weighing[],
  prior: DryDownPrior,
  setting: SettingClass,
  film = false,
): DryDown {
  const weighings = [...given].sort((a, b) => a.hour - b.hour);
  const limits = drynessLimits[film ? 'film' : 'open'];
  const leastHour = leastAge[setting] * 24;
  const limit = Math.min(limits.ofDry * prior.dry, limits.ofLoss * prior.loss);
  if (weighings.length === 0) {
    return {
      dryEnough: false,
      leastHour,
      limit,
      missing: ['It has not been weighed yet: weigh it now, then once a day.'],
      curve: [],
      heldDays: 0,
    };
  }
  const first = weighings[0]!.hour;
  const last = weighings[weighings.length - 1]!;
  const curves = plausibleCurves(weighings, prior);
  const water = curves.map((curve) => waterOn(curve, last.hour - first));
  const middle = quantile(water, 0.5);
  const bound = quantile(water, BOUND);
  const missing = whatIsMissing(weighings, agreeing(weighings, curves), bound, limit);
  const opening = curves.map((curve) => Math.max(first + hourUnder(curve, limit), first + HOURS_NEEDED, leastHour));
  const { middle: hour, ...openingBand } = bandOf(opening);
  const opens = { hour, ...openingBand };
  const { middle: finalMass, ...finalBand } = bandOf(curves.map(({ final: dry }) => dry));
  const final = { mass: finalMass, ...finalBand };
  const typical: DryDownCurve = {
    final: final.mass,
    amplitude: quantile(
      curves.map(({ amplitude }) => amplitude),
      0.5,
    ),
    tau: quantile(
      curves.map(({ tau }) => tau),
      0.5,
    ),
    beta: quantile(
      curves.map(({ beta }) => beta),
      0.5,
    ),
  };
  return {
    dryEnough: missing.length === 0,
    typical,
    leastHour,
    missing,
    limit,
    opens,
    final,
    remaining: figure(
      middle,
      'g',
      { kind: 'learned', records: weighings.length },
      [
        line('Expected to lose, from the mix', prior.loss, 'g'),
        line('Expected to weigh dry, from the mix', prior.dry, 'g'),
        line('Last weighing', last.mass, 'g'),
        line('Fitted dry mass', final.mass, 'g', 'm(t) = dry + A·exp(−(t/τ)^β)'),
        line('Water still to leave', middle, 'g', 'at the last weighing'),
        line('With four chances in five under', bound, 'g'),
        line(
          'Dry enough under',
          limit,
          'g',
          `${limits.ofDry * 100} % of dry mass and ${limits.ofLoss * 100} % of the expected loss`,
        ),
      ],
      [quantile(water, 1 - BOUND), bound],
    ),
    curve: traceCurve(curves, first, Math.max(last.hour, Math.min(opens.high, first + 24 * 60)) + 24),
    heldDays: heldDays(weighings),
  };
}
