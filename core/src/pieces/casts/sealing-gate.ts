import { HOUR, msg, quantity, exactly, fixed, type Message } from '../../foundation/units/index.js';
import type { BinderClass } from '../../mixing/binders/index.js';
import type { Sealer } from '../../mixing/materials/index.js';
import type { Expected } from '../../process/pours/index.js';
import {
  calendarDays,
  FILM_TEST_KEEPS,
  judgeDryDown,
  SAMPLE_EASE,
  usualDrying,
  USUAL_TAU,
  WEIGHINGS_NEEDED,
  type DryDownPrior,
  type DryingSchool,
  type DryJudgement,
  type DrynessWays,
  type Weighing,
  FILM_TEST_HOURS,
} from '../../process/sealing/index.js';
import type { Life } from './life.js';

/** Half of the width of an 80 % band in standard deviations. */
const HALF_BAND = 1.2816;

/** A cast of the same pour whose weighings stand for others. */
interface WeighedSibling {
  readonly code: string;
  readonly life: Life;
  readonly expected: Expected;
}

/** How a workshop judges dryness, and what else is known of a piece. */
export interface GateWays {
  readonly drying?: DryingSchool;
  /** Shares by which its own record has moved the limits. */
  readonly ease?: { readonly open: number; readonly film: number };
  /** How fast the place dries, 1 at 20 °C and half damp. */
  readonly pace?: number;
  readonly siblings?: readonly WeighedSibling[];
}

/** What is known of a piece's dryness. */
export interface Dryness extends DryJudgement {
  /** Codes of the weighed pieces that it was inferred from. */
  readonly inferredFrom?: readonly string[];
}

/** Whether a piece may be sealed now, and if not why. */
export interface Gate {
  readonly open: boolean;
  /** Sentences that say what is missing; empty when open. */
  readonly reasons: readonly Message[];
  readonly dryDown: Dryness;
  /** The water that may be left over the limit: above 1 where it may be too much; undefined where nothing was weighed. */
  readonly over?: number;
}

/** Hours since the pour from which its weighings count: it was wetted before. */
const driesFromHour = ({ driesFrom, pouredAt }: Life) => (driesFrom === undefined ? 0 : (driesFrom - pouredAt) / HOUR);

/** Whether it was wetted again after its moist curing. */
const wasRewetted = ({ driesFrom, uncoveredAt }: Life): boolean =>
  driesFrom !== undefined && driesFrom > (uncoveredAt ?? driesFrom);

/** Weighings since it was last wetted; those before the end of the moist curing only where there are no others. */
export function countedWeighings(life: Life): readonly Weighing[] {
  const since = life.weighings.filter(({ hour }) => hour >= driesFromHour(life));
  return wasRewetted(life) || since.length > 0 ? since : life.weighings;
}

/** What is known before the weighings that count: of a piece that was wetted again, what those before had told. */
export function dryDownPrior(life: Life, expected: DryDownPrior, binderClass: BinderClass, pace = 1): DryDownPrior {
  const counted = countedWeighings(life);
  // What it weighed while it was kept damp tells nothing of where it ends.
  const before = wasRewetted(life) ? life.weighings.filter((one) => !counted.includes(one)) : [];
  const tau = USUAL_TAU / pace;
  if (before.length < WEIGHINGS_NEEDED) return { dry: expected.dry, loss: expected.loss, tau };
  const { final } = judgeDryDown(before, expected, binderClass);
  if (!final) return { dry: expected.dry, loss: expected.loss, tau };
  return { dry: final.mass, loss: expected.loss, tau, sd: Math.max(1, (final.high - final.low) / 2 / HALF_BAND) };
}

const waysFor = ({ ease }: GateWays, film: boolean, leastDays?: number): DrynessWays => ({
  film,
  ease: film ? (ease?.film ?? 1) : (ease?.open ?? 1),
  ...(leastDays !== undefined && { leastDays }),
});

/** What siblings were judged to be, by what they were judged by: one stands for many. */
const judgedSiblings = new WeakMap<Life, Map<string, DryJudgement>>();

function judgeSibling(
  { life, expected }: WeighedSibling,
  binderClass: BinderClass,
  ways: DrynessWays,
  pace: number,
): DryJudgement {
  const known = judgedSiblings.get(life) ?? new Map<string, DryJudgement>();
  const by = JSON.stringify([expected, binderClass, ways, pace]);
  const judged =
    known.get(by) ??
    judgeDryDown(countedWeighings(life), dryDownPrior(life, expected, binderClass, pace), binderClass, {
      ...ways,
      ease: (ways.ease ?? 1) * SAMPLE_EASE,
    });
  judgedSiblings.set(life, known.set(by, judged));
  return judged;
}

/** Judges a piece by its siblings: the one that may still hold most for its mass decides, at a stricter limit. */
function inferred(
  siblings: readonly WeighedSibling[],
  binderClass: BinderClass,
  ways: DrynessWays,
  pace: number,
): Dryness | undefined {
  const judged = siblings
    .filter(({ life }) => countedWeighings(life).length >= WEIGHINGS_NEEDED)
    .map((sibling) => judgeSibling(sibling, binderClass, ways, pace));
  if (judged.length < 2) return undefined;
  const share = ({ remaining, limit }: DryJudgement) => (remaining?.band?.[1] ?? Infinity) / limit;
  const wettest = judged.reduce((worst, one) => (share(one) > share(worst) ? one : worst));
  return { ...wettest, heldDays: 0, strays: [], inferredFrom: siblings.map(({ code }) => code) };
}

/** Whether its own weighings tell less than those of its siblings: too few, or all of them older. */
function isOutdated(own: readonly Weighing[], siblings: readonly WeighedSibling[]): boolean {
  const last = own[own.length - 1];
  if (!last || own.length < WEIGHINGS_NEEDED) return true;
  return siblings.every(({ life }) => countedWeighings(life).some(({ hour }) => hour > last.hour));
}

/**
 * What is known of a piece's dryness: by its own weighings, or by those of at least two like pieces of its pour where its own are too
 * few or were made before theirs. `film`: for a film sealer or a candle.
 */
export function drynessOf(
  life: Life,
  expected: Expected,
  binderClass: BinderClass,
  { film, leastDays, siblings = [], ...ways }: GateWays & { readonly film: boolean; readonly leastDays?: number },
): Dryness {
  const own = countedWeighings(life);
  const rules = waysFor(ways, film, leastDays);
  const pace = ways.pace ?? 1;
  const known = isOutdated(own, siblings) ? inferred(siblings, binderClass, rules, pace) : undefined;
  return known ?? judgeDryDown(own, dryDownPrior(life, expected, binderClass, pace), binderClass, rules);
}

/** What a school without a scale says at `now`: nothing where it is dry by it. */
function withoutScale(
  life: Life,
  expected: Expected,
  film: boolean,
  { drying, pace = 1 }: GateWays,
  now: number,
): Message | undefined {
  if (drying === 'clear-film') {
    const test = life.filmTest;
    if (!test || test.at < (life.driesFrom ?? 0))
      return msg('casts.filmMissing', { hours: exactly(FILM_TEST_HOURS, 'h') });
    if (now - test.at > FILM_TEST_KEEPS * HOUR) return msg('casts.filmTestOld');
    return test.dry ? undefined : test.told;
  }
  const days = calendarDays(expected, pace, { film });
  const dried = (now - (life.driesFrom ?? now)) / HOUR / 24;
  return dried >= days ? undefined : msg('casts.calendarWait', { dried: fixed(dried, 0), days: exactly(days, 'days') });
}

/** When the calendar opens the gate, ms; undefined for one that is not drying yet. */
export function calendarOpens(life: Life, expected: Expected, film: boolean, pace = 1): number | undefined {
  return life.driesFrom === undefined ? undefined : life.driesFrom + calendarDays(expected, pace, { film }) * 24 * HOUR;
}

/**
 * Judges a piece for a sealer at `now` (ms): its weighings, or the workshop's school without a scale, and its age.
 * A coat on a sealed piece is judged as the first was.
 */
export function sealingGate(
  life: Life,
  expected: Expected,
  binderClass: BinderClass,
  sealer: Pick<Sealer, 'film' | 'leastDays'>,
  now: number,
  ways: GateWays = {},
): Gate {
  const { film, leastDays } = sealer;
  const strict = film || (life.sealPlan?.uses.includes('candle') ?? false);
  const dryDown = drynessOf(life, expected, binderClass, {
    ...ways,
    film: strict,
    ...(leastDays !== undefined && { leastDays }),
  });
  const { drying = usualDrying } = ways;
  const bySchool = drying === 'scale' ? undefined : withoutScale(life, expected, strict, ways, now);
  const reasons =
    dryDown.dryEnough || (drying !== 'scale' && !bySchool) ? [] : bySchool ? [bySchool] : [...dryDown.missing];
  const age = (now - life.pouredAt) / HOUR;
  if (age < dryDown.leastHour)
    reasons.push(
      msg('casts.ageTooLow', { age: quantity(age / 24, 'days', 1), least: exactly(dryDown.leastHour / 24, 'days') }),
    );
  const bound = dryDown.remaining?.band?.[1];
  return {
    open: reasons.length === 0,
    reasons,
    dryDown,
    ...(bound !== undefined && { over: bound / dryDown.limit }),
  };
}
