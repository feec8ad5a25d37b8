import { normalPoint } from '../../foundation/math/index.js';
import { USUAL_TAU, type DryDownPrior } from './dry-down-fit.js';
import { waterLimit, type DrynessWays } from './dryness-rules.js';

/** How a workshop tells that a piece is dry. */
export type DryingSchool = 'scale' | 'clear-film' | 'calendar';
/** The scale: it alone tells how much water is left. */
export const usualDrying: DryingSchool = 'scale';

/** Each school with why one would hold to it. */
export const dryingSchools: Record<DryingSchool, { readonly name: string; readonly why: string }> = {
  scale: { name: 'Constant mass', why: 'It tells what is really left in the piece. The default, for that reason.' },
  'clear-film': {
    name: 'Taped clear film',
    why: 'It needs no scale and shows vapour where the piece still gives it off.',
  },
  calendar: {
    name: 'Fixed drying time',
    why: 'It needs nothing but patience; it waits longest, in the piece’s own air.',
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
export function readFilmTest({ hours, drops }: FilmTest): { readonly dry: boolean; readonly told: string } {
  if (drops) return { dry: false, told: 'There were drops under the film: it still gives off water.' };
  return hours < FILM_TEST_HOURS
    ? { dry: false, told: `The film was on for ${hours.toFixed(0)} h; ${FILM_TEST_HOURS} h without drops are wanted.` }
    : { dry: true, told: `No drops under the film in ${hours.toFixed(0)} h.` };
}

const BETA = 0.75;
const FOUR_IN_FIVE = normalPoint(0.8);

/**
 * Days of drying from the end of the moist curing on that are enough for four pieces in five, by the usual course of drying alone
 * (ln τ about ln 5 days with sd 1) in air of this pace (1 at 20 °C and half damp).
 */
export function calendarDays(prior: DryDownPrior, pace: number, ways: DrynessWays = {}): number {
  const { grams } = waterLimit(prior, ways);
  const tau = (USUAL_TAU / pace) * Math.exp(FOUR_IN_FIVE);
  const hours = grams >= prior.loss ? 0 : tau * Math.log(prior.loss / grams) ** (1 / BETA);
  return Math.ceil(hours / 24);
}
