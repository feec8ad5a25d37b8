import { DAY, HOUR } from '../../foundation/units/index.js';
import type { BinderClass } from '../../mixing/binders/index.js';
import type { Sealer } from '../../mixing/materials/index.js';
import type { WholeAmbientReading } from '../ambient/index.js';
import { ageCourse, hourOfAge, type MoistCuringEnd } from '../curing/index.js';
import {
  dryingHours,
  dryingPaces,
  HOURS_NEEDED,
  leastDays,
  recoatWindow,
  underForecast,
  type DryDownPrior,
} from '../sealing/index.js';

/** States in which a piece is wanted, in the order in which it comes to them. */
export const wantedStates = ['demoulded', 'cured', 'dry', 'sealed', 'hardened'] as const;
type WantedState = (typeof wantedStates)[number];

/** A piece as far as its way to a wanted state goes. */
export interface ChainPiece {
  readonly binderClass: BinderClass;
  /** Equivalent hours at 20 °C at which it is demoulded: the handbook's, or what was learned. */
  readonly demouldAge: number;
  readonly curing: MoistCuringEnd;
  readonly prior: DryDownPrior;
  /** Time constant of its drying at 20 °C and half damp, h. */
  readonly tau: number;
  /** What it is sealed with, and how often; left bare where there is none. */
  readonly sealing?: { readonly sealer: Sealer; readonly coats: number };
}

/** When a piece comes to each state, ms. One that is left bare is sealed and hardened once it is dry. */
export type ChainTimes = Readonly<Record<WantedState, number>>;

/** A piece up to the end of its moist curing, and the air in which it dries from there on. */
export interface CuredPiece {
  readonly pouredAt: number;
  readonly demoulded: number;
  readonly cured: number;
  readonly air: readonly WholeAmbientReading[];
  readonly paces: ReturnType<typeof dryingPaces>;
}

/** When somebody is at hand at or after a time, ms; undefined where nobody ever is. */
export type AtHand = (at: number) => number | undefined;

const endOf = (air: readonly WholeAmbientReading[], pouredAt: number) => air[air.length - 1]?.at ?? pouredAt;

/** Waits for somebody to be at hand, as far as the air is known. */
const within =
  (end: number, atHand: AtHand): ((at: number | undefined) => number | undefined) =>
  (at) =>
    at === undefined || at > end ? undefined : atHand(at);

/** A piece until its moist curing is over; undefined where the air that is known, or the caster's weeks, end before that. */
export function curedPiece(
  { binderClass, demouldAge, curing }: ChainPiece,
  pouredAt: number,
  air: readonly WholeAmbientReading[],
  atHand: AtHand,
): CuredPiece | undefined {
  const end = endOf(air, pouredAt);
  const wait = within(end, atHand);
  const hourly = air.map(({ at, ...reading }) => ({ ...reading, hour: (at - pouredAt) / HOUR }));
  const course = ageCourse(hourly, binderClass);
  const aged = (age: number): number | undefined => {
    const hour = age === 0 ? 0 : hourOfAge(course, 0, age, (end - pouredAt) / HOUR);
    return hour === undefined ? undefined : pouredAt + hour * HOUR;
  };
  const demoulded = wait(aged(demouldAge));
  const kept = aged(curing.age);
  if (demoulded === undefined || kept === undefined) return undefined;
  const cured = wait(Math.max(demoulded, kept, pouredAt + curing.days * DAY));
  return cured === undefined ? undefined : { pouredAt, demoulded, cured, air, paces: dryingPaces(hourly) };
}

/** The rest of its way, where it dries with the time constant `tau`, h. */
export function finishedPiece(
  piece: Pick<ChainPiece, 'binderClass' | 'prior' | 'sealing'>,
  cured: CuredPiece,
  tau: number,
  atHand: AtHand,
): ChainTimes | undefined {
  const wait = within(endOf(cured.air, cured.pouredAt), atHand);
  const dry = wait(dryAt(piece, cured, tau));
  const sealed = dry === undefined ? undefined : sealedAt(piece, dry, cured.air, wait);
  if (dry === undefined || sealed === undefined) return undefined;
  const hardened = sealed + (piece.sealing?.sealer.cureDays ?? 0) * DAY;
  return { demoulded: cured.demoulded, cured: cured.cured, dry, sealed, hardened };
}

/**
 * The way of a piece from its pour to full hardness (handbook 18), under the air where it stands, hour by hour from the pour on. What wants
 * a person waits until somebody is at hand. Undefined where the air that is known, or the caster's weeks, end before it does.
 */
export function chainOf(
  piece: ChainPiece,
  pouredAt: number,
  air: readonly WholeAmbientReading[],
  atHand: AtHand,
): ChainTimes | undefined {
  const cured = curedPiece(piece, pouredAt, air, atHand);
  return cured && finishedPiece(piece, cured, piece.tau, atHand);
}

/** When its gate opens: it is dry enough, was weighed for long enough, and is old enough for what goes on it. */
function dryAt(
  { binderClass, prior, sealing }: Pick<ChainPiece, 'binderClass' | 'prior' | 'sealing'>,
  { pouredAt, cured, paces }: CuredPiece,
  tau: number,
): number {
  const from = (cured - pouredAt) / HOUR;
  const amount = dryingHours(prior, tau, { film: sealing?.sealer.film ?? false });
  const hour = Math.max(
    underForecast(from + amount, from, 1, paces),
    from + HOURS_NEEDED,
    (sealing?.sealer.leastDays ?? leastDays[binderClass]) * 24,
  );
  return pouredAt + hour * HOUR;
}

/** Air that the wait for the next coat may take, ms. */
const RECOAT = 14 * DAY;

/** When its last coat is on: each waits for the one before it. */
function sealedAt(
  { sealing }: Pick<ChainPiece, 'sealing'>,
  dry: number,
  air: readonly WholeAmbientReading[],
  wait: (at: number) => number | undefined,
): number | undefined {
  let at: number | undefined = dry;
  for (let coat = 1; coat < (sealing?.coats ?? 1) && at !== undefined && sealing; coat++) {
    const since = at;
    const ahead = air.filter((reading) => reading.at > since - HOUR && reading.at < since + RECOAT);
    at = wait(recoatWindow(sealing.sealer, at, ahead).from);
  }
  return at;
}
