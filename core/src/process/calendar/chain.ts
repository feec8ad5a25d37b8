import { defined, firstPlace } from '../../foundation/math/index.js';
import { DAY, HOUR } from '../../foundation/units/index.js';
import type { BinderClass } from '../../mixing/binders/index.js';
import type { Sealer } from '../../mixing/materials/index.js';
import { hourOfAge, type MoistCuringEnd } from '../curing/index.js';
import { dryingHours, hourWalked, HOURS_NEEDED, leastDays, recoatWindow, type DryDownPrior } from '../sealing/index.js';
import type { AirCourse } from './place-air.js';

/** States in which a piece is wanted, in the order in which it comes to them. */
export const wantedStates = ['demoulded', 'cured', 'dry', 'sealed', 'hardened'] as const;
export type WantedState = (typeof wantedStates)[number];

/** A piece as far as its way to a wanted state goes. */
export interface ChainPiece {
  readonly binderClass: BinderClass;
  /** Equivalent hours at 20 °C at which it is demoulded: the handbook's, or what was learned. */
  readonly demouldAge: number;
  readonly curing: MoistCuringEnd;
  readonly prior: DryDownPrior;
  /** Time constant of its drying at 20 °C and half damp, h. */
  readonly tau: number;
  /** How unsure ln τ is, as a standard deviation: as where nothing was weighed where it is left out. */
  readonly spread?: number;
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
  readonly air: AirCourse;
}

/** When somebody is at hand at or after a time, ms; undefined where nobody ever is. */
export type AtHand = (at: number) => number | undefined;

/** Waits for somebody to be at hand, as far as the air is known. */
const within =
  (end: number, atHand: AtHand): ((at: number | undefined) => number | undefined) =>
  (at) =>
    at === undefined || at > end ? undefined : atHand(at);

/** A piece until its moist curing is over; undefined where the air that is known, or the caster's weeks, end before that. */
export function curedPiece(
  { binderClass, demouldAge, curing }: ChainPiece,
  pouredAt: number,
  air: AirCourse,
  atHand: AtHand,
): CuredPiece | undefined {
  const wait = within(air.end, atHand);
  const from = pouredAt / HOUR;
  const aged = (age: number): number | undefined => {
    const hour = age === 0 ? from : hourOfAge(air.ageing(binderClass), from, age, air.end / HOUR);
    return hour === undefined ? undefined : hour * HOUR;
  };
  const demoulded = wait(aged(demouldAge));
  const kept = aged(curing.age);
  if (demoulded === undefined || kept === undefined) return undefined;
  const cured = wait(Math.max(demoulded, kept, pouredAt + curing.days * DAY));
  return cured === undefined ? undefined : { pouredAt, demoulded, cured, air };
}

/** The rest of its way, where it dries with the time constant `tau`, h. */
export function finishedPiece(
  piece: Pick<ChainPiece, 'binderClass' | 'prior' | 'sealing'>,
  cured: CuredPiece,
  tau: number,
  atHand: AtHand,
): ChainTimes | undefined {
  const wait = within(cured.air.end, atHand);
  const dry = wait(dryAt(piece, cured, tau));
  const sealed = dry === undefined ? undefined : sealedAt(piece, dry, cured.air, wait);
  if (dry === undefined || sealed === undefined) return undefined;
  const hardened = sealed + (piece.sealing?.sealer.cureDays ?? 0) * DAY;
  return { demoulded: cured.demoulded, cured: cured.cured, dry, sealed, hardened };
}

/**
 * The way of a piece from its pour to full hardness (handbook 18), under the air where it stands. What wants a person waits until somebody is at
 * hand. Undefined where the air that is known, or the caster's weeks, end before it does.
 */
export function chainOf(piece: ChainPiece, pouredAt: number, air: AirCourse, atHand: AtHand): ChainTimes | undefined {
  const cured = curedPiece(piece, pouredAt, air, atHand);
  return cured && finishedPiece(piece, cured, piece.tau, atHand);
}

/** When its gate opens: it is dry enough, was weighed for long enough, and is old enough for what goes on it. */
function dryAt(
  { binderClass, prior, sealing }: Pick<ChainPiece, 'binderClass' | 'prior' | 'sealing'>,
  { pouredAt, cured, air }: CuredPiece,
  tau: number,
): number | undefined {
  const from = cured / HOUR;
  const amount = dryingHours(prior, tau, { film: sealing?.sealer.film ?? false });
  const walked = hourWalked(air.drying(), amount, from);
  if (walked === undefined) return undefined;
  const oldEnough = pouredAt / HOUR + (sealing?.sealer.leastDays ?? leastDays[binderClass]) * 24;
  return Math.max(walked, from + HOURS_NEEDED, oldEnough) * HOUR;
}

/** Air that the wait for the next coat may take, ms. */
const RECOAT = 14 * DAY;

/** When its last coat is on: each waits for the one before it. */
function sealedAt(
  { sealing }: Pick<ChainPiece, 'sealing'>,
  dry: number,
  { readings }: AirCourse,
  wait: (at: number) => number | undefined,
): number | undefined {
  let at: number | undefined = dry;
  for (let coat = 1; coat < (sealing?.coats ?? 1) && at !== undefined && sealing; coat++) {
    const since = at;
    const first = firstPlace(readings.length, (i) => defined(readings[i]).at > since - HOUR);
    at = wait(recoatWindow(sealing.sealer, at, readings.slice(first, first + RECOAT / HOUR)).from);
  }
  return at;
}
