import { msg, quantity, exactly, type Message } from '../../foundation/units/index.js';
import { normalPoint } from '../../foundation/math/index.js';
import { USUAL_TAU, type DryDownPrior } from './dry-down-fit.js';
import { waterLimit, type DrynessWays } from './dryness-rules.js';

/** How a workshop tells that a piece is dry. */
export type DryingSchool = 'scale' | 'clear-film' | 'calendar';
/** The scale: it alone tells how much water is left. */
export const usualDrying: DryingSchool = 'scale';

/** Each school with why one would hold to it. */
export const dryingSchools: Record<DryingSchool, { readonly name: Message; readonly why: Message }> = {
  scale: { name: msg('sealing.constantMass'), why: msg('sealing.constantMassWhy') },
  'clear-film': {
    name: msg('sealing.filmTest'),
    why: msg('sealing.filmTestWhy'),
  },
  calendar: {
    name: msg('sealing.fixedTime'),
    why: msg('sealing.fixedTimeWhy'),
  },
};

/** A taped clear film: how long it was on, h, and whether there were drops under it. */
export interface FilmTest {
  readonly hours: number;
  readonly drops: boolean;
}

export const FILM_TEST_HOURS = 16;
/** A test of yesterday says nothing of a piece that was wetted since: it counts so long, h. */
export const FILM_TEST_KEEPS = 72;

/** What a film test says. */
export function readFilmTest({ hours, drops }: FilmTest): { readonly dry: boolean; readonly told: Message } {
  if (drops) return { dry: false, told: msg('sealing.filmDrops') };
  return hours < FILM_TEST_HOURS
    ? {
        dry: false,
        told: msg('sealing.filmTooShort', {
          hours: quantity(hours, 'h', 0),
          filmTestHours: exactly(FILM_TEST_HOURS, 'h'),
        }),
      }
    : { dry: true, told: msg('sealing.filmClear', { hours: quantity(hours, 'h', 0) }) };
}

const BETA = 0.75;
const FOUR_IN_FIVE = normalPoint(0.8);

/** Hours from the end of the moist curing until a piece is dry enough to seal, where it dries with the time constant `tau` (h) by the usual course. */
export function dryingHours(prior: DryDownPrior, tau: number, ways: DrynessWays = {}): number {
  const { grams } = waterLimit(prior, ways);
  return grams >= prior.loss ? 0 : tau * Math.log(prior.loss / grams) ** (1 / BETA);
}

/**
 * Days of drying from the end of the moist curing on that are enough for four pieces in five, by the usual course of drying alone
 * (ln τ about ln 5 days with sd 1) in air of this pace (1 at 20 °C and half damp).
 */
export function calendarDays(prior: DryDownPrior, pace: number, ways: DrynessWays = {}): number {
  return Math.ceil(dryingHours(prior, (USUAL_TAU / pace) * Math.exp(FOUR_IN_FIVE), ways) / 24);
}
